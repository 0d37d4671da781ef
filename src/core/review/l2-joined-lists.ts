import { HAIR } from '../measure/length';
import { bottom } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { listsOf } from './lists-of';
import { at, dayName, mm } from './say';

/** L2: more items than rows: two are joined, of the same design, edge to edge. */
export const l2JoinedLists: Rule = {
  code: 'L2',
  title: 'Joined lists are of one design',
  check(view) {
    const names = new Map(view.context.week.demands.map((d) => [d.uid, d.list]));
    const lists = listsOf(view)
      .filter(({ p }) => p.role === 'day' && p.items.length > 0)
      .sort((a, b) => a.p.y - b.p.y);
    return lists.flatMap((upper, i): Finding[] => {
      const name = names.get(upper.p.items[0] as string);
      const lower = lists
        .slice(i + 1)
        .find((l) => l.p.day === upper.p.day && name && names.get(l.p.items[0] as string) === name);
      if (!lower) return [];
      const where = { ...at(lower.p), placements: [upper.p.id, lower.p.id] };
      const day = dayName(view, upper.p.day as number);
      if (lower.piece !== upper.piece) {
        return [
          {
            rule: 'L2',
            severity: 'fix',
            ...where,
            message: `${day}’s list “${name}” is joined of two designs, ${upper.piece.code} and ${lower.piece.code}.`,
            remedy: 'Take both parts of one design.',
          },
        ];
      }
      const gap = lower.p.y - bottom(upper.p);
      if (Math.abs(gap) <= 2 * HAIR) return [];
      return [
        {
          rule: 'L2',
          severity: 'look',
          ...where,
          message: `${day}’s list “${name}” stands in two parts, ${mm(view, Math.abs(gap))} ${gap > 0 ? 'apart' : 'over each other'}.`,
          remedy: 'Lay them edge to edge.',
        },
      ];
    });
  },
};
