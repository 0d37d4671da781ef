/** One full box that could be placed, as the assignment sees it. */
export interface BoxChoice {
  /** cost of having it on a day, beside what neighbors add; Infinity where it may not stand */
  readonly onDay: readonly number[];
}

export interface Assignment {
  /** for each day the index of its box, or null for none */
  readonly boxes: readonly (number | null)[];
  readonly cost: number;
}

/**
 * Which box on which day: the cheapest assignment of all, exactly, by dynamic programming over sets of used boxes
 * (Held and Karp, 1962, for paths through sets). Neighbors are days one after the other.
 * @param boxes at most 16
 * @param without cost of a day with no box; `Infinity` never leaves a day empty that could have one
 * @param beside cost of two boxes on neighboring days; either may be null for none
 */
export function assignBoxes(
  boxes: readonly BoxChoice[],
  days: number,
  without: (day: number) => number,
  beside: (before: number | null, after: number | null, day: number) => number,
): Assignment {
  if (boxes.length > 16) throw new RangeError(`${boxes.length} boxes are more than can be assigned exactly`);
  const none = boxes.length;
  interface State { readonly cost: number; readonly back: State | null; readonly box: number }
  let layer = new Map<number, State>([[none, { cost: 0, back: null, box: none }]]);
  const keyOf = (mask: number, last: number) => mask * (none + 1) + last;
  const named = (box: number) => (box === none ? null : box);
  for (let day = 0; day < days; day++) {
    const next = new Map<number, State>();
    for (const [key, state] of layer) {
      const mask = Math.floor(key / (none + 1));
      for (let box = 0; box <= none; box++) {
        if (box < none && mask & (1 << box)) continue;
        const own = box === none ? without(day) : (boxes[box] as BoxChoice).onDay[day] ?? Infinity;
        if (own === Infinity) continue;
        const cost = state.cost + own + (day > 0 ? beside(named(state.box), named(box), day) : 0);
        const to = keyOf(box === none ? mask : mask | (1 << box), box);
        const known = next.get(to);
        if (!known || cost < known.cost) next.set(to, { cost, back: state, box });
      }
    }
    layer = next;
  }
  let best: State | null = null;
  for (const state of layer.values()) if (!best || state.cost < best.cost) best = state;
  if (!best) return { boxes: Array.from({ length: days }, () => null), cost: Infinity };
  const chosen: (number | null)[] = [];
  for (let state: State | null = best; state?.back; state = state.back) chosen.unshift(named(state.box));
  return { boxes: chosen, cost: best.cost };
}
