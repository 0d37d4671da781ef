import { dayColumn } from '../../book/columns';
import type { Draft } from '../../spread/draft';
import { placeHeight } from '../../spread/open-places';
import type { Context } from '../../spread/placement';
import { matchDemands } from '../../spread/placement';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { paperHeight } from '../../spread/writing';
import type { Ground } from '../ladder/rung';
import type { Block } from './day-blocks';
import { blocksOfDay } from './day-blocks';
import { fitOn, formCost, formsOf, servesRoom } from './forms';
import { listTitle } from './list-dressing';
import { listFormsOf, rowsFor } from './list-forms';

/**
 * The fewest mm of column a day's items need, gaps counted (handbook D1): on bases as far as the week has some for its
 * items, else as rows or on the paper.
 */
export function leastHeight(draft: Draft, context: Context, day: number): number {
  const ground = groundFor(draft, context, dayColumn(context.book, day)?.w ?? 0);
  const share = shareWithBase(ground);
  const heights = blocksOfDay(draft, context, day).map((b) => heightOf(b, ground, share));
  return heights.reduce((sum, h) => sum + h, 0) + Math.max(0, heights.length - 1) * context.options.gap;
}

function heightOf(block: Block, ground: Ground, share: number): number {
  const { context, width } = ground;
  if (block.open) return placeHeight(block.demands, width, context.options.hand);
  const ink = paperHeight(block.demands.map(writtenText), width, context.options.hand);
  if (block.list !== null) {
    const heights = listFormsOf(ground).flatMap((form) => {
      const texts = rowsFor(block.demands, form, context.options);
      return texts && texts.rows <= form.rows ? [texts.rows * form.pitch] : [];
    });
    const title = listTitle(ground.draft, context, block, width).height;
    return title + (heights.length ? Math.min(...heights) : ink);
  }
  const demand = block.demands[0] as Demand;
  const fits = formsOf(ground).filter((f) => formCost(demand, f, context) < Infinity);
  const { room } = demand;
  const best = room ? fits.filter((f) => servesRoom(room, f) === 'best') : [];
  if (best.length) return Math.min(...best.map((f) => f.h));
  const roomy = fits.filter((f) => fitOn(demand, f, context)?.size === 1); // nobody writes small for a box's sake
  const fitting = (roomy.length ? roomy : fits).map((f) => f.h);
  return fitting.length ? share * Math.min(...fitting) + (1 - share) * ink : ink;
}

/** The share of the week's single items that find a base in the kit, as if each took one. */
function shareWithBase(ground: Ground): number {
  const { draft, context } = ground;
  const known = shares.get(draft);
  if (known !== undefined) return known;
  const placed = matchDemands(draft.placements, context.week.demands);
  const single = context.week.demands.filter((d) => d.kind !== 'band' && d.list === null && !placed.has(d.key));
  const bases = formsOf(ground).reduce((n, f) => n + f.supply, 0);
  const share = single.length ? Math.min(1, bases / single.length) : 1;
  shares.set(draft, share);
  return share;
}

const shares = new WeakMap<Draft, number>();
const grounds = new WeakMap<Draft, Map<string, Ground>>();

/** The ground of a draft that is not changed any more, once for a width. */
function groundFor(draft: Draft, context: Context, width: number): Ground {
  const known = grounds.get(draft) ?? new Map<string, Ground>();
  grounds.set(draft, known);
  const key = `${width.toFixed(1)}|${draft.placements.length}`;
  const ground = known.get(key) ?? { draft, context, width };
  known.set(key, ground);
  return ground;
}
