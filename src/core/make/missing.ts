import { isItEnough } from '../arrange/counting/enough';
import { dateHeader, dayColumn, regionsOf } from '../book/columns';
import { isPattern } from '../art/motifs/registry';
import { contrast } from '../color/color';
import { traits } from '../kit/kinds';
import type { Kit } from '../kit/kit';
import { palette } from '../kit/kit';
import type { Context } from '../spread/placement';
import type { MadeLine, Makeable } from './makeable';
import { isMakeable } from './makeable';

/** Rows of a list that is made, mm each. From memory. */
const ROW = 8;
const MOST_ROWS = 6;

/**
 * What a week lacks and can be made, drawn to fit this very spread: as wide as its columns, its strips, its printed
 * headers; in the kit's own colors in turn, with its most common pattern (handbook K1, K2).
 */
export function missingFor(context: Context): MadeLine[] {
  const taste = tasteOf(context.kit);
  const wanted = isItEnough(context);
  const isUndated = !context.book.dated && dateHeader(context.book, 0) && !wanted.some((e) => e.what === 'numbers');
  return [
    ...(isUndated ? numbers(context, taste) : []),
    ...wanted.flatMap((e) => {
      const lacking = e.needed - e.there;
      if (lacking <= 0) return [];
      if (e.what === 'rows') return lists(context, lacking, taste);
      if (e.what === 'bases') return inTurn({ ...blank(context, 'quarter-box'), count: lacking }, taste);
      if (e.what === 'numbers') return numbers(context, taste);
      return isMakeable(e.kind) ? inTurn({ ...blank(context, e.kind), count: lacking }, taste) : [];
    }),
  ];
}

/** One line of a kind, as large as this spread wants it. */
export function blank(context: Context, kind: Makeable): MadeLine {
  const { book, kit } = context;
  const column = dayColumn(book, 0)?.w ?? 38.1;
  const [usualWidth, usualHeight] = traits(kind).usual;
  const header = dateHeader(book, 0);
  const strip = regionsOf(book, 'bottom-strip')[0];
  const size: readonly [number, number] =
    kind === 'bottom-washi' && strip
      ? [strip.w, strip.h]
      : kind === 'date-cover' && header
        ? [header.w, header.h]
        : Math.abs(usualWidth - 38.1) < 1
          ? [column, usualHeight]
          : [usualWidth, usualHeight];
  const { colors, accent, motif } = tasteOf(kit);
  const patterned = ['header', 'date-cover', 'bottom-washi', 'washi', 'banner'].includes(kind);
  return {
    kind,
    count: 1,
    width: tenth(size[0]),
    height: tenth(kind === 'checklist' ? ROW * MOST_ROWS : size[1]),
    color: colors[0] ?? '#d9d4c7',
    accent,
    motif: patterned ? motif : '',
    words: '',
    rows: kind === 'checklist' ? MOST_ROWS : kind === 'week-tracker' ? 7 : 0,
  };
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

interface Taste {
  readonly colors: readonly string[];
  readonly accent: string;
  readonly motif: string;
}

/** The kit's colors, an accent that shows on them, and the pattern that most of its pieces have. */
function tasteOf(kit: Kit): Taste {
  const colors = palette(kit, 4);
  const [main = '#d9d4c7'] = colors;
  const accent = [...palette(kit, 8)].sort((a, b) => contrast(b, main) - contrast(a, main))[0] ?? '#3a4a48';
  const counts = new Map<string, number>();
  for (const p of kit.pieces) if (isPattern(p.motif)) counts.set(p.motif, (counts.get(p.motif) ?? 0) + p.count);
  const [most] = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return { colors, accent, motif: most?.[0] ?? '' };
}

/** So many copies shared over two colors in turn, as headers and bases are. */
function inTurn(line: MadeLine, { colors }: Taste): MadeLine[] {
  const used = colors.slice(0, line.count > 1 ? 2 : 1);
  return used.map((color, i) => ({
    ...line,
    color,
    count: Math.ceil((line.count - i) / used.length),
  }));
}

function lists(context: Context, rows: number, taste: Taste): MadeLine[] {
  const line = blank(context, 'checklist');
  return inTurn({ ...line, count: Math.ceil(rows / MOST_ROWS) }, taste);
}

/** The week's own numbers, one each. */
function numbers(context: Context, { colors }: Taste): MadeLine[] {
  const there = new Set(context.kit.pieces.filter((p) => p.kind === 'date-dot').map((p) => p.words));
  return context.week.days
    .map((d) => String(Number(d.slice(8))))
    .filter((n) => !there.has(n))
    .map((words, i) => ({
      ...blank(context, 'date-dot'),
      words,
      color: colors[i % Math.max(1, Math.min(2, colors.length))] ?? '#d9d4c7',
    }));
}
