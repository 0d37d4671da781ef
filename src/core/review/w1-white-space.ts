import { dayColumn } from '../book/columns';
import { whiteSpace } from './balance';
import type { Finding, Rule } from './finding';
import { dayName, topOf } from './say';

/** A day may have this share less than is wanted before it is said. From memory. */
const SHORT = 0.15;

/** W1: a share of white space in each day, as the school or its owner wants it. */
export const w1WhiteSpace: Rule = {
  code: 'W1',
  title: 'White space as wanted',
  check(view) {
    const wanted = view.context.options.whiteSpace;
    if (!view.placements.length || wanted <= SHORT) return [];
    return [0, 1, 2, 3, 4, 5, 6].flatMap((day): Finding[] => {
      const share = whiteSpace(view, day);
      const boxed = view.context.ways.boxes < 7 && view.placements.some((p) => p.role === 'box' && p.day === day);
      if (!dayColumn(view.context.book, day) || boxed || share >= wanted - SHORT) return [];
      return [
        {
          rule: 'W1',
          severity: 'look',
          ...topOf(view, day),
          placements: [],
          message: `${dayName(view, day)} is fuller than wanted: ${Math.round(share * 100)} of 100 are white, ${Math.round(wanted * 100)} are wanted.`,
          remedy: 'Take a picture off, use lower bases, or move something to a neighbor day.',
        },
      ];
    });
  },
};
