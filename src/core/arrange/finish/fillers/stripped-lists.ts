import { alignX } from '../../../spread/align';
import { piecesOf, tasteCost } from '../../../spread/choose';
import { clearOfHours, keptFree, lengthOf } from '../../../spread/free-room';
import { TICK_WIDTH } from '../../../spread/writing';
import { fewOfEachSize, isLeft, standsIn } from './filler';
import type { Fill, Filler } from './filler';
import { withPicture } from './with-picture';

/** What a list costs that could have carried items, in the eye's points, by its height in mm. From memory. */
const COST = 1;
const PER_MM = 0.04;
/** Fewer rows than this are a label. From memory. */
const FEWEST = 2;

/**
 * Rows of a checklist, its shapes cut away, as a plain filler to write on (handbook L4): as many as go in beside what
 * is kept for what comes up, and half of those.
 */
export const strippedLists: Fill = (open) => {
  const { context, day, column, free } = open;
  const lists = fewOfEachSize(
    open,
    piecesOf(context, 'checklist').filter((p) => isLeft(open)(p) && p.rows > 0 && !p.words),
  );
  return clearOfHours(context, day, free).flatMap((s) => {
    const room = lengthOf(s) - keptFree(context, day) - context.options.gap;
    return lists.flatMap((piece) => {
      const pitch = piece.height / piece.rows;
      const most = Math.min(piece.rows, Math.floor(Math.max(room, lengthOf(s) * 0.5) / pitch));
      const w = Math.min(piece.width - TICK_WIDTH, column.w);
      return [...new Set([most, Math.ceil(most / 2)])]
        .filter((rows) => rows >= FEWEST)
        .flatMap((rows) => {
          const h = rows * pitch;
          const cut = { x: TICK_WIDTH, y: 0, w, h };
          const parts = [{ dx: 0, dy: 0, cut }];
          const cost = COST + h * PER_MM + tasteCost(piece, context);
          const at = { piece, parts, page: column.page, layer: 0, role: 'finish', cost, w, h } as const;
          return standsIn(s, h).map((y): Filler => ({
            ...at,
            x: alignX(context, column, w),
            y,
          }));
        })
        .flatMap((list) => [[list], ...withPicture(open, list, s)]);
    });
  });
};
