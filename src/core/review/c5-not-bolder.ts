import { isOf } from '../kit/is-of';
import { pieceKey } from '../kit/kit';
import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { kitName, pieceName, sentence } from '../spread/voice';
import { boldness } from '../color/boldness';
import { laidLooks } from '../spread/looks-name';

/** A piece may be this much bolder before it is seen. From memory. */
const SEEN = 0.03;

/** C5: a pulled-in piece is not bolder (darker, more saturated) than the kit's own boldest. */
export const c5NotBolder: Rule<Case> = {
  code: 'C5',
  title: 'Nothing pulled in is bolder than the kit',
  say,
  check(view) {
    const boldest = Math.max(0, ...view.context.kit.pieces.map((p) => boldness(p.color)));
    return view.placements.flatMap((p): Found[] => {
      const piece = view.pieceOf(p);
      if (!piece || isOf(view.context.kit, piece)) return [];
      const over = boldness(piece.color) - boldest;
      if (over <= SEEN) return [];
      return [
        {
          rule: 'C5',
          severity: 'look',
          ...at(p),
          placements: [p.id],
          about: { is: 'bolder', pieces: [pieceKey(piece)], bold: boldness(piece.color), boldest },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  /** see `boldness`, of the piece and of the kit's boldest */
  readonly bold: number;
  readonly boldest: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  const p = voice.placement(id ?? '');
  return {
    message: `${sentence(pieceName(voice, id))}, the ${laidLooks(voice, p)} from “${kitName(voice, p?.kit ?? '')}”, is bolder than anything in the kit: ${about.bold.toFixed(2)} against ${about.boldest.toFixed(2)}.`,
    remedy: 'Swap it for a quieter one.',
  };
}
