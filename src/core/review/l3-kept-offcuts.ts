import { pieceKey } from '../kit/kit';
import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, pieceName, sentence } from '../spread/voice';
import { atHand } from '../spread/at-hand';
import { copyKey } from '../kit/ledger';
import { listsOf } from './lists-of';
import { laidLooks } from '../spread/looks-name';

/** L3: offcuts with rows on them are kept, and a list that fits on one is cut from it. */
export const l3KeptOffcuts: Rule<Case> = {
  code: 'L3',
  title: 'Offcuts of lists are used first',
  say,
  check(view) {
    const { draft } = view;
    const lists = listsOf(view);
    return lists.flatMap(({ p, piece, rows }, i): Found[] => {
      const shared =
        lists.some((other) => other.p !== p && copyKey(other.p) === copyKey(p)) ||
        atHand(view.context).partsOf(piece, p.copy).length > 0;
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
          about: { is: 'offcut', pieces: [pieceKey(piece)], there, rows },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  /** rows on the offcut, and of the list */
  readonly there: number;
  readonly rows: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(pieceName(voice, id))} is cut from a new ${laidLooks(voice, voice.placement(id ?? ''))}, while an offcut with ${counted(about.there, 'row')} is there for its ${about.rows}.`,
    remedy: 'Cut it from the offcut and keep the new list whole.',
  };
}
