import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { isPattern } from '../art/motifs/registry';
import { pageOf } from '../book/columns';
import { boxesOf } from './boxes-of';

/** C7: printed scenes face into the spread; two of the same print are turned opposite ways. */
export const c7ScenesFaceIn: Rule<Case> = {
  code: 'C7',
  title: 'Scenes face into the spread',
  say,
  check(view) {
    const boxes = boxesOf(view);
    const outward = boxes.flatMap((box): Found[] => {
      const inward = pageOf(view.context.book, box.rect.page).bindingSide;
      if (box.piece.faces === 'none' || box.piece.faces === inward) return [];
      return [
        {
          rule: 'C7',
          severity: 'look',
          page: box.rect.page,
          x: box.rect.x,
          y: box.rect.y,
          placements: box.parts.map((p) => p.id),
          about: { is: 'looks out', days: [box.days[0] as number], motif: box.piece.motif, faces: box.piece.faces },
        },
      ];
    });
    const alike = boxes.flatMap((a, i) =>
      boxes
        .slice(i + 1)
        .filter((b) => b.piece === a.piece && isPattern(a.piece.motif) && a.parts[0]?.turn === b.parts[0]?.turn)
        .map((b): Found => ({
          rule: 'C7',
          severity: 'look',
          page: b.rect.page,
          x: b.rect.x,
          y: b.rect.y,
          placements: [...a.parts, ...b.parts].map((p) => p.id),
          about: { is: 'turned alike', days: [a.days[0] as number, b.days[0] as number], motif: a.piece.motif },
        })),
    );
    return [...outward, ...alike];
  },
};

type Found = Finding<Case>;

type Case =
  | {
      readonly is: 'looks out';
      readonly days: readonly [number];
      readonly motif: string;
      readonly faces: 'left' | 'right';
    }
  | { readonly is: 'turned alike'; readonly days: readonly [number, number]; readonly motif: string };

function say({ about }: Found, voice: Voice): Said {
  const [one, other] = about.days.map((day) => dayName(voice, day));
  return about.is === 'looks out'
    ? {
        message: `${one}’s ${about.motif || 'scene'} looks ${about.faces}, out of the spread.`,
        remedy: 'Swap it with a box of the other page.',
      }
    : {
        message: `${one} and ${other} have the same ${about.motif} turned the same way.`,
        remedy: 'Turn one of them upside down.',
      };
}
