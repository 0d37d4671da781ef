import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm, sentence } from '../spread/voice';
import { thePage } from '../bench/measure-from';
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
      const side = sideOf(strip);
      const laid = view.placements.filter((p) => p.page === strip.page && intersect(footprint(p), strip) && isWashi(p));
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
      // one strip is told of once: what is bare of it before what hangs over, the worst of each
      return [
        ...bare(strip, laid),
        ...laid.flatMap((p) => over(strip, p)).sort((a, b) => b.about.mm - a.about.mm),
      ].slice(0, 1);
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
          about: { is: 'gap', side: sideOf(strip), wide: widest.w, tall: widest.h },
        },
      ];
    }

    function over(strip: { page: number; x: number; y: number; w: number; h: number }, p: Placement): Finding<Over>[] {
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
          about: { is: 'over', side: sideOf(strip), mm: most, across: wide > tall },
        },
      ];
    }
  },
};

type Found = Finding<Case>;

/** Which of the strips it is, page by page. */
const sideOf = ({ page }: { readonly page: number }): 'left' | 'right' => (page % 2 ? 'right' : 'left');

type Case = Bare | Over;

interface Bare {
  readonly is: 'bare' | 'gap';
  readonly side: 'left' | 'right';
  readonly wide: number;
  readonly tall: number;
}

interface Over {
  readonly is: 'over';
  readonly side: 'left' | 'right';
  readonly mm: number;
  readonly across: boolean;
}

function say({ about, page }: Found, voice: Voice): Said {
  const where = sentence(thePage(voice.context.book, page));
  const strip = `${where}’s bottom strip`;
  switch (about.is) {
    case 'bare':
      return {
        message: `${strip} is bare: ${mm(voice, about.wide)} × ${mm(voice, about.tall)} of washi are wanted.`,
        remedy: 'Take washi from the stash, or set the spread to have no bottom washi.',
      };
    case 'gap':
      return {
        message: `${strip} has ${mm(voice, about.wide)} × ${mm(voice, about.tall)} without washi.`,
        remedy: 'Lay another length beside it, or hide the gap under a deco piece.',
      };
    case 'over':
      return {
        message: `${where}’s bottom washi is ${mm(voice, about.mm)} over its strip${about.across ? ', toward the binding or the page’s edge' : ''}.`,
        remedy: `Trim ${mm(voice, about.mm)} off its ${about.across ? 'length' : 'height'}.`,
      };
  }
}
