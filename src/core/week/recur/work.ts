/** Days and moments that one rule may look at: eight hundred years of days. */
const MOST_OF_A_RULE = 300_000;
/** What all rules of a calendar may look at in one look; then each may only do what an honest rule needs. */
const MOST_OF_ALL = 1_500_000;
const HONEST = 600;

/** How much a look at a calendar has worked; what reaches its bound ends there, and is remembered. */
export class Work {
  private all = MOST_OF_ALL;
  private own = 0;
  private cut = false;

  /** A rule begins; a hostile one before it leaves it enough. */
  begin(): void {
    this.own = Math.min(MOST_OF_A_RULE, Math.max(HONEST, this.all));
    this.cut = false;
  }

  /** Counts steps. @returns false where the bound is reached: the rule ends */
  spend(steps: number): boolean {
    this.own -= steps;
    this.all -= steps;
    if (this.own < 0) this.cut = true;
    return !this.cut;
  }

  /** True where the rule that began last was cut off. */
  get wasCut(): boolean {
    return this.cut;
  }
}
