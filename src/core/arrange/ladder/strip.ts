import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import { fitCost, fitText } from '../../spread/fit-text';
import { writingRoom } from '../../spread/writing';
import { writtenText } from '../../week/demand';
import { oncePerGround } from './once';
import type { Rung } from './rung';
import { asksForMore, singleOf } from './single';
import { layWritten } from './written';

/** Washi of these heights serves as a label, mm. Common practice. */
const HEIGHTS = { least: 6, most: 20 };
/** What it costs beside a base: it is plain, and its cut edge shows. From memory. */
const COST = 2.4;

const stripsOf = oncePerGround(({ draft, context, width }): readonly Piece[] =>
  byCost(piecesOf(context, 'washi'), (p) =>
    p.motif === '' &&
    p.height >= HEIGHTS.least &&
    p.height <= HEIGHTS.most &&
    strangeness(p, context) <= FOREIGN &&
    draft.ledger.longest(p) >= width
      ? strangeness(p, context)
      : Infinity,
  ),
);

const keyOf = (p: Piece): string => `washi ${pieceKey(p)}`;

/** A length of plain washi as a label, written on with the pen that its finish takes (handbook K7). */
export const strip: Rung = {
  name: 'strip',
  says: 'A length of plain washi as a label.',
  supply: (ground) =>
    new Map(stripsOf(ground).map((p) => [keyOf(p), Math.floor(ground.draft.ledger.lengthLeft(p) / ground.width)])),
  choices: (block, ground) => {
    const demand = singleOf(block);
    if (!demand || asksForMore(demand)) return [];
    const text = writtenText(demand);
    return stripsOf(ground).flatMap((piece) => {
      const room = writingRoom({ kind: piece.kind, shape: 'rect', w: ground.width, h: piece.height });
      const fitted = fitText(text, room, ground.context.options);
      if (!fitted) return [];
      return [
        {
          rung: 'strip',
          height: piece.height,
          cost: COST + strangeness(piece, ground.context) / 6 + fitCost(fitted, text),
          uses: { key: keyOf(piece), amount: 1 },
          lay: (draft, at) => {
            const taken = draft.ledger.takeLength(piece, at.column.w, piece.height);
            if (!taken) return false;
            const place = { page: at.page, day: at.day, x: at.column.x, y: at.y };
            layWritten(draft, [piece, taken], place, [demand], fitted);
            return true;
          },
        },
      ];
    });
  },
};
