/**
 * How boldness takes turns over a week whose boxes all stand in one line (handbook W4, E4): by day, 0 the palest of the
 * week's boxes, 1 the boldest. Neither page is bolder than the other (W3). One line a turn.
 */
export const TURNS = {
  'bold and pale in turns': [1, 0, 1, 0, 1, 0, 1],
  'pale and bold in turns': [0, 1, 0, 1, 0, 1, 0],
  'boldest in the middle': [0, 0.33, 0.67, 1, 0.67, 0.33, 0],
  'palest in the middle': [1, 0.67, 0.33, 0, 0.33, 0.67, 1],
  'bold and pale in pairs': [1, 1, 0, 0, 1, 1, 0],
  'pale and bold in pairs': [0, 0, 1, 1, 0, 0, 1],
} as const satisfies Record<string, readonly number[]>;

export type TurnName = keyof typeof TURNS;
export const TURN_NAMES = Object.keys(TURNS) as TurnName[];

/** Boxes that differ by less make no turns, in boldness. From memory. */
const APART = 0.12;
/** A week whose boldness correlates less with a turn does not follow it. From memory. */
const NEAR = 0.4;

/**
 * How each box stands among the others: from -0.5, the palest, to 0.5, the boldest, by rank, since one bold scene among
 * pale ones is no turn by itself; null where they hardly differ.
 */
export function besideEachOther(bold: readonly number[]): number[] | null {
  if (Math.max(...bold) - Math.min(...bold) < APART) return null;
  const share = (of: (other: number) => boolean): number => bold.filter(of).length / (bold.length - 1);
  return bold.map((b) => share((other) => other < b) / 2 - share((other) => other > b) / 2);
}

/** How well a box of such boldness beside the others suits a day of a turn: -1 to 1, 0 for one that is as all are. */
export const suits = (beside: number, turn: TurnName, day: number): number =>
  beside * (2 * (TURNS[turn][day] ?? 0.5) - 1);

/** The turn that boxes of this boldness follow, by day; null for a day without one. */
export function turnOf(bold: readonly (number | null)[]): TurnName | null {
  const days = bold.flatMap((b, day) => (b === null ? [] : [{ b, day }]));
  const beside = besideEachOther(days.map(({ b }) => b));
  if (!beside) return null;
  const likeness = (name: TurnName): number =>
    correlation(
      beside,
      days.map(({ day }) => TURNS[name][day] ?? 0.5),
    );
  const nearest = TURN_NAMES.reduce((a, b) => (likeness(b) > likeness(a) ? b : a));
  return likeness(nearest) >= NEAR ? nearest : null;
}

/** Pearson's; 0 where one of the two is all the same. */
function correlation(xs: readonly number[], ys: readonly number[]): number {
  const mean = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0) / of.length;
  const [mx, my] = [mean(xs), mean(ys)];
  const sum = (of: (i: number) => number): number => xs.reduce((a, _, i) => a + of(i), 0);
  const dx = (i: number): number => (xs[i] as number) - mx;
  const dy = (i: number): number => (ys[i] as number) - my;
  const spread = Math.sqrt(sum((i) => dx(i) ** 2) * sum((i) => dy(i) ** 2));
  return spread === 0 ? 0 : sum((i) => dx(i) * dy(i)) / spread;
}
