import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { handAt, textFits } from '../../measure/hand';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import { sizesDownTo } from '../../spread/fit-text';
import { PAPER, inkFor } from '../../spread/ink';
import { paperHeight, paperRoom } from '../../spread/writing';
import { writtenText } from '../../week/demand';
import { iconRank } from '../days/reserved';
import type { Rung } from './rung';
import { singleOf } from './single';

/** mm between the icon and its words. From memory. */
const APART = 0.8;
/** What it costs beside a base. From memory. */
const COST = 4.2;
/** Beside an icon a text of more lines looks like a column of its own; what each further one costs. From memory. */
const FEW_LINES = 3;
const LONG = 1.1;
/** Words on the paper beside an icon have this much room at least, mm. */
const NARROWEST = 14;

const keyOf = (p: Piece): string => `icon ${pieceKey(p)}`;

/** An icon with its words written beside it on the paper (handbook K7). */
export const beside: Rung = {
  name: 'beside an icon',
  onPaper: true,
  says: 'An icon, with its words written beside it on the paper.',
  choices: (block, { draft, context, width }) => {
    const demand = singleOf(block);
    if (!context.options.onPaper || !demand) return [];
    const icon = byCost(piecesOf(context, 'icon'), (p) => {
      const rank = iconRank(demand, p);
      return rank === null || draft.ledger.untouched(p) === 0 || strangeness(p, context) > FOREIGN
        ? Infinity
        : rank * 5 + strangeness(p, context);
    })[0];
    if (!icon) return [];
    const w = width - icon.width - APART;
    const text = writtenText(demand);
    if (w < NARROWEST) return [];
    return sizesDownTo(context.options.smallest).flatMap((size) => {
      const hand = handAt(context.options.hand, size);
      if (!textFits(text, paperRoom({ w, h: 0 }).w, 1000, hand)) return [];
      const lines = paperHeight([text], w, hand);
      const height = Math.max(icon.height, lines);
      const long = Math.max(0, Math.round(lines / hand.linePitch) - FEW_LINES) * LONG;
      return [
        {
          rung: 'beside an icon',
          height,
          cost: COST + long + (1 - size) * 5 + strangeness(icon, context) / 6,
          uses: { key: keyOf(icon), amount: 1 },
          lay: (now, at, reserved) => {
            const taken = reserved.mayTake(now, demand, icon) ? now.ledger.take(icon) : null;
            const [x, left] = taken ? [at.column.x + icon.width + APART, w] : [at.column.x, width];
            const h = taken ? lines : paperHeight([text], width, hand);
            if (taken)
              now.add(icon, taken, {
                page: at.page,
                day: at.day,
                x: at.column.x,
                y: at.y + (height - icon.height) / 2,
                role: 'day',
              });
            now.write({
              page: at.page,
              day: at.day,
              x,
              y: at.y + Math.max(0, (height - h) / 2),
              w: left,
              h,
              role: 'day',
              items: [demand.uid],
              text,
              size,
              ink: inkFor(PAPER),
            });
            return true;
          },
        },
      ];
    });
  },
  supply: ({ draft, context }) => new Map(piecesOf(context, 'icon').map((p) => [keyOf(p), draft.ledger.untouched(p)])),
};
