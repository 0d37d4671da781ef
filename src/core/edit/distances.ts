import type { Context, Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { pageOf } from '../book/columns';
import type { Rect } from '../measure/rect';
import { bottom, centerX, centerY, right } from '../measure/rect';

/** Nearer than this it touches: no ruler shows less. mm */
const TOUCHES = 0.5;

/** How far a piece is from what is next to it on one side; a line in mm of its page. */
export interface Distance {
  readonly from: { readonly x: number; readonly y: number };
  readonly to: { readonly x: number; readonly y: number };
  readonly mm: number;
}

/**
 * From a piece up, down, left and right to the nearest thing that can be seen there: a neighbor, the edge of its
 * column, else of the page. Sides on which it touches or overlaps have none.
 * @param ids of what is held, which is no neighbor of itself
 * @param held its upright place, mm of page `page`
 */
export function distancesAround(
  context: Context,
  placements: readonly Placement[],
  ids: ReadonlySet<string>,
  page: number,
  held: Rect,
): Distance[] {
  const paper = pageOf(context.book, page);
  const others = placements.filter((p) => p.page === page && p.layer === 0 && !ids.has(p.id)).map(footprint);
  const beside = others.filter((o) => o.y < bottom(held) && bottom(o) > held.y);
  const along = others.filter((o) => o.x < right(held) && right(o) > held.x);
  const regions = context.book.regions.filter(
    (r) =>
      r.page === page &&
      centerX(held) >= r.x &&
      centerX(held) <= right(r) &&
      centerY(held) >= r.y &&
      centerY(held) <= bottom(r),
  );
  const edges: readonly Rect[] = [...regions, { x: 0, y: 0, w: paper.width, h: paper.height }];
  const [x, y] = [centerX(held), centerY(held)];
  const least = (list: readonly number[]): number => Math.min(...list.filter((mm) => mm >= -0.01));
  const up = least([...along.map((o) => held.y - bottom(o)), ...edges.map((e) => held.y - e.y)]);
  const down = least([...along.map((o) => o.y - bottom(held)), ...edges.map((e) => bottom(e) - bottom(held))]);
  const left = least([...beside.map((o) => held.x - right(o)), ...edges.map((e) => held.x - e.x)]);
  const far = least([...beside.map((o) => o.x - right(held)), ...edges.map((e) => right(e) - right(held))]);
  return [
    { from: { x, y: held.y }, to: { x, y: held.y - up }, mm: up },
    { from: { x, y: bottom(held) }, to: { x, y: bottom(held) + down }, mm: down },
    { from: { x: held.x, y }, to: { x: held.x - left, y }, mm: left },
    { from: { x: right(held), y }, to: { x: right(held) + far, y }, mm: far },
  ].filter((d) => Number.isFinite(d.mm) && d.mm > TOUCHES);
}
