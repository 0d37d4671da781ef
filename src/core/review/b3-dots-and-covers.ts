import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { hasHole } from '../arrange/base/dates';
import { footprint } from '../spread/placement';
import { intersect } from '../measure/rect';

/** B3: date dots before covers that have a hole, after those that have none. */
export const b3DotsAndCovers: Rule<Case> = {
  code: 'B3',
  title: 'Dots and covers go down in their order',
  say,
  check: (view) =>
    view.placements
      .filter((p) => view.pieceOf(p)?.kind === 'date-cover')
      .flatMap((cover): Found[] => {
        const hole = hasHole(view.pieceOf(cover) ?? { motif: '' });
        const dots = view.placements.filter(
          (p) =>
            p.page === cover.page && view.pieceOf(p)?.kind === 'date-dot' && intersect(footprint(p), footprint(cover)),
        );
        return dots
          .filter((dot) => (hole ? dot.layer >= cover.layer : dot.layer <= cover.layer))
          .map((dot) => ({
            rule: 'B3',
            severity: 'fix',
            ...at(dot),
            placements: [dot.id, cover.id],
            about: { is: hole ? 'on its cover' : 'under its cover', days: [cover.day ?? dot.day ?? 0] },
          }));
      }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly is: 'on its cover' | 'under its cover';
  readonly days: readonly [number];
}

function say({ about: { is, days } }: Found, voice: Voice): Said {
  const day = dayName(voice, days[0]);
  return is === 'on its cover'
    ? {
        message: `${day}’s date dot lies on its cover, which has a hole for it.`,
        remedy: 'Lay the dot first and the cover over it.',
      }
    : {
        message: `${day}’s date dot lies under its cover, which has no hole to show it.`,
        remedy: 'Lay the cover first and the dot on it.',
      };
}
