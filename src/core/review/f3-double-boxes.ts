import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { TOLERANCE } from '../measure/length';
import { boxesOf } from './boxes-of';

/** Less than this is not seen across a gap, mm. From memory. */
const SEEN = 0.3;

/** F3: a double box is cut so that its halves line up across the column gap. */
export const f3DoubleBoxes: Rule<Case> = {
  code: 'F3',
  title: 'The halves of a double box line up',
  say,
  check: (view) =>
    boxesOf(view)
      .filter((b) => b.piece.kind === 'double-box' && b.parts.length === 2)
      .flatMap((box): Found[] => {
        const [left, right] = [...box.parts].sort((a, b) => a.x - b.x) as [
          (typeof box.parts)[number],
          (typeof box.parts)[number],
        ];
        const where = { page: right.page, x: right.x, y: right.y, placements: [left.id, right.id] };
        const step = Math.abs(left.y - (left.cut?.y ?? 0) - (right.y - (right.cut?.y ?? 0)));
        const days = [box.days[0] as number, box.days.at(-1) as number] as const;
        if (left.page !== right.page)
          return [
            {
              rule: 'F3',
              severity: 'fix',
              ...where,
              about: { is: 'on two pages', days },
            },
          ];
        if (step > SEEN)
          return [
            {
              rule: 'F3',
              severity: 'fix',
              ...where,
              about: { is: 'out of line', days, mm: step },
            },
          ];
        const swapped = (left.cut?.x ?? 0) > (right.cut?.x ?? 0) + TOLERANCE;
        return swapped
          ? [
              {
                rule: 'F3',
                severity: 'fix',
                ...where,
                about: { is: 'on changed sides', days },
              },
            ]
          : [];
      }),
};

type Found = Finding<Case>;

type Case = { readonly days: readonly [number, number] } & (
  { readonly is: 'on two pages' | 'on changed sides' } | { readonly is: 'out of line'; readonly mm: number }
);

function say({ about }: Found, voice: Voice): Said {
  const halves = `The halves of the double box of ${about.days.map((day) => dayName(voice, day)).join(' and ')}`;
  switch (about.is) {
    case 'on two pages':
      return {
        message: `${halves} lie on two pages.`,
        remedy: 'Lay both halves on neighboring columns of one page.',
      };
    case 'on changed sides':
      return { message: `${halves} have changed sides.`, remedy: 'Change their places.' };
    case 'out of line':
      return {
        message: `${halves} are out of line by ${mm(voice, about.mm)}.`,
        remedy: `Move one of them by ${mm(voice, about.mm)}.`,
      };
  }
}
