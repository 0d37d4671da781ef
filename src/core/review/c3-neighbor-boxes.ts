import { ALIKE } from '../arrange/boxes/boxes';
import { difference } from '../color/color';
import { boxesOf } from './boxes-of';
import type { Finding, Rule } from './finding';
import { dayName } from './say';

/** C3: neighboring boxes differ in color and in motif, same-height neighbors most of all (CIEDE2000). */
export const c3NeighborBoxes: Rule = {
  code: 'C3',
  title: 'Neighboring boxes differ',
  check(view) {
    const boxes = boxesOf(view);
    return boxes.flatMap((a) =>
      boxes
        .filter((b) => b !== a && b.days[0] === (a.days.at(-1) as number) + 1)
        .flatMap((b): Finding[] => {
          const apart = Math.abs(a.rect.y - b.rect.y);
          const sameHeight = apart < 10;
          const motif = a.piece.motif !== '' && a.piece.motif === b.piece.motif;
          const distance = difference(a.piece.color, b.piece.color);
          const color = distance < (sameHeight ? ALIKE : ALIKE / 2);
          if (!motif && !color) return [];
          const days = `${dayName(view, a.days.at(-1) as number)} and ${dayName(view, b.days[0] as number)}`;
          return [
            {
              rule: 'C3',
              severity: motif ? 'fix' : 'look',
              page: b.rect.page,
              x: b.rect.x,
              y: b.rect.y,
              placements: [...a.parts, ...b.parts].map((p) => p.id),
              message: motif
                ? `${days} have the same ${a.piece.motif} side by side${sameHeight ? `, ${Math.round(apart)} mm apart in height` : ''}.`
                : `${days} have boxes of nearly one color side by side: a difference of ${distance.toFixed(0)}, under ${sameHeight ? ALIKE : ALIKE / 2} they look alike.`,
              remedy: 'Swap one of them with a box from another day.',
            },
          ];
        }),
    );
  },
};
