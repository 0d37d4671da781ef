import { rowFrames } from '../../../book/rows';
import { alignX } from '../../../spread/align';
import { piecesOf, tasteCost } from '../../../spread/choose';
import { isLeft, whole } from './filler';
import type { Fill } from './filler';

/** What a little costs that could still carry an item, in the eye's points. From memory. */
const COST = 2;

/**
 * Where rows are kept, littles with a picture or a word at the top of a row that has nothing (handbook 5, three rows).
 */
export const littles: Fill = (open) => {
  const { context, day, column, free } = open;
  if (!context.ways.keepsRows) return [];
  const pieces = piecesOf(context, 'little')
    .filter(isLeft(open))
    .filter((p) => (p.icon || p.words) && p.width <= column.w);
  return rowFrames(context.book, day).flatMap((row) =>
    free.flatMap((s) => {
      const y = Math.max(s.from, row.y);
      if (y >= row.y + row.h / 2) return [];
      const room = Math.min(s.to, row.y + row.h) - y;
      return pieces
        .filter((p) => p.height <= room)
        .map((p) => [whole(open, p, { x: alignX(context, column, p.width), y, cost: COST + tasteCost(p, context) })]);
    }),
  );
};
