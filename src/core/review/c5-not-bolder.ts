import { boldness } from '../color/boldness';
import type { Finding, Rule } from './finding';
import { at, pieceName, sentence } from './say';

/** A piece may be this much bolder before it is seen. From memory. */
const SEEN = 0.03;

/** C5: a pulled-in piece is not bolder (darker, more saturated) than the kit's own boldest. */
export const c5NotBolder: Rule = {
  code: 'C5',
  title: 'Nothing pulled in is bolder than the kit',
  check(view) {
    const boldest = Math.max(0, ...view.context.kit.pieces.map((p) => boldness(p.color)));
    return view.placements.flatMap((p): Finding[] => {
      const piece = view.pieceOf(p);
      if (!piece || piece.kit === view.context.kit.name) return [];
      const over = boldness(piece.color) - boldest;
      if (over <= SEEN) return [];
      return [
        {
          rule: 'C5',
          severity: 'look',
          ...at(p),
          placements: [p.id],
          message: `${sentence(pieceName(view, p))}, ${piece.code} from ${piece.kit}, is bolder than anything in the kit: ${boldness(piece.color).toFixed(2)} against ${boldest.toFixed(2)}.`,
          remedy: 'Swap it for a quieter one.',
        },
      ];
    });
  },
};
