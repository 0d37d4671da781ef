import { FOREIGN, strangeness } from '../spread/choose';
import { eachPlacement } from './each-placement';
import type { Finding, Rule } from './finding';
import { at, pieceName, sentence } from './say';

/** C1: what is pulled in matches the kit's palette, judged by perceived difference (CIEDE2000), not by name. */
export const c1MatchingPalette: Rule = {
  code: 'C1',
  title: 'What is pulled in matches the kit',
  check: eachPlacement((view, p): Finding[] => {
    const piece = view.pieceOf(p);
    const distance = piece ? strangeness(piece, view.context) : 0;
    if (!piece || distance <= FOREIGN) return [];
    return [
      {
        rule: 'C1',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        message: `${sentence(pieceName(view, p))}, ${piece.code} from ${piece.kit}, is ${distance.toFixed(0)} away from the nearest color of the kit; over ${FOREIGN} it looks foreign.`,
        remedy: 'Swap it for one nearer to the kit.',
      },
    ];
  }),
};
