import type { Stretch } from '../../spread/free-room';
import { lengthOf } from '../../spread/free-room';

interface Standing {
  readonly height: number;
  /** number of the stretch it stands in */
  readonly stretch: number;
  readonly evening: boolean;
  /** stands close under another such one: littles stacked as one block */
  readonly joined?: boolean;
}

/** Gaps are never opened wider than this many times the wanted gap; what is over stays one open place (handbook D3). */
const WIDEST = 2;
/** An open place under this is of no use, and its millimeters go to all gaps alike. From memory. */
const OPEN = 9;
/** A gap that scissors and eye can still do with where a day is overfull, mm. From memory. */
export const TIGHT = 1;
/** mm between littles stacked as one block; scissors leave that much. From memory. */
const JOINED = 0.4;

/**
 * Where items stand, in mm down the page: in each stretch the day's items from its top and the evening's from its foot,
 * all with equal gaps, and one open place between the two for what comes up (handbook D3, F4).
 */
export function spaceOut(items: readonly Standing[], stretches: readonly Stretch[], gap: number): number[] {
  const tops = new Array<number>(items.length).fill(0);
  stretches.forEach((stretch, k) => {
    const here = items.flatMap((item, i) => (item.stretch === k ? [i] : []));
    if (!here.length) return;
    const heights = here.reduce((sum, i) => sum + (items[i] as Standing).height, 0);
    const slack = lengthOf(stretch) - heights;
    const evening = here.filter((i) => (items[i] as Standing).evening);
    const wanted = Math.max(gap, Math.min(gap * WIDEST, slack / (here.length + 1)));
    const open = slack - wanted * (here.length - 2);
    const split = evening.length > 0 && evening.length < here.length;
    const between = split && open < OPEN ? slack / (here.length - 1) : wanted;
    const down = (order: readonly number[], from: number): number =>
      order.reduce((y, i, n) => {
        const next = items[order[n + 1] as number];
        tops[i] = y;
        return y + (items[i] as Standing).height + ((items[i] as Standing).joined && next?.joined ? JOINED : between);
      }, from);
    const y = down(
      here.filter((n) => !(items[n] as Standing).evening),
      stretch.from,
    );
    down(evening, Math.max(y, stretch.to - (down(evening, 0) - between)));
  });
  return tops;
}
