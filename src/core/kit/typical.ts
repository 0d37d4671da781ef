import type { Hex } from '../color/color';
import { blankPiece } from './blank-piece';
import type { Kind } from './kinds';
import { shortOf } from './kinds';
import type { Kit, Piece } from './kit';

/** Pieces are of their kind's usual size (kinds.ts). */
type Line = readonly [kind: Kind, count: number, sheet: number, words?: string];

/** What a mini kit usually has: three sheets (handbook 3; usual values, to be corrected). */
const MINI: readonly Line[] = [
  ['full-box', 8, 1],
  ['date-cover', 7, 1],
  ['header', 7, 1, 'to do'],
  ['header', 7, 1, 'today'],
  ['half-box', 6, 2],
  ['quarter-box', 12, 2],
  ['checklist', 4, 2],
  ['check-flag', 6, 2],
  ['banner', 1, 2, 'weekend'],
  ['icon', 24, 3],
  ['script', 12, 3],
  ['bottom-washi', 2, 3],
  ['washi', 4, 3],
  ['habit-tracker', 2, 3],
];

/** A full kit adds sheets of littles, labels, dots, trackers and deco. */
const FULL: readonly Line[] = [
  ...MINI,
  ['third-box', 8, 4],
  ['label', 12, 4],
  ['flag', 10, 4],
  ['little', 14, 5],
  ['circle', 16, 5],
  ['teardrop', 8, 5],
  ['date-dot', 31, 6],
  ['week-tracker', 2, 6],
  ['quote-box', 1, 6],
  ['deco', 12, 7],
  ['overlay', 4, 7],
  ['extender', 1, 7],
  ['double-box', 1, 7],
];

export const TYPICAL = { mini: MINI, full: FULL } as const;

/** Kinds that a kit prints in each of its colors, and not in one. Common practice. */
const IN_EACH_COLOR: ReadonlySet<Kind> = new Set([
  'full-box',
  'half-box',
  'third-box',
  'quarter-box',
  'header',
  'label',
  'flag',
  'check-flag',
  'circle',
  'teardrop',
  'washi',
  'checklist',
]);

/** A second color stands this many further on, so that it is no neighbor of the first. */
const FURTHER = 2;

/** As many copies for each color as come out even, the first colors taking what is over. */
const dealt = (count: number, colors: number): number[] =>
  Array.from({ length: Math.min(count, colors) }, (_, i) => Math.floor((count - 1 - i) / colors) + 1);

const NUMBERED: Kind = 'date-dot';

/**
 * A kit of usual contents under a name, in its colors: to be corrected to what is really on the sheets. Without
 * colors each line is one plain design.
 */
export function typicalKit(name: string, size: keyof typeof TYPICAL, colors: readonly Hex[] = []): Kit {
  const made = new Map<string, number>();
  let turn = 0;
  const design = (kind: Kind, count: number, sheet: number, words: string): Piece => {
    const short = shortOf(kind);
    const nth = (made.get(short) ?? 0) + 1;
    made.set(short, nth);
    const color = colors[turn % colors.length];
    const accent = colors[(turn + FURTHER) % colors.length];
    turn += 1;
    return blankPiece(kind, {
      kit: name,
      code: `${short}-${nth}`,
      count,
      sheet,
      words,
      rows: kind === 'checklist' ? 6 : 0,
      ...(color && accent ? { color, accent } : {}),
    });
  };
  return {
    name,
    pieces: TYPICAL[size].flatMap(([kind, count, sheet, words = '']) => {
      // each number of the month is a design of its own
      if (kind === NUMBERED) return Array.from({ length: count }, (_, i) => design(kind, 1, sheet, String(i + 1)));
      const copies = IN_EACH_COLOR.has(kind) ? dealt(count, Math.max(1, colors.length)) : [count];
      return copies.map((n) => design(kind, n, sheet, words));
    }),
  };
}
