import { copyKey } from '../kit/ledger';
import { isStrip } from '../kit/kinds';
import type { Finding, Rule } from './finding';
import { at, mm, pieceName, sentence } from './say';

/** K5: leftovers are recorded, down to a strip's last 60 mm, and are used before another strip is begun. */
export const k5Leftovers: Rule = {
  code: 'K5',
  title: 'Leftovers of strips are used first',
  check(view) {
    const strips = view.placements.filter((p) => isStrip(view.pieceOf(p)?.kind));
    const begun = new Set(view.context.usedElsewhere.map(copyKey));
    return strips.flatMap((p, i): Finding[] => {
      const piece = view.pieceOf(p);
      if (!piece || begun.has(copyKey(p)) || strips.some((q) => q !== p && copyKey(q) === copyKey(p))) return [];
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
          message: `${sentence(pieceName(view, p))} is cut from a new ${piece.code}, while ${mm(view, there)} of a begun one are left for its ${mm(view, p.w)}.`,
          remedy: 'Cut it from what is left, and keep the new one whole.',
        },
      ];
    });
  },
};
