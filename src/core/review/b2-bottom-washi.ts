import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm } from '../spread/voice';
import { at } from './where';
import { regionsOf } from '../book/columns';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { isStrip } from '../kit/kinds';
import { intersect, subtract } from '../measure/rect';

/** Uncovered slivers under this many mm are not seen. */
const SEEN = 0.5;

/** B2: bottom washi covers the strip exactly, cut at the binding, trimmed where it is taller. */
export const b2BottomWashi: Rule<Case> = {
  code: 'B2',
  title: 'Bottom washi covers its strip exactly',
  say,
  check(view) {
    if (view.context.options.bottomWashi === 'none') return [];
    return regionsOf(view.context.book, 'bottom-strip').flatMap((strip): Found[] => {
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
            about: { is: 'bare', side, wide: strip.w, tall: strip.h },
          },
        ];
      }
      return [...bare(strip, laid), ...laid.flatMap((p) => over(strip, p))];
    });

    function isWashi(p: Placement): boolean {
      return isStrip(view.pieceOf(p)?.kind);
    }

    function bare(strip: Placement | ReturnType<typeof regionsOf>[number], laid: readonly Placement[]): Found[] {
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
          about: { is: 'gap', wide: widest.w, tall: widest.h },
        },
      ];
    }

    function over(strip: { page: number; x: number; y: number; w: number; h: number }, p: Placement): Found[] {
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
          about: { is: 'over', mm: most, across: wide > tall },
        },
      ];
    }
  },
};

type Found = Finding<Case>;

type Case =
  | { readonly is: 'bare'; readonly side: 'left' | 'right'; readonly wide: number; readonly tall: number }
  | { readonly is: 'gap'; readonly wide: number; readonly tall: number }
  | { readonly is: 'over'; readonly mm: number; readonly across: boolean };

function say({ about }: Found, voice: Voice): Said {
  switch (about.is) {
    case 'bare':
      return {
        message: `The ${about.side} page’s bottom strip is bare: ${mm(voice, about.wide)} × ${mm(voice, about.tall)} of washi are wanted.`,
        remedy: 'Take washi from the stash, or set the spread to have no bottom washi.',
      };
    case 'gap':
      return {
        message: `The bottom washi leaves ${mm(voice, about.wide)} × ${mm(voice, about.tall)} of its strip bare.`,
        remedy: 'Join another length to it, or hide the gap under a deco piece.',
      };
    case 'over':
      return {
        message: `The bottom washi stands ${mm(voice, about.mm)} over its strip${about.across ? ', toward the binding or the page’s edge' : ''}.`,
        remedy: `Trim ${mm(voice, about.mm)} off its ${about.across ? 'length' : 'height'}.`,
      };
  }
}
