import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm, pieceName, sentence } from '../spread/voice';
import { footprint } from '../spread/placement';
import { traits } from '../kit/kinds';
import { area, intersect } from '../measure/rect';

/** Less than this over the edge is a tip, mm. From memory. */
const TIP = 1;

/**
 * R2: small stacks are built on the backing sheet: what lies on a base lies wholly on it, so that they move in one
 * piece.
 */
export const r2WholeStacks: Rule<Case> = {
  code: 'R2',
  title: 'Stacks move in one piece',
  say,
  check: (view) =>
    view.placements
      .filter((p) => p.layer > 0 && p.role === 'day' && ['icon', 'script'].includes(view.pieceOf(p)?.kind ?? ''))
      .flatMap((p): Found[] => {
        const f = footprint(p);
        const bases = view.placements.filter(
          (q) =>
            q.page === p.page &&
            q.layer < p.layer &&
            !traits(view.pieceOf(q)?.kind ?? 'label').overlay &&
            q.items.length > 0,
        );
        const base = bases
          .map((q) => ({ q, shared: intersect(f, footprint(q)) }))
          .filter((x) => x.shared)
          .sort((a, b) => area(b.shared as typeof f) - area(a.shared as typeof f))[0];
        if (!base?.shared) return [];
        const over = Math.max(f.w - base.shared.w, f.h - base.shared.h);
        if (over <= TIP) return [];
        return [
          {
            rule: 'R2',
            severity: 'look',
            ...at(p),
            placements: [p.id, base.q.id],
            about: { is: 'hangs over', mm: over },
          },
        ];
      }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly mm: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(pieceName(voice, id))} hangs ${mm(voice, about.mm)} over its base: the two can’t be moved over in one piece.`,
    remedy: 'Move it onto its base, or lay it on afterwards.',
  };
}
