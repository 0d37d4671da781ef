import { isPattern } from '../../art/motifs/registry';
import type { Piece } from '../../kit/kit';
import { alignX } from '../../spread/align';
import { byCost, strangeness, tasteCost } from '../../spread/choose';
import { fitCost, fitText } from '../../spread/fit-text';
import { foilCost } from '../../spread/foil';
import { writingRoom } from '../../spread/writing';
import { writtenText } from '../../week/demand';
import type { Form } from '../days/forms';
import { formKey, formsOf, tasteFor } from '../days/forms';
import type { Draft } from '../../spread/draft';
import type { Taken } from '../../kit/ledger';
import type { Rung } from './rung';
import { asksForMore, singleOf } from './single';
import { layWritten } from './written';

/** A half is no lower than a flag, mm (handbook 3). */
const LEAST = 9;
/** What the knife costs its looks. From memory. */
const CUT_COST = 1.4;

/** A half box cut in two: two bases from one (handbook K7). */
export const halved: Rung = {
  name: 'halved',
  says: 'A half box cut in two, so that one carries two items.',
  choices: (block, ground) => {
    const demand = singleOf(block);
    if (!demand || asksForMore(demand)) return [];
    const text = writtenText(demand);
    return formsOf(ground)
      .filter(mayBeHalved)
      .flatMap((form) => {
        const h = form.h / 2;
        const room = writingRoom({ kind: form.kind, shape: 'rect', w: form.w, h });
        const fitted = fitText(text, room, ground.context.options);
        if (!fitted) return [];
        return [
          {
            rung: 'halved',
            height: h,
            cost: CUT_COST + tasteFor(demand, 'quarter-box') + form.strange / 6 + fitCost(fitted, text),
            uses: { key: formKey(form), amount: 0.5 },
            lay: (draft, at) => {
              const design = byCost(
                form.designs,
                (p) =>
                  strangeness(p, ground.context) + foilCost(ground.context, p, at.day) + tasteCost(p, ground.context),
              ).find((p) => halfOf(draft, p, form) !== null);
              const taken = design && halfOf(draft, design, form);
              if (!design || !taken) return false;
              draft.ledger.note(design, taken);
              const place = { page: at.page, day: at.day, x: alignX(ground.context, at.column, form.w), y: at.y };
              layWritten(draft, [design, taken], place, [demand], fitted);
              return true;
            },
          },
        ];
      });
  },
};

/** Only what has no picture to lose, and is high enough. */
function mayBeHalved(form: Form): boolean {
  const one = form.designs[0] as Piece;
  const plain = one.words === '' && (one.motif === '' || isPattern(one.motif));
  return ['half-box', 'third-box'].includes(form.kind) && plain && !form.turn && form.h / 2 >= LEAST;
}

/** A half that is free: the other half of one that is cut before a new one. */
function halfOf(draft: Draft, piece: Piece, form: Form): Taken | null {
  const x = form.cut?.x ?? 0;
  const halves = [0, 1].map((n) => ({ x, y: (n * piece.height) / 2, w: form.w, h: piece.height / 2 }));
  return draft.ledger.freePart(piece, halves);
}
