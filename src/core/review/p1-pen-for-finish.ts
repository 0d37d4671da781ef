import { inkFor } from '../spread/ink';
import { eachPlacement } from './each-placement';
import type { Finding, Rule } from './finding';
import { at, pieceName, sentence } from './say';

const MARKER_ONLY = ['glossy', 'vinyl', 'clear'];

/** P1: the finish decides on the pen: glossy and vinyl take permanent marker only, on matte it bleeds or looks dull. */
export const p1PenForFinish: Rule = {
  code: 'P1',
  title: 'The pen suits the finish',
  check: eachPlacement((view, p): Finding[] => {
    if (!p.text || !p.ink) return [];
    const piece = view.pieceOf(p);
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
        message: wanted
          ? `${sentence(pieceName(view, p))} is ${piece.finish}: ${p.ink} does not hold on it.`
          : `${sentence(pieceName(view, p))} is matte: ${p.ink} bleeds or looks dull on it.`,
        remedy: `Write with ${inkFor(piece)}.`,
      },
    ];
  }),
};
