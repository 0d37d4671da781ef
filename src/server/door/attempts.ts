const FREE_TRIES = 5;
const FIRST_WAIT = 30_000;
const LONGEST_WAIT = 3_600_000;
const MOST_KNOWN = 1000;

interface Tries {
  readonly failed: number;
  readonly until: number;
}

/**
 * Who tries passphrases: after five wrong ones an address waits half a minute, then twice as long after each, up to an
 * hour; so do all of them together after ten times as many, but for those from where the right one came before.
 * A try counts as a wrong one from its first byte on, till it was the right one: many at once are many.
 * @param now ms
 */
export class Attempts {
  private readonly known = new Map<string, Tries>();
  private readonly right = new Set<string>();

  /** Counts a try. @returns ms to wait before the next; 0: this one may go on */
  begin(address: string, now: number): number {
    const who = this.right.has(address) ? [address] : [address, ALL];
    const wait = Math.max(0, ...who.map((w) => (this.known.get(w)?.until ?? 0) - now));
    if (wait > 0) return wait;
    this.note(address, FREE_TRIES, now);
    this.note(ALL, FREE_TRIES * 10, now);
    return 0;
  }

  succeeded(address: string): void {
    this.known.delete(address);
    this.right.add(address);
    if (this.right.size > MOST_KNOWN) this.right.delete([...this.right][0] ?? '');
    const all = this.known.get(ALL);
    if (all) this.known.set(ALL, { ...all, failed: Math.max(0, all.failed - 1) });
  }

  private note(who: string, free: number, now: number): void {
    const failed = (this.known.get(who)?.failed ?? 0) + 1;
    const wait = failed < free ? 0 : Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** (failed - free));
    this.known.delete(who);
    this.known.set(who, { failed, until: wait ? now + wait : 0 });
    const oldest = this.known.size > MOST_KNOWN ? [...this.known.keys()].find((k) => k !== ALL) : undefined;
    if (oldest !== undefined) this.known.delete(oldest);
  }
}

/** All addresses together; no address is an empty text. */
const ALL = '';
