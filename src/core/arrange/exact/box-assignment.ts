/** One box that could be placed, as the assignment sees it. */
export interface BoxChoice {
  /**
   * cost of having it on a day (its first, where it takes two), beside what neighbors add; Infinity where it may not
   * stand
   */
  readonly onDay: readonly number[];
  /** days it takes, one after the other; 1 where it is not given */
  readonly span?: 1 | 2;
}

export interface Assignment {
  /** for each day the index of its box, or null for none; a box over two days stands on both */
  readonly boxes: readonly (number | null)[];
  readonly cost: number;
}

export interface AssignmentRules {
  /** cost of a day with no box; `Infinity` never leaves a day empty that could have one */
  readonly without: (day: number) => number;
  /** cost of two boxes on neighboring days; either may be null for none; asked for a box's own two days never */
  readonly beside: (before: number | null, after: number | null, day: number) => number;
  /** days with a box at most; all where it is not given */
  readonly most?: number;
  /** cost once the days before `day` have taken these boxes, as a set of bits: for the balance of pages */
  readonly before?: (day: number, taken: number) => number;
}

interface State {
  readonly cost: number;
  readonly back: State | null;
  readonly box: number | null;
  /** this day is the second of its box */
  readonly second: boolean;
  readonly mask: number;
  readonly boxed: number;
}

/**
 * Which box on which day: the cheapest assignment of all, exactly, by dynamic programming over sets of used boxes
 * (Held and Karp, 1962, for paths through sets). Neighbors are days one after the other.
 * @param boxes at most 16
 */
export function assignBoxes(boxes: readonly BoxChoice[], days: number, rules: AssignmentRules): Assignment {
  if (boxes.length > 16) throw new RangeError(`${boxes.length} boxes are more than can be assigned exactly`);
  const most = rules.most ?? days;
  let layer: State[] = [{ cost: 0, back: null, box: null, second: false, mask: 0, boxed: 0 }];
  for (let day = 0; day < days; day++) {
    const next = new Map<number, State>();
    const keep = (
      cost: number,
      back: State,
      box: number | null,
      second: boolean,
      mask: number,
      boxed: number,
    ): void => {
      const key = ((mask * 2 + Number(second)) * 17 + (box ?? 16)) * 8 + boxed;
      const known = next.get(key);
      if (!known || cost < known.cost) next.set(key, { cost, back, box, second, mask, boxed });
    };
    for (const back of layer) {
      if (unfinished(back, boxes)) {
        keep(back.cost, back, back.box, true, back.mask, back.boxed);
        continue;
      }
      const cost = back.cost + (rules.before?.(day, back.mask) ?? 0);
      const none = rules.without(day);
      if (none < Infinity) {
        const beside = day > 0 ? rules.beside(back.box, null, day) : 0;
        keep(cost + none + beside, back, null, false, back.mask, back.boxed);
      }
      for (const [i, box] of boxes.entries()) {
        const own = box.onDay[day] ?? Infinity;
        const boxed = back.boxed + (box.span ?? 1);
        if (own === Infinity || back.mask & (1 << i) || boxed > most || day + (box.span ?? 1) > days) continue;
        const beside = day > 0 ? rules.beside(back.box, i, day) : 0;
        keep(cost + own + beside, back, i, false, back.mask | (1 << i), boxed);
      }
    }
    layer = [...next.values()];
  }
  const best = layer
    .filter((s) => !unfinished(s, boxes))
    .reduce<State | null>((a, b) => (a && a.cost <= b.cost ? a : b), null);
  if (!best) return { boxes: Array.from({ length: days }, () => null), cost: Infinity };
  const chosen: (number | null)[] = [];
  for (let state: State | null = best; state?.back; state = state.back) chosen.unshift(state.box);
  return { boxes: chosen, cost: best.cost };
}

/** True when the state's box still has its second day to come. */
const unfinished = (s: State, boxes: readonly BoxChoice[]): boolean =>
  s.box !== null && !s.second && boxes[s.box]?.span === 2;
