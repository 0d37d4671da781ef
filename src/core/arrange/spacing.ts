import type { Stretch } from './room';
import { lengthOf } from './room';

interface Standing {
  readonly height: number;
  /** number of the stretch it stands in */
  readonly stretch: number;
  readonly evening: boolean;
}

/** Gaps are never opened wider than this many times the wanted gap; what is over stays one open place (handbook D3). */
const WIDEST = 2;

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
    const between = Math.max(gap, Math.min(gap * WIDEST, slack / (here.length + 1)));
    const evening = here.filter((i) => (items[i] as Standing).evening);
    let y = stretch.from;
    for (const i of here.filter((n) => !(items[n] as Standing).evening)) {
      tops[i] = y;
      y += (items[i] as Standing).height + between;
    }
    const eveningHeight = evening.reduce((sum, i) => sum + (items[i] as Standing).height + between, 0) - between;
    y = Math.max(y, stretch.to - eveningHeight);
    for (const i of evening) {
      tops[i] = y;
      y += (items[i] as Standing).height + between;
    }
  });
  return tops;
}
