import { dressBase } from '../days/dressing';
import { dressingWorth } from '../days/dressing-worth';
import { fitOn, formCost, formKey, formsOf } from '../days/forms';
import { writtenText } from '../../week/demand';
import { fitCost } from '../../spread/fit-text';
import type { Rung } from './rung';
import { singleOf } from './single';

/** A base of its own, with icon and script where the kit has them. */
export const base: Rung = {
  name: 'base',
  says: 'A base of its own: a label, a box, a flag, a little.',
  supply: (ground) => new Map(formsOf(ground).map((form) => [formKey(form), form.supply])),
  choices: (block, ground) => {
    const demand = singleOf(block);
    if (!demand) return [];
    const text = writtenText(demand);
    return formsOf(ground).flatMap((form) => {
      const fitted = fitOn(demand, form, ground.context);
      const plain = fitted ? formCost(demand, form, ground.context, fitted, ground.perMm) : Infinity;
      if (!fitted || plain === Infinity) return [];
      const cost = plain + (fitted.text ? fitCost(fitted, text) : 0) - dressingWorth(demand, form, fitted, ground);
      return [
        {
          rung: 'base',
          height: form.h,
          cost,
          uses: { key: formKey(form), amount: 1 },
          stacks: form.kind === 'little',
          lay: (draft, at, reserved) => dressBase(draft, ground.context, demand, form, fitted, at, reserved),
        },
      ];
    });
  },
};
