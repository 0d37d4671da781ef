import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm, pieceName, sentence } from '../spread/voice';
import { footprint } from '../spread/placement';
import { traits } from '../kit/kinds';
import { area, intersect } from '../measure/rect';

/** Shares of a piece under another one that are hidden by mistake: less is a tip or a bow. From memory. */
const HIDDEN = 0.1;

/** B4: a piece that must overlap goes on after what it overlaps: nothing made to lie on top is buried. */
export const b4OverlapsOnTop: Rule<Case> = {
  code: 'B4',
  title: 'What must overlap goes on last',
  say,
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
        .flatMap((q): Found[] => {
          const shared = intersect(footprint(p), footprint(q));
          if (!shared || area(shared) / area(footprint(p)) < HIDDEN) return [];
          return [
            {
              rule: 'B4',
              severity: 'fix',
              ...at(p),
              placements: [p.id, q.id],
              about: { is: 'buried', wide: shared.w, tall: shared.h },
            },
          ];
        }),
    );
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly wide: number;
  readonly tall: number;
}

function say({ about, placements: [under, over] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(pieceName(voice, under))} lies under ${pieceName(voice, over)}, which hides ${mm(voice, about.wide)} × ${mm(voice, about.tall)} of it.`,
    remedy: 'Lay it on after the other one.',
  };
}
