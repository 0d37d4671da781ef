import { boldness } from '../../color/boldness';
import type { Hex } from '../../color/color';
import { luminance } from '../../color/color';
import type { Sequence } from '../../manner/sequence';

/** A color that a sequence may use, with how many pieces of it there are. */
export interface ColorStock {
  readonly color: Hex;
  readonly stock: number;
}

/** What a color costs on a place of the sequence, seen the one or two before it; null for a place left empty. */
export type SequenceCost = (color: number, place: number, last: number | null, beforeLast: number | null) => number;

/** A color this much bolder than the mean of the others shouts. From memory. */
const SHOUTS = 0.4;
/** What a day left without a color costs: more than any that shouts or comes again. From memory. */
const EMPTY = 40;

/**
 * The cheapest sequence of colors over so many places, no color used more often than it is there. Exact, by dynamic
 * programming over the counts used and the last two colors.
 * @returns for each place the number of its color, or null where nothing is left
 */
export function cheapestSequence(colors: readonly ColorStock[], places: number, cost: SequenceCost): (number | null)[] {
  interface State {
    readonly cost: number;
    readonly used: number;
    readonly at: number | null;
    readonly back: State | null;
  }
  // how many of each scarce color are used, as the digits of one number; of a plentiful one nobody need keep count
  const digits = colors.map(({ stock }) => (stock >= places ? 1 : stock + 1));
  const units = digits.map((_, c) => digits.slice(0, c).reduce((n, d) => n * d, 1));
  const usedOf = (state: State, c: number): number =>
    Math.floor(state.used / (units[c] as number)) % (digits[c] as number);
  const wide = colors.length + 1;
  let layer = new Map<number, State>([[0, { cost: 0, used: 0, at: null, back: null }]]);
  for (let place = 0; place < places; place++) {
    const next = new Map<number, State>();
    const offer = (from: State, at: number | null, used: number, by: number): void => {
      const key = (used * wide + (at ?? -1) + 1) * wide + (from.at ?? -1) + 1;
      const known = next.get(key);
      if (!known || from.cost + by < known.cost - 1e-9) next.set(key, { cost: from.cost + by, used, at, back: from });
    };
    for (const state of layer.values()) {
      colors.forEach(({ stock }, c) => {
        const plenty = stock >= places;
        if (plenty || usedOf(state, c) < stock)
          offer(
            state,
            c,
            plenty ? state.used : state.used + (units[c] as number),
            cost(c, place, place ? state.at : null, place > 1 ? (state.back?.at ?? null) : null),
          );
      });
      offer(state, null, state.used, EMPTY);
    }
    layer = next;
  }
  let best: State | null = null;
  for (const state of layer.values()) if (!best || state.cost < best.cost - 1e-9) best = state;
  const chosen: (number | null)[] = [];
  for (let state = best; state?.back; state = state.back) chosen.unshift(state.at);
  return chosen;
}

/**
 * What a habit wants (handbook 5 and C4): alternating, fanned from the darkest in the middle to the lightest at both
 * ends, or one color.
 */
export function habitCost(habit: Sequence, colors: readonly ColorStock[], places: number): SequenceCost {
  const lights = colors.map((c) => luminance(c.color));
  const [dark, light] = [Math.min(...lights), Math.max(...lights)];
  const middle = (places - 1) / 2;
  return (color, place, last, beforeLast) => {
    const plenty = color * 0.05;
    if (habit === 'fanned') {
      const wanted = dark + (light - dark) * (middle ? Math.abs(place - middle) / middle : 0);
      return plenty + (light > dark ? (Math.abs((lights[color] as number) - wanted) / (light - dark)) * 10 : 0);
    }
    if (habit === 'alternating')
      return plenty + (last === color ? 10 : 0) + (beforeLast !== null && beforeLast !== color ? 2 : 0);
    return plenty + (last !== null && last !== color ? 10 : 0);
  };
}

/**
 * The colors without one that shouts, where enough is left for all places without it (handbook 5: a third color is
 * left out if it shouts).
 */
export function withoutLoud(colors: readonly ColorStock[], places: number): readonly ColorStock[] {
  if (colors.length < 3) return colors;
  const bold = colors.map((c) => boldness(c.color));
  const loud = bold.indexOf(Math.max(...bold));
  const rest = colors.filter((_, i) => i !== loud);
  const mean = rest.reduce((sum, c) => sum + boldness(c.color), 0) / rest.length;
  const enough = rest.reduce((n, c) => n + c.stock, 0) >= places;
  return enough && (bold[loud] as number) - mean > SHOUTS ? rest : colors;
}
