import { mayBeShortened } from '../arrange/boxes/box-fit';
import { HAIR } from '../measure/length';
import { boxesOf } from './boxes-of';
import type { Finding, Rule } from './finding';
import { dayName, mm } from './say';

/** F2: a box may be shortened by cutting it in two and overlapping the halves, if its pattern allows. */
export const f2ShortenedBoxes: Rule = {
  code: 'F2',
  title: 'Shortened boxes keep their pattern',
  check: (view) =>
    boxesOf(view)
      .filter((b) => b.days.length === 1 && b.parts.length > 1)
      .flatMap((box): Finding[] => {
        const by = box.piece.height - box.rect.h;
        const where = { page: box.rect.page, x: box.rect.x, y: box.rect.y, placements: box.parts.map((p) => p.id) };
        const day = dayName(view, box.days[0] as number);
        if (!mayBeShortened(box.piece)) {
          return [
            {
              rule: 'F2',
              severity: 'fix',
              ...where,
              message: `${day}’s full box is cut in two and overlapped by ${mm(view, by)}, through its picture of a ${box.piece.motif}.`,
              remedy: 'Shorten a patterned box instead, or trim this one.',
            },
          ];
        }
        const apart = Math.max(...box.parts.map((p) => Math.abs(p.x - box.rect.x)));
        if (apart <= HAIR) return [];
        return [
          {
            rule: 'F2',
            severity: 'fix',
            ...where,
            message: `The halves of ${day}’s shortened box stand ${mm(view, apart)} aside of each other.`,
            remedy: 'Lay both on one edge.',
          },
        ];
      }),
};
