import { pieceKey } from '../kit/kit';
import { at } from './where';
import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { TOLERANCE } from '../measure/length';
import { bottom } from '../measure/rect';
import { listsOf } from './lists-of';
import { laidLooks } from '../spread/looks-name';

/** L2: more items than rows: two are joined, of the same design, edge to edge. */
export const l2JoinedLists: Rule<Case> = {
  code: 'L2',
  title: 'Joined lists are of one design',
  say,
  check(view) {
    const names = new Map(view.context.week.demands.map((d) => [d.uid, d.list]));
    const lists = listsOf(view)
      .filter(({ p }) => p.role === 'day' && p.items.length > 0)
      .sort((a, b) => a.p.y - b.p.y);
    return lists.flatMap((upper, i): Found[] => {
      const name = names.get(upper.p.items[0] as string);
      const lower = lists
        .slice(i + 1)
        .find((l) => l.p.day === upper.p.day && name && names.get(l.p.items[0] as string) === name);
      if (!lower) return [];
      const where = { ...at(lower.p), placements: [upper.p.id, lower.p.id] };
      const day = upper.p.day as number;
      if (lower.piece !== upper.piece) {
        return [
          {
            rule: 'L2',
            severity: 'fix',
            ...where,
            about: {
              is: 'two designs',
              days: [day],
              list: name ?? '',
              pieces: [pieceKey(upper.piece), pieceKey(lower.piece)],
            },
          },
        ];
      }
      const gap = lower.p.y - bottom(upper.p);
      if (Math.abs(gap) <= 2 * TOLERANCE) return [];
      return [
        {
          rule: 'L2',
          severity: 'look',
          ...where,
          about: { is: 'apart', days: [day], list: name ?? '', mm: Math.abs(gap), over: gap < 0 },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

type Case = { readonly days: readonly [number]; readonly list: string } & (
  | { readonly is: 'two designs'; readonly pieces: readonly string[] }
  | { readonly is: 'apart'; readonly mm: number; readonly over: boolean }
);

function say({ about, placements }: Found, voice: Voice): Said {
  const looks = new Set(placements.map((id) => laidLooks(voice, voice.placement(id))));
  const list = `${dayName(voice, about.days[0])}’s list “${about.list}”`;
  return about.is === 'two designs'
    ? {
        message: `${list} is joined of two designs${looks.size > 1 ? `, ${[...looks].join(' and ')}` : ''}.`,
        remedy: 'Take both parts of one design.',
      }
    : {
        message: `${list} is in two parts, ${mm(voice, about.mm)} ${about.over ? 'over each other' : 'apart'}.`,
        remedy: 'Lay them edge to edge.',
      };
}
