import { alignX } from '../../spread/align';
import { strippedRoom } from '../../spread/is-list';
import { fitCost, fitText } from '../../spread/fit-text';
import { TICK_WIDTH } from '../../spread/writing';
import { writtenText } from '../../week/demand';
import { listFormsOf, listKey } from '../days/list-forms';
import type { Rung } from './rung';
import { asksForMore, singleOf } from './single';
import { layWritten } from './written';

/** What it costs beside a base: rows show that it was a list, and one list less is there. From memory. */
const COST = 2.8;
const ROW = 0.3;
/** More rows would look like a list without its shapes. From memory. */
const MOST_ROWS = 3;

/** Rows of a checklist, its shapes cut away, as a label (handbook L4). */
export const stripped: Rung = {
  name: 'stripped list',
  says: 'Rows of a checklist as a label, its shapes cut away.',
  choices: (block, ground) => {
    const demand = singleOf(block);
    if (!demand || asksForMore(demand)) return [];
    const text = writtenText(demand);
    const { hand } = ground.context.options;
    const forms = listFormsOf(ground).filter((form) => form.pitch >= hand.linePitch);
    return forms.flatMap((form) =>
      Array.from({ length: MOST_ROWS }, (_, i) => i + 1).flatMap((rows) => {
        const [w, h] = [form.w - TICK_WIDTH, rows * form.pitch];
        // what is written stands on the printed rows
        const onRows = { ...ground.context.options, hand: { ...hand, linePitch: form.pitch }, smallest: 1 };
        const fitted = rows <= form.rows ? fitText(text, strippedRoom({ w, h }), onRows) : null;
        if (!fitted) return [];
        return [
          {
            rung: 'stripped list',
            height: h,
            cost: COST + rows * ROW + form.strange / 6 + fitCost(fitted, text),
            uses: { key: listKey(form), amount: rows },
            lay: (draft, at) => {
              const piece = form.designs.find((p) => draft.ledger.mostRows(p) >= rows);
              const taken = piece && draft.ledger.takeRows(piece, rows, at.column.w);
              if (!piece || !taken) return false;
              const from = taken.cut ?? { x: 0, y: 0, w: piece.width, h: piece.height };
              const cut = { ...from, x: from.x + TICK_WIDTH, w: from.w - TICK_WIDTH };
              const place = { page: at.page, day: at.day, x: alignX(ground.context, at.column, cut.w), y: at.y };
              layWritten(draft, [piece, { copy: taken.copy, cut }], place, [demand], fitted);
              return true;
            },
          },
        ];
      }),
    );
  },
};
