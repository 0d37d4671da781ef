import { difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import type { Draft } from '../../spread/draft';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Context, Placement, Role } from '../../spread/placement';

/** A strip this much higher or lower than a header still looks like one, mm. From memory. */
const NEARLY = { lower: 2, higher: 3.6 };

export interface StripPlace {
  readonly page: number;
  readonly x: number;
  readonly w: number;
  readonly y: number;
  readonly role: Role;
  readonly day: number | null;
  readonly layer?: number;
  /** where its foot must be, mm; `y` is its top otherwise */
  readonly floor?: number;
  /** it is cut no higher than this, mm */
  readonly most?: number;
}

/** The washi strip that best serves as a header of about `height` mm, when there is one long enough (handbook K2). */
export function stripFor(
  draft: Draft,
  context: Context,
  length: number,
  height: number,
  color?: string,
): Piece | undefined {
  return byCost(piecesOf(context, 'washi'), (p) => {
    const strange = strangeness(p, context);
    if (
      strange > FOREIGN ||
      p.height < height - NEARLY.lower ||
      p.height > height + NEARLY.higher ||
      draft.ledger.longest(p) < length
    )
      return Infinity;
    return strange + Math.abs(p.height - height) + (color ? Math.min(40, difference(p.color, color)) / 10 : 0);
  })[0];
}

/** A header, or a frame's edge, made from washi cut to length. */
export function layStrip(
  draft: Draft,
  context: Context,
  at: StripPlace,
  height: number,
  color?: string,
): Placement | null {
  const piece = stripFor(draft, context, at.w, height, color);
  const h = piece ? Math.min(piece.height, at.most ?? Infinity) : 0;
  const taken = piece && draft.ledger.takeLength(piece, at.w, h);
  if (!piece || !taken) return null;
  return draft.add(piece, taken, {
    page: at.page,
    x: at.x,
    y: at.floor === undefined ? at.y : at.floor - h,
    role: at.role,
    day: at.day,
    layer: at.layer ?? 0,
  });
}
