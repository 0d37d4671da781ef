import { isStrip, traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { pageOf } from '../book/columns';
import { Draft } from '../spread/draft';
import type { Context, Placement, Role } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';
import { trimTo } from '../spread/trim';
import { contains, inset } from '../measure/rect';
import { fitText } from '../spread/fit-text';
import { TIP, baseOf, laidOn, writingRoom } from '../spread/writing';
import type { Change } from './change';
import { snap } from './snap';
import { thingOfPiece } from './thing';

/**
 * Lays a piece from its sheet where it is dropped: trimmed to its column where it must be, fallen to an edge that is
 * near, and, if it is an icon, a script or the like, as one stack with the base that it is dropped on.
 * Null when none is left, or it may not be cut to fit.
 * @param at its middle, mm of page `page`
 */
export function layAt(
  context: Context,
  placements: readonly Placement[],
  piece: Piece,
  at: { readonly page: number; readonly x: number; readonly y: number },
): Change | null {
  const draft = Draft.begin(context, placements);
  const { book } = context;
  const region = book.regions.find(
    (r) => r.page === at.page && at.x >= r.x && at.x <= r.x + r.w && at.y >= r.y && at.y <= r.y + r.h,
  );
  const strip = isStrip(piece.kind);
  const wide = region?.w ?? pageOf(book, at.page).width;
  const length = strip ? Math.min(draft.ledger.longest(piece), wide) : piece.width;
  if (strip && length < 10) return null;
  const cut = strip ? null : trimTo(piece, wide);
  if (cut === undefined) return null;
  const taken = strip ? draft.ledger.takeLength(piece, length, piece.height) : draft.ledger.take(piece, cut);
  if (!taken) return null;
  const [w, h] = [taken.cut?.w ?? piece.width, taken.cut?.h ?? piece.height];
  const loose = { x: at.x - w / 2, y: at.y - h / 2, w, h };
  const over = traits(piece.kind).overlay === true;
  const base = over
    ? placements
        .filter((p) => p.page === at.page && contains(inset(footprint(p), -TIP - Math.min(w, h) / 3), loose))
        .sort((a, b) => b.layer - a.layer)[0]
    : undefined;
  const place = base ? onto(footprint(base), loose) : snap(context, placements, new Set(), at.page, loose);
  const added = draft.add(piece, taken, {
    page: at.page,
    x: place.x,
    y: place.y,
    role: base?.role ?? roleOf(piece, region?.kind),
    day: base?.day ?? ('day' in place ? (place.day ?? region?.day ?? null) : null),
    layer: base ? base.layer + 1 : 0,
  });
  const rewritten = base ? writtenBeside(context, base, [...placements, added]) : [];
  return {
    deed: { do: 'place', thing: thingOfPiece(piece) },
    before: rewritten.length && base ? [base] : [],
    after: [...rewritten, added],
  };
}

/** What is written on a base goes beside what was laid on it, smaller where it must; as it is where neither helps. */
function writtenBeside(context: Context, base: Placement, placements: readonly Placement[]): Placement[] {
  const piece = pieceIndex(context).get(pieceKey(base));
  if (!piece || base.text === null || base.locked || piece.kind === 'checklist') return [];
  const room = writingRoom(baseOf(piece, base), laidOn(base, placements));
  const fitted = fitText(base.text, room, context.options);
  return fitted && (fitted.size !== base.size || fitted.text !== base.text) ? [{ ...base, ...fitted }] : [];
}

/** Kept within the edges of the base, where it is not larger than that. */
function onto(base: { x: number; y: number; w: number; h: number }, r: { x: number; y: number; w: number; h: number }) {
  const keep = (v: number, low: number, high: number) =>
    low > high ? (low + high) / 2 : Math.min(high, Math.max(low, v));
  return { x: keep(r.x, base.x, base.x + base.w - r.w), y: keep(r.y, base.y, base.y + base.h - r.h) };
}

function roleOf(piece: Piece, region: string | undefined): Role {
  if (region === 'sidebar') return 'sidebar';
  if (piece.kind === 'full-box' || piece.kind === 'double-box') return 'box';
  if (piece.kind === 'deco') return 'finish';
  if (piece.kind === 'header' || piece.kind.startsWith('date-') || isStrip(piece.kind)) return 'base';
  return 'day';
}
