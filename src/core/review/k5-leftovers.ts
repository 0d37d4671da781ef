import { pieceKey } from '../kit/kit';
import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm, pieceName, sentence } from '../spread/voice';
import { atHand } from '../spread/at-hand';
import { copyKey } from '../kit/ledger';
import { isStrip } from '../kit/kinds';
import { laidLooks } from '../spread/looks-name';

/** K5: leftovers are recorded, down to a strip's last 60 mm, and are used before another strip is begun. */
export const k5Leftovers: Rule<Case> = {
  code: 'K5',
  title: 'Leftovers of strips are used first',
  say,
  check(view) {
    const strips = view.placements.filter((p) => isStrip(view.pieceOf(p)?.kind));
    const begun = atHand(view.context);
    return strips.flatMap((p, i): Found[] => {
      const piece = view.pieceOf(p);
      if (!piece || begun.partsOf(piece, p.copy).length > 0 || strips.some((q) => q !== p && copyKey(q) === copyKey(p)))
        return [];
      const shorter = strips.some(
        (q, n) => q.kit === p.kit && q.code === p.code && (q.w < p.w || (q.w === p.w && n > i)),
      );
      const there = view.draft.ledger.lengthOfOffcuts(piece, p.copy);
      if (shorter || there < p.w) return [];
      return [
        {
          rule: 'K5',
          severity: 'look',
          ...at(p),
          placements: [p.id],
          about: { is: 'begun', pieces: [pieceKey(piece)], mm: there, wanted: p.w },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly mm: number;
  readonly wanted: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(pieceName(voice, id))} is cut from a new ${laidLooks(voice, voice.placement(id ?? ''))}, while ${mm(voice, about.mm)} of a begun one are left for its ${mm(voice, about.wanted)}.`,
    remedy: 'Cut it from what is left, and keep the new one whole.',
  };
}
