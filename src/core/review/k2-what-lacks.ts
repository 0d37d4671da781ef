import { frameNeeds } from '../arrange/counting/needs';
import { makeshiftIn } from '../arrange/counting/enough';
import { traits } from '../kit/kinds';
import { spokenName } from '../kit/kit';
import { longDay } from '../week/day-names';
import { countOf } from './count-of';
import type { Finding, Rule } from './finding';
import { counted, sentence, topOf } from './say';

/** K2: what is lacking and not in the stash either is made, or ordered in time. */
export const k2WhatLacks: Rule = {
  code: 'K2',
  title: 'What is lacking is made or ordered',
  check: (view) =>
    frameNeeds(view.context).flatMap((need): Finding[] => {
      const { inKit, inStash, covered } = countOf(view, need);
      const lacking = need.needed - inKit - inStash;
      if (covered || need.needed === 0 || lacking <= 0) return [];
      const { label, plural } = traits(need.kind);
      const makeshift = makeshiftIn(view.context, need.kind, view.draft.ledger);
      return [
        {
          rule: 'K2',
          severity: makeshift ? 'look' : 'fix',
          ...topOf(view, 0),
          placements: [],
          message: `${counted(lacking, label, plural)} ${lacking === 1 ? 'is' : 'are'} lacking: the week wants ${need.needed}, the kit “${spokenName(view.context.kit.name)}” has ${inKit}, the stash ${inStash}.`,
          remedy: makeshift
            ? `${sentence(makeshift)}.`
            : `Order in time for ${longDay(view.context.week.days[0] as string)}, or do without this week.`,
        },
      ];
    }),
};
