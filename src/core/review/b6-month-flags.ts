import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm } from '../spread/voice';
import { regionsOf } from '../book/columns';
import { footprint } from '../spread/placement';
import { area, intersect, unionArea } from '../measure/rect';

/** Shares of a flag that are as good as nothing, and as good as all of it. */
const NONE = 0.04;
const ALL = 0.96;

/** B6: month flags are covered or left on purpose, never half covered. */
export const b6MonthFlags: Rule<Case> = {
  code: 'B6',
  title: 'Month flags whole or not at all',
  say,
  check: (view) =>
    regionsOf(view.context.printed, 'month-flag').flatMap((flag): Found[] => {
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
          about: { is: 'half covered', share, wide: flag.w, tall: flag.h },
        },
      ];
    }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly share: number;
  readonly wide: number;
  readonly tall: number;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `A month flag is half covered: ${Math.round(about.share * 100)} % of its ${mm(voice, about.wide)} × ${mm(voice, about.tall)}.`,
    remedy: 'Move what lies over it, or set the spread to cover month flags.',
  };
}
