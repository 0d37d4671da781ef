import { atHand } from '../spread/at-hand';
import { topOf } from './where';
import { sayMakeshift } from '../arrange/counting/say-makeshift';
import type { Makeshift } from '../arrange/counting/makeshift-ways';
import type { Kind } from '../kit/kinds';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, kitName, sentence } from '../spread/voice';
import { frameNeeds } from '../arrange/counting/needs';
import { makeshiftIn } from '../arrange/counting/makeshift-ways';
import { traits } from '../kit/kinds';
import { sayPlanned } from '../kit/planned';
import type { WeekName } from '../week/week';
import { countOf } from './count-of';

/** K2: what is lacking and not in the stash either is made, or ordered in time. */
export const k2WhatLacks: Rule<Case> = {
  code: 'K2',
  title: 'What is lacking is made or ordered',
  say,
  check: (view) =>
    frameNeeds(view.context).flatMap((need): Found[] => {
      const { inKit, inStash, unfit, covered, planned } = countOf(view, need);
      const lacking = need.needed - inKit - inStash;
      if (covered || need.needed === 0 || lacking <= 0) return [];
      const makeshift = makeshiftIn(view.context, need.kind, atHand(view.context));
      return [
        {
          rule: 'K2',
          severity: makeshift ? 'look' : 'fix',
          ...topOf(view, 0),
          placements: [],
          about: {
            is: 'lacking',
            kind: need.kind,
            kit: view.context.kit.name,
            lacking,
            needed: need.needed,
            inKit,
            inStash,
            unfit,
            planned,
            makeshift,
          },
        },
      ];
    }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly kind: Kind;
  readonly kit: string;
  readonly lacking: number;
  readonly needed: number;
  readonly inKit: number;
  readonly inStash: number;
  readonly unfit: number;
  /** weeks that have copies planned, one entry a copy */
  readonly planned: readonly WeekName[];
  readonly makeshift: Makeshift | null;
}

function say({ about }: Found, voice: Voice): Said {
  const { label, plural } = traits(about.kind);
  return {
    message: `${counted(about.lacking, label, plural)} ${about.lacking === 1 ? 'is' : 'are'} lacking: the week wants ${about.needed}, the kit “${kitName(voice, about.kit)}” has ${about.inKit}${about.unfit ? ` that ${about.inKit === 1 ? 'fits' : 'fit'}` : ''}${about.planned.length ? ` (${sayPlanned(about.planned)})` : ''}, the stash ${about.inStash}.`,
    remedy: about.makeshift ? `${sentence(sayMakeshift(about.makeshift))}.` : 'Order more, or do without this week.',
  };
}
