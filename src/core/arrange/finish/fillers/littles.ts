import { dayColumn } from '../../../book/columns';
import { rowFrames } from '../../../book/rows';
import { alignX } from '../../../spread/align';
import { piecesOf, tasteCost } from '../../../spread/choose';
import { lengthOf } from '../../../spread/free-room';
import { WHOLE } from './filler';
import type { Fill, Filler } from './filler';

/** What a little costs that could still carry an item, in the eye's points. From memory. */
const COST = 2;

/**
 * Where rows are kept, littles with a picture or a word at the top of a row that has nothing (handbook 5, three rows).
 */
export const littles: Fill = ({ draft, context, day, free }) => {
  const column = dayColumn(context.book, day);
  if (!column || !context.ways.keepsRows) return [];
  const pieces = piecesOf(context, 'little').filter(
    (p) => p.kit === context.kit.name && (p.icon || p.words) && p.width <= column.w && draft.ledger.untouched(p) > 0,
  );
  return rowFrames(context.book, day).flatMap((row) =>
    free.flatMap((s) => {
      const y = Math.max(s.from, row.y);
      return pieces.flatMap((piece): Filler[] =>
        y < row.y + row.h / 2 && lengthOf({ from: y, to: Math.min(s.to, row.y + row.h) }) >= piece.height
          ? [
              {
                piece,
                parts: WHOLE,
                page: column.page,
                layer: 0,
                role: 'finish',
                cost: COST + tasteCost(piece, context),
                x: alignX(context, column, piece.width),
                y,
                w: piece.width,
                h: piece.height,
              },
            ]
          : [],
      );
    }),
  );
};
