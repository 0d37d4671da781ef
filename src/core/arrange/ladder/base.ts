import { dressBase } from '../days/dressing';
import { fitOn, formCost, formKey, formsOf } from '../days/forms';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { fitCost } from '../../spread/fit-text';
import type { Rung } from './rung';

/** A base of its own, with icon and script where the kit has them. */
export const base: Rung = {
  name: 'base',
  says: 'A base of its own: a label, a box, a flag, a little.',
  supply: (ground) => new Map(formsOf(ground).map((form) => [formKey(form), form.supply])),
  choices: (block, ground) => {
    if (block.demands.length > 1 || block.list !== null || block.open) return [];
    const demand = block.demands[0] as Demand;
    const text = writtenText(demand);
    return formsOf(ground).flatMap((form) => {
      const fitted = fitOn(demand, form, ground.context);
      const cost = fitted
        ? formCost(demand, form, ground.context, fitted, ground.perMm) + (fitted.text ? fitCost(fitted, text) : 0)
        : Infinity;
      return fitted && cost < Infinity
        ? [
            {
              rung: 'base',
              height: form.h,
              cost,
              uses: { key: formKey(form), amount: 1 },
              stacks: form.kind === 'little',
              lay: (draft, at, reserved) => dressBase(draft, ground.context, demand, form, fitted, at, reserved),
            },
          ]
        : [];
    });
  },
};
