import type { Stretch } from '../../spread/free-room';
import { lengthOf } from '../../spread/free-room';

export interface Timed {
  readonly height: number;
  /** number of the stretch it stands in */
  readonly stretch: number;
  /** mm down the page where its hour is printed, or its part of the day where it has none */
  readonly wanted: number;
  /** how strongly it is drawn there: 1 for a fixed hour */
  readonly pull: number;
}

/**
 * Where items stand in a book with hour lines: as near to their hours as order and gaps allow, by least squares.
 * Exact: with what stands above taken off, tops must only never fall, which is isotonic regression (pool adjacent
 * violators: Ayer and others, 1955).
 * @returns tops in mm down the page
 */
export function atTheirHours(items: readonly Timed[], stretches: readonly Stretch[], gap: number): number[] {
  const tops = new Array<number>(items.length).fill(0);
  stretches.forEach((stretch, k) => {
    const here = items.flatMap((item, i) => (item.stretch === k ? [i] : []));
    let above = 0;
    const offsets = here.map((i) => {
      const offset = above;
      above += (items[i] as Timed).height + gap;
      return offset;
    });
    const free = lengthOf(stretch) - (above - gap);
    const blocks: { sum: number; weight: number; count: number }[] = [];
    here.forEach((i, n) => {
      const { wanted, pull } = items[i] as Timed;
      blocks.push({ sum: (wanted - (offsets[n] as number)) * pull, weight: pull, count: 1 });
      while (blocks.length > 1 && mean(blocks.at(-2)) > mean(blocks.at(-1))) {
        const lower = blocks.pop() as (typeof blocks)[number];
        const upper = blocks.pop() as (typeof blocks)[number];
        blocks.push({
          sum: upper.sum + lower.sum,
          weight: upper.weight + lower.weight,
          count: upper.count + lower.count,
        });
      }
    });
    const level = blocks.flatMap((b) =>
      new Array<number>(b.count).fill(Math.min(Math.max(mean(b), stretch.from), stretch.from + Math.max(0, free))),
    );
    here.forEach((i, n) => (tops[i] = (level[n] as number) + (offsets[n] as number)));
  });
  return tops;
}

const mean = (b: { sum: number; weight: number } | undefined): number => (b ? b.sum / b.weight : -Infinity);
