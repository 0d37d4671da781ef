import { regionsOf } from '../book/columns';
import { footprint } from '../spread/placement';
import { area, intersect, unionArea } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { mm } from './say';

/** Shares of a flag that are as good as nothing, and as good as all of it. */
const NONE = 0.04;
const ALL = 0.96;

/** B6: month flags are covered or left on purpose, never half covered. */
export const b6MonthFlags: Rule = {
  code: 'B6',
  title: 'Month flags whole or not at all',
  check: (view) =>
    regionsOf(view.context.printed, 'month-flag').flatMap((flag): Finding[] => {
      if (view.context.options.monthFlags) return []; // whited out in any case (B1)
      const over = view.placements.filter((p) => p.page === flag.page && intersect(footprint(p), flag));
      const covered = unionArea(over.flatMap((p) => intersect(footprint(p), flag) ?? []));
      const share = covered / area(flag);
      if (share <= NONE || share >= ALL) return [];
      return [
        {
          rule: 'B6',
          severity: 'fix',
          page: flag.page,
          x: flag.x,
          y: flag.y,
          placements: over.map((p) => p.id),
          message: `A month flag is half covered: ${Math.round(share * 100)} of 100 of its ${mm(view, flag.w)} × ${mm(view, flag.h)}.`,
          remedy: 'Move what lies over it, or set the spread to cover month flags.',
        },
      ];
    }),
};
