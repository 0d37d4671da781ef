import { HAIR } from '../measure/length';
import { boxesOf } from './boxes-of';
import type { Finding, Rule } from './finding';
import { dayName, mm } from './say';

/** Less than this is not seen across a gap, mm. From memory. */
const SEEN = 0.3;

/** F3: a double box is cut so that its halves line up across the column gap. */
export const f3DoubleBoxes: Rule = {
  code: 'F3',
  title: 'The halves of a double box line up',
  check: (view) =>
    boxesOf(view)
      .filter((b) => b.piece.kind === 'double-box' && b.parts.length === 2)
      .flatMap((box): Finding[] => {
        const [left, right] = [...box.parts].sort((a, b) => a.x - b.x) as [
          (typeof box.parts)[number],
          (typeof box.parts)[number],
        ];
        const where = { page: right.page, x: right.x, y: right.y, placements: [left.id, right.id] };
        const step = Math.abs(left.y - (left.cut?.y ?? 0) - (right.y - (right.cut?.y ?? 0)));
        const days = `${dayName(view, box.days[0] as number)} and ${dayName(view, box.days.at(-1) as number)}`;
        if (left.page !== right.page)
          return [
            {
              rule: 'F3',
              severity: 'fix',
              ...where,
              message: `The halves of the double box of ${days} lie on two pages.`,
              remedy: 'Lay both halves on neighboring columns of one page.',
            },
          ];
        if (step > SEEN)
          return [
            {
              rule: 'F3',
              severity: 'fix',
              ...where,
              message: `The halves of the double box of ${days} are out of line by ${mm(view, step)}.`,
              remedy: `Move one of them by ${mm(view, step)}.`,
            },
          ];
        const swapped = (left.cut?.x ?? 0) > (right.cut?.x ?? 0) + HAIR;
        return swapped
          ? [
              {
                rule: 'F3',
                severity: 'fix',
                ...where,
                message: `The halves of the double box of ${days} have changed sides.`,
                remedy: 'Change their places.',
              },
            ]
          : [];
      }),
};
