import { blankPiece } from '../kit/blank-piece';
import { shortOf } from '../kit/kinds';
import type { Kit } from '../kit/kit';
import type { MadeLine } from './makeable';

/** Lines of stickers to make as a kit: each a design of its own, codes by kind. */
export function madeKit(name: string, lines: readonly MadeLine[]): Kit {
  const seen = new Map<string, number>();
  return {
    name,
    pieces: lines.map(({ kind, ...told }) => {
      const short = shortOf(kind);
      const nth = (seen.get(short) ?? 0) + 1;
      seen.set(short, nth);
      return blankPiece(kind, {
        kit: name,
        code: `${short}-${nth}`,
        ...told,
      });
    }),
  };
}
