import type { Finding, Rule } from './finding';
import { listsOf } from './lists-of';
import { at, counted, mm, pieceName, sentence } from './say';

/** L1: a checklist is cut to the number of its items. */
export const l1RowsOfLists: Rule = {
  code: 'L1',
  title: 'Lists are cut to their items',
  check: (view) =>
    listsOf(view)
      .filter(({ p }) => p.role === 'day' && p.items.length > 0)
      .flatMap(({ p, rows, pitch }): Finding[] => {
        const over = rows - p.items.length;
        if (over === 0) return [];
        const name = sentence(pieceName(view, p));
        return over > 0
          ? [
              {
                rule: 'L1',
                severity: 'look',
                ...at(p),
                placements: [p.id],
                message: `${name} has ${counted(rows, 'row')} for ${counted(p.items.length, 'item')}.`,
                remedy: `Cut ${mm(view, over * pitch)} off its foot and keep ${over === 1 ? 'the row' : `the ${over} rows`}.`,
              },
            ]
          : [
              {
                rule: 'L1',
                severity: 'fix',
                ...at(p),
                placements: [p.id],
                message: `${name} has ${counted(rows, 'row')}, ${-over} fewer than its ${p.items.length} items.`,
                remedy: `Join ${counted(-over, 'row')} of the same design to it.`,
              },
            ];
      }),
};
