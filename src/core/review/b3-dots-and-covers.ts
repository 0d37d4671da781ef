import { hasHole } from '../arrange/base/dates';
import { footprint } from '../spread/placement';
import { intersect } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { at, dayName } from './say';

/** B3: date dots before covers that have a hole, after those that have none. */
export const b3DotsAndCovers: Rule = {
  code: 'B3',
  title: 'Dots and covers go down in their order',
  check: (view) =>
    view.placements
      .filter((p) => view.pieceOf(p)?.kind === 'date-cover')
      .flatMap((cover): Finding[] => {
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
            message: `${dayName(view, cover.day ?? dot.day ?? 0)}’s date dot lies ${hole ? 'on' : 'under'} its cover, which has ${hole ? 'a hole for it' : 'no hole to show it'}.`,
            remedy: hole ? 'Lay the dot first and the cover over it.' : 'Lay the cover first and the dot on it.',
          }));
      }),
};
