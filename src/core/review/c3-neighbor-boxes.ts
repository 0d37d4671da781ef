import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { ALIKE } from '../arrange/boxes/boxes';
import { difference } from '../color/color';
import { colorsKnown } from './colors-known';
import { boxesOf } from './boxes-of';

/** C3: neighboring boxes differ in color and in motif, same-height neighbors most of all (CIEDE2000). */
export const c3NeighborBoxes: Rule<Case> = {
  code: 'C3',
  title: 'Neighboring boxes differ',
  say,
  check(view) {
    const boxes = boxesOf(view);
    const known = colorsKnown(view.context.kit);
    return boxes.flatMap((a) =>
      boxes
        .filter((b) => b !== a && b.days[0] === (a.days.at(-1) as number) + 1)
        .flatMap((b): Found[] => {
          const apart = Math.abs(a.rect.y - b.rect.y);
          const sameHeight = apart < 10;
          const motif = a.piece.motif !== '' && a.piece.motif === b.piece.motif;
          const distance = difference(a.piece.color, b.piece.color);
          const color = known && distance < (sameHeight ? ALIKE : ALIKE / 2);
          if (!motif && !color) return [];
          return [
            {
              rule: 'C3',
              severity: motif ? 'fix' : 'look',
              page: b.rect.page,
              x: b.rect.x,
              y: b.rect.y,
              placements: [...a.parts, ...b.parts].map((p) => p.id),
              about: {
                is: motif ? 'same motif' : 'same color',
                days: [a.days.at(-1) as number, b.days[0] as number],
                motif: a.piece.motif,
                distance,
                apart,
                sameHeight,
              },
            },
          ];
        }),
    );
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly is: 'same motif' | 'same color';
  readonly days: readonly [number, number];
  readonly motif: string;
  /** CIEDE2000 */
  readonly distance: number;
  /** mm from one's top to the other's */
  readonly apart: number;
  readonly sameHeight: boolean;
}

function say({ about }: Found, voice: Voice): Said {
  const days = about.days.map((day) => dayName(voice, day)).join(' and ');
  const least = about.sameHeight ? ALIKE : ALIKE / 2;
  return {
    message:
      about.is === 'same motif'
        ? `${days} have the same ${about.motif} side by side${about.sameHeight ? `, ${mm(voice, Math.round(about.apart))} apart in height` : ''}.`
        : `${days} have boxes of nearly one color side by side: a difference of ${about.distance.toFixed(0)}, under ${least} they look alike.`,
    remedy: 'Swap one of them with a box from another day.',
  };
}
