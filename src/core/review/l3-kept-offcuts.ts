import { copyKey } from '../kit/ledger';
import type { Finding, Rule } from './finding';
import { listsOf } from './lists-of';
import { at, counted, pieceName, sentence } from './say';

/** L3: offcuts with rows on them are kept, and a list that fits on one is cut from it. */
export const l3KeptOffcuts: Rule = {
  code: 'L3',
  title: 'Offcuts of lists are used first',
  check(view) {
    const { draft } = view;
    const lists = listsOf(view);
    return lists.flatMap(({ p, piece, rows }, i): Finding[] => {
      const shared =
        lists.some((other) => other.p !== p && copyKey(other.p) === copyKey(p)) ||
        view.context.usedElsewhere.some((t) => copyKey(t) === copyKey(p));
      const there = draft.ledger.rowsOfOffcuts(piece, p.copy);
      const shorter = lists.some(
        (other, n) => other.piece === piece && other.p !== p && (other.rows < rows || (other.rows === rows && n > i)),
      );
      if (shared || shorter || rows >= piece.rows || there < rows) return [];
      return [
        {
          rule: 'L3',
          severity: 'look',
          ...at(p),
          placements: [p.id],
          message: `${sentence(pieceName(view, p))} is cut from a new ${piece.code}, while an offcut with ${counted(there, 'row')} is there for its ${rows}.`,
          remedy: 'Cut it from the offcut and keep the new list whole.',
        },
      ];
    });
  },
};
