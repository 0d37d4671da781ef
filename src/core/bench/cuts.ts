import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import { pieceKey } from '../kit/kit';
import { copyKey, wholeOf } from '../kit/ledger';
import type { Offcut } from '../kit/offcut';
import { offcutsOf } from '../kit/offcut';
import type { Rect } from '../measure/rect';

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
    return [
      {
        kit: first.kit,
        code: first.code,
        copy: first.copy,
        pieces: parts.map((p) => ({ ...(p.cut as Rect), placement: p.id })),
        left: offcutsOf(piece, [...before, ...used]),
      },
    ];
  });
}
