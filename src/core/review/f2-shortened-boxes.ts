import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { mayBeShortened } from '../arrange/boxes/box-fit';
import { TOLERANCE } from '../measure/length';
import { boxesOf } from './boxes-of';

/** F2: a box may be shortened by cutting it in two and overlapping the halves, if its pattern allows. */
export const f2ShortenedBoxes: Rule<Case> = {
  code: 'F2',
  title: 'Shortened boxes keep their pattern',
  say,
  check: (view) =>
    boxesOf(view)
      .filter((b) => b.days.length === 1 && b.parts.length > 1)
      .flatMap((box): Found[] => {
        const by = box.piece.height - box.rect.h;
        const where = { page: box.rect.page, x: box.rect.x, y: box.rect.y, placements: box.parts.map((p) => p.id) };
        const day = box.days[0] as number;
        if (!mayBeShortened(box.piece)) {
          return [
            {
              rule: 'F2',
              severity: 'fix',
              ...where,
              about: { is: 'through its picture', days: [day], mm: by, motif: box.piece.motif },
            },
          ];
        }
        const apart = Math.max(...box.parts.map((p) => Math.abs(p.x - box.rect.x)));
        if (apart <= TOLERANCE) return [];
        return [
          {
            rule: 'F2',
            severity: 'fix',
            ...where,
            about: { is: 'aside', days: [day], mm: apart },
          },
        ];
      }),
};

type Found = Finding<Case>;

type Case = { readonly days: readonly [number]; readonly mm: number } & (
  { readonly is: 'through its picture'; readonly motif: string } | { readonly is: 'aside' }
);

function say({ about }: Found, voice: Voice): Said {
  const day = dayName(voice, about.days[0]);
  return about.is === 'aside'
    ? {
        message: `The halves of ${day}’s shortened box are ${mm(voice, about.mm)} out of line.`,
        remedy: 'Lay both on one edge.',
      }
    : {
        message: `${day}’s full box is cut in two and overlapped by ${mm(voice, about.mm)}, through its picture of a ${about.motif}.`,
        remedy: 'Shorten a patterned box instead, or trim this one.',
      };
}
