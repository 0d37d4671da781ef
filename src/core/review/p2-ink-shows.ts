import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { pieceName, sentence } from '../spread/voice';
import { at } from './where';
import { BLACK, PAPER, WHITE, inkFor, showsOn } from '../spread/ink';
import { isWriting } from '../spread/placement';
import { eachPlacement } from './each-placement';

/** Contrast that handwriting needs at least: WCAG 2.2 asks 3 of large letters. */
const LEAST = 3;

/** P2: the ink shows on the piece's writing area (WCAG 2 contrast ratio). */
export const p2InkShows: Rule<Case> = {
  code: 'P2',
  title: 'The ink shows',
  say,
  check: eachPlacement((view, p): Found[] => {
    if (!p.text || !p.ink) return [];
    const piece = isWriting(p) ? PAPER : view.pieceOf(p);
    if (!piece) return [];
    const ratio = showsOn(piece, p.ink.startsWith('white') ? WHITE : BLACK);
    if (ratio >= LEAST) return [];
    return [
      {
        rule: 'P2',
        severity: 'fix',
        ...at(p),
        placements: [p.id],
        about: { is: 'too faint', ratio, ink: p.ink, better: inkFor(piece) },
      },
    ];
  }),
};

type Found = Finding<Case>;

interface Case extends About {
  /** WCAG 2.2 contrast ratio */
  readonly ratio: number;
  readonly ink: string;
  readonly better: string;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(about.ink)} hardly shows on ${pieceName(voice, id)}: a contrast of ${about.ratio.toFixed(1)}, and ${LEAST} is the least.`,
    remedy: `Write with ${about.better}, or swap the piece.`,
  };
}
