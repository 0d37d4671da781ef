import { dressList, listTitle } from '../days/list-dressing';
import { listFormsOf, listKey, rowsFor } from '../days/list-forms';
import type { Rung } from './rung';

/** What a row costs that its owner did not ask for: a chore among others is found less easily. From memory. */
const GATHERED = 1.9;
/** What a second row or a smaller hand costs an item. From memory. */
const LONG = 0.5;

/** What a list joined of two designs costs (handbook L2). From memory. */
const TWO_DESIGNS = 9;

/** The rows of a checklist, cut to their number (handbook L1), joined where one is too short (L2). */
export const listRows: Rung = {
  name: 'list rows',
  says: 'Rows of a checklist, a long text over two of them.',
  supply: (ground) => new Map(listFormsOf(ground).map((form) => [listKey(form), form.rows])),
  choices: (block, ground) => {
    if (block.list === null || block.open) return [];
    const title = listTitle(ground.draft, ground.context, block, ground.width);
    return listFormsOf(ground).flatMap((form) => {
      const texts = rowsFor(block.demands, form, ground.context.options);
      if (!texts) return [];
      const asked = block.demands.filter((d) => d.list !== null).length;
      const over = texts.rows - block.demands.length;
      const joined = Math.max(...form.designs.map((p) => ground.draft.ledger.rowsLeft(p))) < texts.rows;
      return [
        {
          rung: 'list rows',
          height: title.height + texts.rows * form.pitch,
          cost:
            -asked +
            (block.demands.length - asked) * GATHERED +
            over * LONG +
            (1 - texts.size) * 4 +
            form.strange / 6 +
            (joined ? TWO_DESIGNS : 0),
          uses: { key: listKey(form), amount: texts.rows },
          lay: (draft, at) => dressList(draft, ground.context, block, { form, texts, joined }, at),
        },
      ];
    });
  },
};
