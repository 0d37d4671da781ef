import { copyKey } from '../kit/ledger';
import { eachPlacement } from './each-placement';
import type { Finding, Rule } from './finding';
import { at, counted, pieceName, sentence } from './say';

/** Removable paper may be lifted so many times before its glue is spent. From memory. */
const LIFTS = 1;

/**
 * R3: every peel weakens the glue and may tear the paper's face; a piece peeled twice may need to be replaced, a torn
 * spot covered.
 */
export const r3Peeled: Rule = {
  code: 'R3',
  title: 'What was peeled holds still',
  check: eachPlacement((view, p): Finding[] => {
    const times = view.context.peeled[copyKey(p)] ?? 0;
    const piece = view.pieceOf(p);
    if (!times || !piece) return [];
    const removable = piece.finish === 'matte-removable';
    if (removable && times <= LIFTS) return [];
    return [
      {
        rule: 'R3',
        severity: removable ? 'look' : 'fix',
        ...at(p),
        placements: [p.id],
        message: removable
          ? `${sentence(pieceName(view, p))} was peeled ${counted(times, 'time')}; its glue may not hold any more.`
          : `${sentence(pieceName(view, p))} is ${piece.finish} and was peeled ${counted(times, 'time')}: it or the page under it may be torn.`,
        remedy: 'Take another copy; cover the spot where the page is torn.',
      },
    ];
  }),
};
