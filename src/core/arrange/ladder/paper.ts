import { handAt, textFits } from '../../measure/hand';
import { sizesDownTo } from '../../spread/fit-text';
import { PAPER, inkFor } from '../../spread/ink';
import { paperHeight, paperRoom } from '../../spread/writing';
import type { Demand, DemandKind } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { layTitle, listTitle } from '../days/list-dressing';
import type { Rung } from './rung';

/** What bare ink costs an item by its kind: what has an hour must be found at a glance. From memory. */
const COST: Readonly<Record<DemandKind, number>> = {
  appointment: 8.5,
  deadline: 7.5,
  occasion: 7.5,
  reminder: 6,
  chore: 5.5,
  'to-do': 5,
  band: 9,
};
/** A row of a list loses less: a dot for a box to tick. */
const ROW = 3.6;
/** What a word broken over two lines costs. From memory. */
const BROKEN = 3;

/** Straight onto the whited-out paper, in ink, with a dot before it: the lowest rung (handbook K7). */
export const paper: Rung = {
  name: 'paper',
  onPaper: true,
  says: 'Written straight onto the paper, with a dot before it.',
  choices: (block, { draft, context, width }) => {
    if (!context.options.onPaper || block.open) return [];
    const texts = block.demands.map(writtenText);
    const title = block.list === null ? null : listTitle(draft, context, block, width);
    const room = paperRoom({ w: width, h: 0 });
    return sizesDownTo(context.options.smallest).map((size) => {
      const hand = handAt(context.options.hand, size);
      const h = paperHeight(texts, width, hand);
      const broken = texts.filter((t) => !textFits(t, room.w, 1000, hand)).length;
      return {
        rung: 'paper',
        height: (title?.height ?? 0) + h,
        cost: block.demands.reduce((sum, d) => sum + costOf(d), 0) + broken * BROKEN + (1 - size) * 5,
        uses: null,
        lay: (now, at) => {
          const y = title ? layTitle(now, context, title, at) : at.y;
          now.write({
            page: at.page,
            day: at.day,
            x: at.column.x,
            y,
            w: at.column.w,
            h,
            role: 'day',
            items: block.demands.map((d) => d.uid),
            text: texts.join('\n'),
            size,
            ink: inkFor(PAPER),
          });
          return true;
        },
      };
    });
  },
};

const costOf = (d: Demand): number => (d.list === null ? COST[d.kind] : ROW);
