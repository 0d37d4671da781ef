import { topOf } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { dayColumn } from '../book/columns';
import { whiteSpace } from './balance';

/** A day may have this share less than is wanted before it is said. From memory. */
const SHORT = 0.15;

/** W1: a share of white space in each day, as the school or its owner wants it. */
export const w1WhiteSpace: Rule<Case> = {
  code: 'W1',
  title: 'White space as wanted',
  say,
  check(view) {
    const wanted = view.context.options.whiteSpace;
    if (!view.placements.length || wanted <= SHORT) return [];
    return [0, 1, 2, 3, 4, 5, 6].flatMap((day): Found[] => {
      const share = whiteSpace(view, day);
      const boxed = view.context.ways.boxes < 7 && view.placements.some((p) => p.role === 'box' && p.day === day);
      if (!dayColumn(view.context.book, day) || boxed || share >= wanted - SHORT) return [];
      return [
        {
          rule: 'W1',
          severity: 'look',
          ...topOf(view, day),
          placements: [],
          about: { is: 'fuller', days: [day], share, wanted },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly days: readonly [number];
  /** 0-1 */
  readonly share: number;
  readonly wanted: number;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `${dayName(voice, about.days[0])} is fuller than wanted: ${Math.round(about.share * 100)} of 100 are white, ${Math.round(about.wanted * 100)} are wanted.`,
    remedy: 'Take a picture off, use lower bases, or move something to a neighbor day.',
  };
}
