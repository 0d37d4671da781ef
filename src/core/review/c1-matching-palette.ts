import { pieceKey } from '../kit/kit';
import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { kitName, pieceName, sentence } from '../spread/voice';
import { FOREIGN, strangeness } from '../spread/choose';
import { eachPlacement } from './each-placement';
import { laidLooks } from '../spread/looks-name';

/** C1: what is pulled in matches the kit's palette, judged by perceived difference (CIEDE2000), not by name. */
export const c1MatchingPalette: Rule<Case> = {
  code: 'C1',
  title: 'What is pulled in matches the kit',
  say,
  check: eachPlacement((view, p): Found[] => {
    const piece = view.pieceOf(p);
    const distance = piece ? strangeness(piece, view.context) : 0;
    if (!piece || distance <= FOREIGN) return [];
    return [
      {
        rule: 'C1',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        about: { is: 'foreign', pieces: [pieceKey(piece)], distance },
      },
    ];
  }),
};

type Found = Finding<Case>;

interface Case extends About {
  /** CIEDE2000, to the nearest color of the kit */
  readonly distance: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  const p = voice.placement(id ?? '');
  return {
    message: `${sentence(pieceName(voice, id))}, the ${laidLooks(voice, p)} from “${kitName(voice, p?.kit ?? '')}”, is ${about.distance.toFixed(0)} away from the nearest color of the kit; over ${FOREIGN} it looks foreign.`,
    remedy: 'Swap it for one nearer to the kit.',
  };
}
