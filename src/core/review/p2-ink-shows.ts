import { BLACK, WHITE, inkFor } from '../spread/ink';
import { contrast } from '../color/color';
import { eachPlacement } from './each-placement';
import type { Finding, Rule } from './finding';
import { at, pieceName, sentence } from './say';

/** Contrast that handwriting needs at least: WCAG 2.2 asks 3 of large letters. */
const LEAST = 3;

/** P2: the ink shows on the piece's writing area (WCAG 2 contrast ratio). */
export const p2InkShows: Rule = {
  code: 'P2',
  title: 'The ink shows',
  check: eachPlacement((view, p): Finding[] => {
    if (!p.text || !p.ink) return [];
    const piece = view.pieceOf(p);
    if (!piece) return [];
    const ratio = contrast(p.ink?.startsWith('white') ? WHITE : BLACK, piece.color);
    if (ratio >= LEAST) return [];
    return [
      {
        rule: 'P2',
        severity: 'fix',
        ...at(p),
        placements: [p.id],
        message:
          `${p.ink} hardly shows on ${pieceName(view, p)}: a contrast of ${ratio.toFixed(1)}, and ${LEAST} is the least.`.replace(
            /^./,
            (c) => sentence(c),
          ),
        remedy: `Write with ${inkFor(piece)}, or swap the piece.`,
      },
    ];
  }),
};
