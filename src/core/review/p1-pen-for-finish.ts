import { at } from './where';
import type { Finish } from '../kit/kinds';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { pieceName, sentence } from '../spread/voice';
import { PAPER, inkFor } from '../spread/ink';
import { isWriting } from '../spread/placement';
import { eachPlacement } from './each-placement';

const MARKER_ONLY = ['glossy', 'vinyl', 'clear'];

/** P1: the finish decides on the pen: glossy and vinyl take permanent marker only, on matte it bleeds or looks dull. */
export const p1PenForFinish: Rule<Case> = {
  code: 'P1',
  title: 'The pen suits the finish',
  say,
  check: eachPlacement((view, p): Found[] => {
    if (!p.text || !p.ink) return [];
    const piece = isWriting(p) ? PAPER : view.pieceOf(p);
    if (!piece) return [];
    const marker = p.ink?.includes('marker') ?? false;
    const wanted = MARKER_ONLY.includes(piece.finish);
    if (marker === wanted) return [];
    return [
      {
        rule: 'P1',
        severity: wanted ? 'fix' : 'look',
        ...at(p),
        placements: [p.id],
        about: { is: wanted ? 'marker wanted' : 'marker', finish: piece.finish, ink: p.ink, better: inkFor(piece) },
      },
    ];
  }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly is: 'marker wanted' | 'marker';
  readonly finish: Finish;
  readonly ink: string;
  /** the pen that suits */
  readonly better: string;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  const piece = sentence(pieceName(voice, id));
  return {
    message:
      about.is === 'marker wanted'
        ? `${piece} is ${about.finish}: ${about.ink} does not hold on it.`
        : `${piece} is matte: ${about.ink} bleeds or looks dull on it.`,
    remedy: `Write with ${about.better}.`,
  };
}
