import type { Hours } from '../../book/hours';
import { hoursOf, yOfMinute } from '../../book/hours';
import type { Stretch } from '../../spread/free-room';
import { forWhatComesUp, wantedWhite } from '../../spread/free-room';
import type { Context } from '../../spread/placement';
import type { PackItem, Packing } from '../exact/day-packing';
import { packAll, packColumn } from '../exact/day-packing';
import type { Block } from './day-blocks';

/** What a mm costs that is kept for what comes up, and one of the white space wanted. From memory. */
const COMES_UP = 0.6;
const WHITE = 0.3;

/**
 * How a day's blocks are stood in the free stretches of its column: lists in the last row where rows are kept, hours
 * at their lines where the book prints some. Room for what comes up and the white space wanted are left as long as
 * they cost the items less than they are worth.
 */
export function packWithin(
  blocks: readonly Block[],
  stretches: readonly Stretch[],
  context: Context,
  day: number,
): (items: readonly PackItem[]) => Packing {
  const { gap } = context.options;
  const hours = hoursOf(context.book, day);
  const kept = [
    { mm: forWhatComesUp(context, day), perMm: COMES_UP },
    // gaps are white as well
    { mm: wantedWhite(context, day) - gap * blocks.length, perMm: WHITE },
  ];
  return (items) => {
    const rows = context.ways.keepsRows && stretches.length > 1;
    const atHours = items.map((item, i) =>
      hours ? { ...item, notBefore: stretchOfHour(hours, blocks[i] as Block, stretches) } : item,
    );
    const inRows = atHours.map((item, i) => (blocks[i]?.list ? { ...item, onlyIn: stretches.length - 1 } : item));
    return (
      (rows && packAll(inRows, stretches, gap, kept)) ||
      (hours && packAll(atHours, stretches, gap, kept)) ||
      packColumn(items, stretches, gap, kept)
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
