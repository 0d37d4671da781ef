import { footprint } from '../spread/placement';
import { traits } from '../kit/kinds';
import { area, intersect } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { at, mm, pieceName, sentence } from './say';

/** Shares of a piece under another one that are hidden by mistake: less is a tip or a bow. From memory. */
const HIDDEN = 0.1;

/** B4: a piece that must overlap goes on after what it overlaps: nothing made to lie on top is buried. */
export const b4OverlapsOnTop: Rule = {
  code: 'B4',
  title: 'What must overlap goes on last',
  check(view) {
    const overlays = view.placements.filter((p) => {
      const piece = view.pieceOf(p);
      return piece !== undefined && traits(piece.kind).overlay === true && piece.kind !== 'date-dot';
    });
    return overlays.flatMap((p) =>
      view.placements
        .filter(
          (q) =>
            q.page === p.page &&
            q.layer > p.layer &&
            view.pieceOf(q)?.opacity === 1 &&
            !traits(view.pieceOf(q)?.kind ?? 'label').overlay,
        )
        .flatMap((q): Finding[] => {
          const shared = intersect(footprint(p), footprint(q));
          if (!shared || area(shared) / area(footprint(p)) < HIDDEN) return [];
          return [
            {
              rule: 'B4',
              severity: 'fix',
              ...at(p),
              placements: [p.id, q.id],
              message: `${sentence(pieceName(view, p))} lies under ${pieceName(view, q)}, which hides ${mm(view, shared.w)} × ${mm(view, shared.h)} of it.`,
              remedy: 'Lay it on after the other one.',
            },
          ];
        }),
    );
  },
};
