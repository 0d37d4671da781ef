import { ALIKE } from '../arrange/boxes';
import { difference } from '../color/color';
import type { Finding, Rule } from './finding';
import { at, dayName } from './say';

/** C3: neighboring boxes differ in color and in motif, same-height neighbors most of all (CIEDE2000). */
export const c3NeighborBoxes: Rule = {
  code: 'C3',
  title: 'Neighboring boxes differ',
  check(view) {
    const boxes = view.placements.filter((p) => p.role === 'box' && p.day !== null);
    return boxes.flatMap((a) =>
      boxes.filter((b) => b.day === (a.day as number) + 1).flatMap((b): Finding[] => {
        const [p, q] = [view.pieceOf(a), view.pieceOf(b)];
        if (!p || !q) return [];
        const sameHeight = Math.abs(a.y - b.y) < 10;
        const motif = p.motif !== '' && p.motif === q.motif;
        const distance = difference(p.color, q.color);
        const color = distance < (sameHeight ? ALIKE : ALIKE / 2);
        if (!motif && !color) return [];
        const days = `${dayName(view, a.day as number)} and ${dayName(view, b.day as number)}`;
        return [{
          rule: 'C3', severity: motif ? 'fix' : 'look', ...at(b), placements: [a.id, b.id],
          message: motif
            ? `${days} have the same ${p.motif} side by side${sameHeight ? `, ${Math.round(Math.abs(a.y - b.y))} mm apart in height` : ''}.`
            : `${days} have boxes of nearly one color side by side: a difference of ${distance.toFixed(0)}, under ${sameHeight ? ALIKE : ALIKE / 2} they look alike.`,
          remedy: 'Swap one of them with a box from another day.',
        }];
      }),
    );
  },
};
