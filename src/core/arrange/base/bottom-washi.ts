import { regionsOf } from '../../book/columns';
import type { Piece } from '../../kit/kit';
import { TOLERANCE } from '../../measure/length';
import type { Draft, Stage } from '../../spread/draft';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Context } from '../../spread/placement';

/** Bottom washi over the bottom strip, cut at the binding and trimmed to the strip's height (handbook B2). */
export const bottomWashi: Stage = (before, context) => {
  if (context.options.bottomWashi === 'none') return before;
  const draft = before.clone();
  const strips = regionsOf(context.book, 'bottom-strip').filter((r) => draft.lyingIn(r.page, r).length === 0);
  for (const strip of strips) {
    const floors = context.options.bottomWashi === 'two' ? 2 : 1;
    for (let floor = 0; floor < floors; floor++) {
      const h = strip.h / floors;
      layLength(draft, context, { page: strip.page, x: strip.x, y: strip.y + floor * h, w: strip.w, h }, floor);
    }
  }
  return draft;
};

/** Lays one strip end to end over `w` mm, from one piece where one is long enough. */
function layLength(
  draft: Draft,
  context: Context,
  at: { page: number; x: number; y: number; w: number; h: number },
  nth: number,
): void {
  let x = at.x;
  let left = at.w;
  while (left > TOLERANCE) {
    const usable = byCost(piecesOf(context, 'bottom-washi', 'washi', 'extender'), (p) =>
      cost(draft, context, p, at.h, left, nth),
    );
    const piece = usable[0];
    if (!piece) break;
    const length = Math.min(left, draft.ledger.longest(piece));
    const taken = draft.ledger.takeLength(piece, length, Math.min(at.h, piece.height));
    if (!taken) break;
    const h = taken.cut?.h ?? piece.height;
    draft.add(piece, taken, { page: at.page, x, y: at.y + (at.h - h) / 2, role: 'base' });
    x += length;
    left -= length;
  }
}

function cost(draft: Draft, context: Context, piece: Piece, height: number, length: number, nth: number): number {
  const longest = draft.ledger.longest(piece);
  if (longest < Math.min(length, 12)) return Infinity;
  if (piece.height < height - 0.6 && piece.kind !== 'bottom-washi') return Infinity;
  const strange = strangeness(piece, context);
  if (strange > FOREIGN * 1.5) return Infinity;
  const kindCost = piece.kind === 'bottom-washi' ? 0 : piece.kind === 'washi' ? 20 : 40;
  const already = draft.placements.filter(
    (p) => p.role === 'base' && p.kit === piece.kit && p.code === piece.code,
  ).length;
  const sameAsOther = nth === 0 ? -already : already; // one design over both pages, another for the second floor
  return kindCost + strange + (longest < length ? 15 : 0) + Math.abs(piece.height - height) + sameAsOther * 3;
}
