import { dayColumn } from '../../book/columns';
import { shortened, textFits } from '../../measure/hand';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import type { Block } from './day-blocks';
import { blocksOfDay } from './day-blocks';
import type { Draft } from '../../spread/draft';
import { heightOfList } from './dressing';
import type { Form } from './forms';
import { placeHeight } from '../../spread/open-places';
import { formCost, formsFor, roomOn } from './forms';
import type { Context } from '../../spread/placement';

/** What a block could stand on: a form, or a list cut to its rows. */
export interface Choice {
  readonly form: Form | null;
  readonly height: number;
  readonly cost: number;
  readonly text: string;
}

export interface Candidate {
  readonly block: Block;
  readonly choices: readonly Choice[];
  readonly leaveOut: number;
}

/** All that a day's items could stand on, in time order. */
export function candidatesOf(
  draft: Draft,
  context: Context,
  day: number,
  prices: ReadonlyMap<string, number>,
): Candidate[] {
  const width = dayColumn(context.book, day)?.w ?? 0;
  const forms = formsFor(draft, context, width);
  return blocksOfDay(draft, context, day).flatMap((block): Candidate[] => {
    if (block.open)
      return [
        {
          block,
          choices: [{ form: null, height: placeHeight(block.demands, width, context.options.hand), cost: 0, text: '' }],
          leaveOut: OPEN_PLACE,
        },
      ];
    if (block.list) {
      const height = heightOfList(draft, context, block, width);
      if (height !== null)
        return [{ block, choices: [{ form: null, height, cost: -1, text: '' }], leaveOut: 900 * block.demands.length }];
      return block.demands.map((d) => ({
        block: { demands: [d], list: null, minute: block.minute },
        choices: choicesFor(d, forms, context, prices),
        leaveOut: leaveOutCost(d),
      }));
    }
    const demand = block.demands[0] as Demand;
    return [{ block, choices: choicesFor(demand, forms, context, prices), leaveOut: leaveOutCost(demand) }];
  });
}

/** What it costs to keep no place for what is written in later: less than any item, more than a better base. */
const OPEN_PLACE = 60;

/** What it costs to leave an item out: a fixed time weighs most, what is not sure least. */
const leaveOutCost = (d: Demand): number =>
  d.tentative ? 700 : d.kind === 'appointment' || d.kind === 'deadline' ? 1200 : 1000;

export const formKey = (form: Form): string => form.designs.map((p) => `${p.kit}/${p.code}`).join('+');

function choicesFor(
  demand: Demand,
  forms: readonly Form[],
  context: Context,
  prices: ReadonlyMap<string, number>,
): Choice[] {
  const text = writtenText(demand);
  const fitting = forms
    .map((form) => ({
      form,
      height: form.h,
      text,
      cost: formCost(demand, form, context, text) + (prices.get(formKey(form)) ?? 0),
    }))
    .filter((c) => c.cost < Infinity);
  return fitting.length ? fitting : shortenedChoices(demand, text, forms, context);
}

/** Where no base takes the whole text, the roomiest ones take the beginning of it; the review says so (D5). */
function shortenedChoices(demand: Demand, text: string, forms: readonly Form[], context: Context): Choice[] {
  return forms.flatMap((form) => {
    const room = roomOn(form);
    const shorter = shortened(text, room.w, room.h, context.options.hand);
    if (!shorter || textFits(text, room.w, room.h, context.options.hand)) return [];
    const cost = formCost(demand, form, context, shorter) + (1 - shorter.length / text.length) * 30;
    return cost < Infinity ? [{ form, height: form.h, cost, text: shorter }] : [];
  });
}
