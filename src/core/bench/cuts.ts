import type { Context, Placement } from '../arrange/spread';
import { pieceIndex } from '../arrange/spread';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { wholeOf } from '../kit/ledger';
import { tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { subtract } from '../measure/rect';

export interface Offcut extends Rect {
  readonly rows?: number;
}

/** One physical sticker that goes under the knife: the parts used, and what is left of it. In its own mm. */
export interface Cut {
  readonly kit: string;
  readonly code: string;
  readonly copy: number;
  readonly pieces: readonly (Rect & { readonly placement: string })[];
  readonly left: readonly Offcut[];
}

/** Every cut of the spread, in the order of the placements. Parts and leftovers together are the whole sticker. */
export function cutsOf(context: Context, placements: readonly Placement[]): Cut[] {
  const pieces = pieceIndex(context);
  const elsewhere = context.usedElsewhere;
  const byCopy = new Map<string, Placement[]>();
  for (const p of placements) {
    if (p.cut) byCopy.set(copyKey(p), [...(byCopy.get(copyKey(p)) ?? []), p]);
  }
  return [...byCopy.entries()].flatMap(([key, parts]) => {
    const first = parts[0] as Placement;
    const piece = pieces.get(pieceKey(first));
    if (!piece) return [];
    const before = elsewhere.filter((t) => copyKey(t) === key).map((t) => t.cut ?? wholeOf(piece));
    const used = parts.map((p) => p.cut as Rect);
    return [{
      kit: first.kit, code: first.code, copy: first.copy,
      pieces: parts.map((p) => ({ ...(p.cut as Rect), placement: p.id })),
      left: subtract(wholeOf(piece), [...before, ...used]).map((r) => offcut(piece, r)),
    }];
  });
}

export const copyKey = (p: { kit: string; code: string; copy: number }): string => `${pieceKey(p)}#${p.copy}`;

/** An offcut is worth keeping when it still has a row on it, or is a strip long enough to be found again (handbook K5; sizes from memory). */
export const worthKeeping = (o: Offcut): boolean => (o.rows ?? 0) > 0 || (o.w >= 20 && o.h >= 4);

function offcut(piece: Piece, r: Rect): Offcut {
  const rect = { x: tidy(r.x), y: tidy(r.y), w: tidy(r.w), h: tidy(r.h) };
  if (piece.rows === 0 || piece.kind !== 'checklist') return rect;
  const rows = Math.floor(r.h / (piece.height / piece.rows) + 0.01);
  return rows > 0 && r.x < 1 ? { ...rect, rows } : rect;
}
