import { rowFrames } from '../../../book/rows';
import { alignX } from '../../../spread/align';
import { piecesOf, tasteCost } from '../../../spread/choose';
import { isLeft, whole } from './filler';
import type { Fill } from './filler';

/** What a little costs that could still carry an item, in the eye's points. From memory. */
const COST = 2;
/** One without a picture or a word is a base like any other. From memory. */
const PLAIN = 1;

/**
 * Where rows are kept, littles, those with a picture or a word first, at the top or on the floor of a row that has
 * nothing (handbook 5, three rows).
 */
export const littles: Fill = (open) => {
  const { context, day, column, free } = open;
  if (!context.ways.keepsRows) return [];
  const pieces = piecesOf(context, 'little')
    .filter(isLeft(open))
    .filter((p) => p.width <= column.w);
  return rowFrames(context.book, day).flatMap((row) =>
    free.flatMap((s) => {
      const [top, foot] = [Math.max(s.from, row.y), Math.min(s.to, row.y + row.h)];
      if (top >= row.y + row.h / 2) return [];
      return pieces
        .filter((p) => p.height <= foot - top)
        .flatMap((p) => {
          const cost = COST + (p.icon || p.words ? 0 : PLAIN) + tasteCost(p, context);
          const x = alignX(context, column, p.width);
          return [top, foot - p.height].map((y) => [whole(open, p, { x, y, cost })]);
        });
    }),
  );
};
