import type { Stretch } from '../../spread/free-room';
import { TOLERANCE } from '../../measure/length';
import { ROOM_FOR_ONE, lengthOf } from '../../spread/free-room';

/** From these minutes on an item is of the day, and of its evening. From memory. */
export const NOON = 12 * 60;
export const EVENING = 17 * 60;

export type PartOfDay = 'morning' | 'day' | 'evening';

export const partOf = (minute: number): PartOfDay =>
  minute >= EVENING ? 'evening' : minute >= NOON ? 'day' : 'morning';

interface Standing {
  readonly height: number;
  /** number of the stretch it stands in */
  readonly stretch: number;
  readonly part: PartOfDay;
  /** stands close under another such one: littles stacked as one block */
  readonly joined?: boolean;
}

/** Where no open place is left, gaps are opened to this many times the wanted gap at most. From memory. */
const WIDEST = 2;
/** A gap that scissors and eye can still do with where a day is overfull, mm. From memory. */
export const TIGHT = 1;
/** An open place longer than this is parted: the middle of the day comes to stand in it, mm. From memory. */
const LONGEST_OPEN = 45;
/** mm between littles stacked as one block; scissors leave that much. From memory. */
const JOINED = 0.4;

/**
 * Where items stand, in mm down the page: in each stretch the day's items from its top and the evening's from its foot,
 * all with equal gaps, and one open place between the two for what comes up (handbook D3, F4). Where that would be a
 * hole, what has its time about midday stands in the middle of it.
 */
export function spaceOut(items: readonly Standing[], stretches: readonly Stretch[], gap: number): number[] {
  const tops = new Array<number>(items.length).fill(0);
  stretches.forEach((stretch, k) => {
    const here = items.flatMap((item, i) => (item.stretch === k ? [i] : []));
    if (!here.length) return;
    const heights = here.reduce((sum, i) => sum + (items[i] as Standing).height, 0);
    const slack = lengthOf(stretch) - heights;
    const of = (part: PartOfDay) => here.filter((i) => (items[i] as Standing).part === part);
    const [morning, midday, evening] = [of('morning'), of('day'), of('evening')];
    const split = evening.length > 0 && evening.length < here.length;
    const gaps = here.length - (split ? 2 : 1);
    const forPlace = ROOM_FOR_ONE + gap * (split ? 2 : 1);
    // an open place that is too low for anything is of no use: its millimeters go to all gaps alike
    const between =
      slack - gaps * gap < forPlace - TOLERANCE && here.length > 1
        ? Math.min(slack / (here.length - 1), gap * WIDEST)
        : gap;
    const down = (order: readonly number[], from: number): number =>
      order.reduce((y, i, n) => {
        const next = items[order[n + 1] as number];
        tops[i] = y;
        return y + (items[i] as Standing).height + ((items[i] as Standing).joined && next?.joined ? JOINED : between);
      }, from);
    const floor = stretch.to - Math.max(0, down(evening, 0) - between);
    const end = down([...morning, ...midday], stretch.from);
    down(evening, Math.max(end, floor));
    if (!morning.length || !midday.length || floor - end <= LONGEST_OPEN) return;
    down(midday, down(morning, stretch.from) + (floor - end) / 2);
  });
  return tops;
}
