import { at } from './where';
import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, mm, pieceName, sentence } from '../spread/voice';
import { rowsTaken } from '../spread/list-text';
import { listsOf } from './lists-of';

/** L1: a checklist is cut to the number of its items. */
export const l1RowsOfLists: Rule<Case> = {
  code: 'L1',
  title: 'Lists are cut to their items',
  say,
  check: (view) =>
    listsOf(view)
      .filter(({ p }) => p.role === 'day' && p.items.length > 0)
      .flatMap(({ p, rows, pitch }): Found[] => {
        const over = rows - rowsTaken(p);
        if (over === 0) return [];
        return over > 0
          ? [
              {
                rule: 'L1',
                severity: 'look',
                ...at(p),
                placements: [p.id],
                about: { is: 'too long', mm: over * pitch, rows, items: rowsTaken(p) },
              },
            ]
          : [
              {
                rule: 'L1',
                severity: 'fix',
                ...at(p),
                placements: [p.id],
                about: { is: 'too short', rows, items: rowsTaken(p) },
              },
            ];
      }),
};

type Found = Finding<Case>;

type Case = { readonly rows: number; readonly items: number } & (
  { readonly is: 'too long'; readonly mm: number } | { readonly is: 'too short' }
);

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  const list = `${sentence(pieceName(voice, id))} has ${counted(about.rows, 'row')}`;
  const apart = Math.abs(about.rows - about.items);
  return about.is === 'too long'
    ? {
        message: `${list} for ${counted(about.items, 'item')}.`,
        remedy: `Cut ${mm(voice, about.mm)} off its foot and keep ${apart === 1 ? 'the row' : `the ${apart} rows`}.`,
      }
    : {
        message: `${list}, ${apart} fewer than its ${about.items} items.`,
        remedy: `Join ${counted(apart, 'row')} of the same design to it.`,
      };
}
