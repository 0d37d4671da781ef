import { dressShared } from '../days/dressing';
import { formKey, formsOf, roomOn } from '../days/forms';
import { listTitle } from '../days/list-dressing';
import { fitText } from '../../spread/fit-text';
import { writtenText } from '../../week/demand';
import type { Rung } from './rung';

const KINDS = ['half-box', 'third-box', 'full-box', 'label', 'quarter-box'];
/** What a line on it costs an item that asked for a row, and one that did not. From memory. */
const LINE = { asked: 0.9, gathered: 2.6 };
const BASE = 1.2;

/** Several short items on one large base, each its line; a writable full box for the day's list (handbook K7). */
export const sharedBase: Rung = {
  name: 'shared base',
  says: 'Several short items on one large base, each with its line.',
  choices: (block, ground) => {
    if (block.list === null || block.demands.length < 2 || block.open) return [];
    const title = listTitle(ground.draft, ground.context, block, ground.width);
    const text = block.demands.map(writtenText).join('\n');
    const asked = block.demands.filter((d) => d.list !== null).length;
    return formsOf(ground)
      .filter((form) => KINDS.includes(form.kind) && !form.turn && form.designs[0]?.words === '')
      .flatMap((form) => {
        const fitted = fitText(text, roomOn(form), ground.context.options);
        if (!fitted) return [];
        const lines = asked * LINE.asked + (block.demands.length - asked) * LINE.gathered;
        return [
          {
            rung: 'shared base',
            height: title.height + form.h,
            cost: BASE + lines + form.strange / 6 + form.h * 0.02 + (1 - fitted.size) * 5,
            uses: { key: formKey(form), amount: 1 },
            lay: (draft, at) => dressShared(draft, ground.context, block, form, fitted, at),
          },
        ];
      });
  },
};
