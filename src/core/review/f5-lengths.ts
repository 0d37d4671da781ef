import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm } from '../spread/voice';
import { footprint } from '../spread/placement';
import { regionsOf } from '../book/columns';
import { isStrip, traits } from '../kit/kinds';
import { intersect, right } from '../measure/rect';

/** A gap narrower than this is a cut, and wider than that is meant, mm. From memory. */
const SEEN = 0.4;
const MEANT = 6;

/** F5: a strip cut too short shows a gap, to be hidden under a deco piece. */
export const f5Lengths: Rule<Case> = {
  code: 'F5',
  title: 'No strip is cut too short',
  say,
  check(view) {
    const strips = view.placements.filter((p) => isStrip(view.pieceOf(p)?.kind));
    const decos = view.placements.filter((p) => traits(view.pieceOf(p)?.kind ?? 'label').overlay);
    return strips.flatMap((p): Found[] => {
      const f = footprint(p);
      const region = view.context.book.regions.find((r) => r.page === p.page && r.kind !== 'free' && intersect(r, f));
      // B2 measures the bottom strip
      if (!region || (region.kind === 'bottom-strip' && regionsOf(view.context.book, 'bottom-strip').length)) return [];
      const end = right(region);
      const next = strips.find(
        (q) => q !== p && q.page === p.page && Math.abs(q.y - p.y) < 0.5 && q.x >= right(f) - SEEN && q.x <= end + SEEN,
      );
      const gap = (next ? next.x : end) - right(f);
      const hole = { x: right(f), y: f.y, w: gap, h: f.h };
      if (
        gap <= SEEN ||
        gap >= MEANT ||
        f.w < region.w * 0.6 ||
        decos.some((d) => d.page === p.page && intersect(footprint(d), hole))
      )
        return [];
      return [
        {
          rule: 'F5',
          severity: 'fix',
          ...at(p),
          placements: [p.id],
          about: { is: 'too short', mm: gap, length: f.w },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly mm: number;
  readonly length: number;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `A strip of ${mm(voice, about.length)} is ${mm(voice, about.mm)} too short for its place.`,
    remedy: `Cut it ${mm(voice, about.mm)} longer, or hide the gap under a deco piece.`,
  };
}
