/** What one taker would make of one kind of thing. */
export interface Wish {
  /** number of the thing */
  readonly thing: number;
  /** over nothing; the higher, the better */
  readonly value: number;
}

/**
 * Shares scarce things out so that they are worth most in all, one to each taker at most. Exact: the cheapest flow by
 * successive shortest paths (Ahuja, Magnanti, Orlin: Network Flows, 1993, section 9.7, from memory), each found by
 * Bellman and Ford.
 * @param wishes for each taker what it could use
 * @param supply how many there are of each thing
 * @returns for each taker the number of its thing, or null
 */
export function shareOut(wishes: readonly (readonly Wish[])[], supply: readonly number[]): (number | null)[] {
  const given: (Wish | null)[] = wishes.map(() => null);
  const left = [...supply];
  for (;;) {
    // cost of coming to have one more of each thing to give, by a chain of takers who change over
    const best = left.map((n) => (n > 0 ? 0 : -Infinity));
    const via: ({ taker: number; wish: Wish } | null)[] = left.map(() => null);
    for (let round = 0; round < supply.length; round++) {
      let better = false;
      given.forEach((own, taker) => {
        if (!own) return;
        for (const wish of wishes[taker] as readonly Wish[]) {
          const gain = (best[wish.thing] as number) + wish.value - own.value;
          if (wish.thing !== own.thing && gain > (best[own.thing] as number) + EPS) {
            best[own.thing] = gain;
            via[own.thing] = { taker, wish };
            better = true;
          }
        }
      });
      if (!better) break;
    }
    let pick: { taker: number; wish: Wish; gain: number } | null = null;
    wishes.forEach((list, taker) => {
      if (given[taker]) return;
      for (const wish of list) {
        const gain = wish.value + (best[wish.thing] as number);
        if (gain > EPS && (!pick || gain > pick.gain + EPS)) pick = { taker, wish, gain };
      }
    });
    if (!pick) return given.map((g) => g?.thing ?? null);
    let { taker, wish } = pick as { taker: number; wish: Wish };
    for (;;) {
      given[taker] = wish;
      const chain = via[wish.thing];
      if (!chain) break;
      [taker, wish] = [chain.taker, chain.wish];
    }
    left[wish.thing] = (left[wish.thing] as number) - 1;
  }
}

/** A gain smaller than this is none: sums of the same costs differ by less. */
const EPS = 1e-9;
