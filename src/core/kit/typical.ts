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

/** A kit of usual contents under a name: to be corrected to what is really on the sheets. */
export function typicalKit(name: string, size: keyof typeof TYPICAL): Kit {
  const seen = new Map<string, number>();
  return {
    name,
    pieces: TYPICAL[size].flatMap(([kind, count, sheet, words = '']) => {
      // each number of the month is a design of its own
      const numbers = kind === 'date-dot' ? Array.from({ length: count }, (_, i) => String(i + 1)) : [words];
      return numbers.map((text): Piece => {
        const short = shortOf(kind);
        const nth = (seen.get(short) ?? 0) + 1;
        seen.set(short, nth);
        return blankPiece(kind, {
          kit: name,
          code: `${short}-${nth}`,
          count: kind === 'date-dot' ? 1 : count,
          sheet,
          words: text,
          rows: kind === 'checklist' ? 6 : 0,
        });
      });
    }),
  };
}
