import type { Hours } from '../../book/hours';
import { hoursOf, yOfMinute } from '../../book/hours';
import type { Stretch } from '../../spread/free-room';
import { keptFree, lengthOf } from '../../spread/free-room';
import type { Context } from '../../spread/placement';
import type { PackItem, Packing } from '../exact/day-packing';
import { packAll, packColumn } from '../exact/day-packing';
import type { Block } from './day-blocks';

/**
 * How a day's blocks are stood in the free stretches of its column: lists in the last row where rows are kept, hours
 * at their lines where the book prints some, first with room kept for what comes up; when something would be left out,
 * with all the room there is.
 */
export function packWithin(
  blocks: readonly Block[],
  stretches: readonly Stretch[],
  context: Context,
  day: number,
): (items: readonly PackItem[]) => Packing {
  const { gap } = context.options;
  const free = keptFree(context, day);
  const hours = hoursOf(context.book, day);
  const last = stretches.at(-1);
  const kept =
    last && lengthOf(last) > free ? [...stretches.slice(0, -1), { from: last.from, to: last.to - free }] : stretches;
  return (items) => {
    const rows = context.ways.keepsRows && stretches.length > 1;
    const inRows = rows
      ? items.map((item, i) => (blocks[i]?.list ? { ...item, onlyIn: stretches.length - 1 } : item))
      : null;
    const atHours = hours
      ? items.map((item, i) => ({ ...item, notBefore: stretchOfHour(hours, blocks[i] as Block, stretches) }))
      : null;
    return (
      (inRows && packAll(inRows, stretches, gap)) ??
      (atHours && packAll(atHours, stretches, gap)) ??
      packAll(items, kept, gap) ??
      packColumn(items, stretches, gap)
    );
  };
}

/** The first stretch that reaches down to a block's hour; the first of all for what has none. */
function stretchOfHour(hours: Hours, block: Block, stretches: readonly Stretch[]): number {
  if (block.list || typeof block.demands[0]?.start !== 'number') return 0;
  const y = yOfMinute(hours, block.minute);
  const at = stretches.findIndex((s) => s.to - LEAST_AT_HOUR > y);
  return at < 0 ? Math.max(0, stretches.length - 1) : at;
}

/** mm of a stretch that an item at its hour needs below it. From memory. */
const LEAST_AT_HOUR = 8;
