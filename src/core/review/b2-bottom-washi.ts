import { regionsOf } from '../book/columns';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { isStrip } from '../kit/kinds';
import { intersect, subtract } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { at, mm } from './say';

/** Uncovered slivers under this many mm are not seen. */
const SEEN = 0.5;

/** B2: bottom washi covers the strip exactly, cut at the binding, trimmed where it is taller. */
export const b2BottomWashi: Rule = {
  code: 'B2',
  title: 'Bottom washi covers its strip exactly',
  check(view) {
    if (view.context.options.bottomWashi === 'none') return [];
    return regionsOf(view.context.book, 'bottom-strip').flatMap((strip): Finding[] => {
      const laid = view.placements.filter((p) => p.page === strip.page && intersect(footprint(p), strip) && isWashi(p));
      const side = strip.page === 0 ? 'left' : 'right';
      if (!laid.length) {
        return [
          {
            rule: 'B2',
            severity: 'fix',
            page: strip.page,
            x: strip.x,
            y: strip.y,
            placements: [],
            message: `The ${side} page’s bottom strip is bare: ${mm(view, strip.w)} × ${mm(view, strip.h)} of washi are wanted.`,
            remedy: 'Take washi from the stash, or set the spread to have no bottom washi.',
          },
        ];
      }
      return [...bare(strip, laid), ...laid.flatMap((p) => over(strip, p))];
    });

    function isWashi(p: Placement): boolean {
      return isStrip(view.pieceOf(p)?.kind);
    }

    function bare(strip: Placement | ReturnType<typeof regionsOf>[number], laid: readonly Placement[]): Finding[] {
      const left = subtract(strip, laid.map(footprint)).filter((r) => r.w > SEEN && r.h > SEEN);
      if (!left.length) return [];
      const widest = left.reduce((a, b) => (b.w * b.h > a.w * a.h ? b : a));
      return [
        {
          rule: 'B2',
          severity: 'fix',
          page: strip.page,
          x: widest.x,
          y: widest.y,
          placements: laid.map((p) => p.id),
          message: `The bottom washi leaves ${mm(view, widest.w)} × ${mm(view, widest.h)} of its strip bare.`,
          remedy: 'Join another length to it, or hide the gap under a deco piece.',
        },
      ];
    }

    function over(strip: { page: number; x: number; y: number; w: number; h: number }, p: Placement): Finding[] {
      const f = footprint(p);
      const wide = Math.max(strip.x - f.x, f.x + f.w - strip.x - strip.w);
      const tall = Math.max(strip.y - f.y, f.y + f.h - strip.y - strip.h);
      const most = Math.max(wide, tall);
      if (most <= SEEN) return [];
      return [
        {
          rule: 'B2',
          severity: 'fix',
          ...at(p),
          placements: [p.id],
          message: `The bottom washi stands ${mm(view, most)} over its strip${wide > tall ? ', toward the binding or the page’s edge' : ''}.`,
          remedy: `Trim ${mm(view, most)} off its ${wide > tall ? 'length' : 'height'}.`,
        },
      ];
    }
  },
};
