import { isStrip, traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { wholeOf } from '../kit/ledger';
import { TOLERANCE, tidy } from '../measure/length';
import { bottom, intersect } from '../measure/rect';
import { Draft } from '../spread/draft';
import { rowsTaken } from '../spread/list-text';
import type { Context, Placement } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';
import { trimTo } from '../spread/trim';
import type { Change } from './change';
import { movePiece } from './move';
import { thingOf } from './thing';

/** What the scissors may make of a laid piece, mm and rows. */
export interface Reach {
  /** the narrowest and the widest that it can be */
  readonly width: readonly [number, number];
  /** rows that a list can be cut to, from its top; null for what has none */
  readonly rows: readonly [number, number] | null;
}

/** Nothing is cut narrower than this: it would not hold. From memory. mm */
const NARROWEST = 5;

/** Null for what is never cut: round pieces, icons, and what is stuck down. */
export function reachOf(context: Context, placements: readonly Placement[], id: string): Reach | null {
  const found = held(context, placements, id);
  return found && reachIn(found);
}

function reachIn({ p, piece, draft }: Held): Reach | null {
  if (isStrip(piece.kind)) return { width: [NARROWEST, Math.max(p.w, draft.ledger.longest(piece))], rows: null };
  const rows = piece.kind === 'checklist' && piece.rows > 0;
  if (!rows && traits(piece.kind).trim === 'never') return null;
  const least = rows ? Math.max(1, rowsTaken(p)) : 0;
  return {
    width: [NARROWEST, piece.width],
    rows: rows ? [Math.min(least, piece.rows), Math.max(rowsOf(p, piece), draft.ledger.mostRows(piece))] : null,
  };
}

/**
 * Cuts a laid piece to a width, a strip to a length: from its right end, or as its kind is trimmed (handbook F1). Null
 * when it may not be, is that wide already, or there is not so much of it.
 * @param width mm
 */
export function cutToWidth(
  context: Context,
  placements: readonly Placement[],
  id: string,
  width: number,
): Change | null {
  const found = held(context, placements, id);
  const reach = found && reachIn(found);
  if (!found || !reach || width < reach.width[0] - TOLERANCE || width > reach.width[1] + TOLERANCE) return null;
  const { p, piece, draft } = found;
  if (Math.abs(width - p.w) < TOLERANCE) return null;
  const thing = thingOf(context, p);
  const deed =
    width < p.w
      ? ({ do: 'trim', thing, mm: tidy(p.w - width) } as const)
      : ({ do: 'cut to length', mm: tidy(width) } as const);
  if (isStrip(piece.kind)) {
    const taken = draft.ledger.takeLength(piece, width, p.h);
    return (
      taken && { deed, before: [p], after: [{ ...p, w: tidy(width), copy: taken.copy, cut: tidied(taken.cut, piece) }] }
    );
  }
  const old = p.cut ?? wholeOf(piece);
  const x = trimTo(piece, width)?.x ?? 0;
  return {
    deed,
    before: [p],
    after: [{ ...p, w: tidy(width), cut: tidied({ ...old, x, w: width }, piece) }],
  };
}

/** Cuts a list to so many rows, or takes it longer where the design has as many left. Null where that cannot be. */
export function cutToRows(context: Context, placements: readonly Placement[], id: string, rows: number): Change | null {
  const found = held(context, placements, id);
  const reach = found && reachIn(found);
  if (!found || !reach?.rows || rows < reach.rows[0] || rows > reach.rows[1]) return null;
  const { p, piece, draft } = found;
  if (rows === rowsOf(p, piece)) return null;
  const taken = draft.ledger.takeRows(piece, rows, p.w);
  return (
    taken && {
      deed: { do: 'cut to rows', rows },
      before: [p],
      after: [{ ...p, h: tidy((piece.height / piece.rows) * rows), copy: taken.copy, cut: tidied(taken.cut, piece) }],
    }
  );
}

/**
 * Lays a part of a list edge to edge under the part of the same design that stands above it on its day, so that the two
 * read as one (handbook L2). Null where there is none, or it lies so.
 */
export function joinLists(context: Context, placements: readonly Placement[], id: string): Change | null {
  const found = held(context, placements, id);
  if (found?.piece.kind !== 'checklist') return null;
  const { p } = found;
  const upper = placements
    .filter((q) => q.id !== id && q.page === p.page && q.day === p.day && pieceKey(q) === pieceKey(p) && q.y < p.y)
    .sort((a, b) => b.y - a.y)[0];
  const moved = upper && movePiece(context, placements, id, { page: p.page, x: upper.x, y: bottom(upper), day: p.day });
  return moved ? { ...moved, deed: { do: 'join lists' } } : null;
}

/** Lays a piece over all that it touches, or under it. Null where it is so already, or stuck down. */
export function layer(
  context: Context,
  placements: readonly Placement[],
  id: string,
  way: 'over' | 'under',
): Change | null {
  const p = placements.find((q) => q.id === id);
  if (!p || p.locked) return null;
  const touched = placements.filter((q) => q.id !== id && q.page === p.page && intersect(footprint(q), footprint(p)));
  const levels = touched.map((q) => q.layer);
  if (!levels.length) return null;
  if (way === 'over') {
    const level = Math.max(...levels) + 1;
    return level <= p.layer || level > MOST_LAYERS
      ? null
      : { deed: { do: 'lay after', thing: thingOf(context, p) }, before: [p], after: [{ ...p, layer: level }] };
  }
  if (Math.min(...levels) > p.layer) return null;
  const lowest = Math.min(...levels);
  // nothing lies under the lowest layer: then all that it touches comes up by one
  const up = lowest === 0 ? touched : [];
  if (up.some((q) => q.locked || q.layer >= MOST_LAYERS)) return null;
  const level = lowest === 0 ? 0 : lowest - 1;
  return {
    deed: { do: 'lay first', thing: thingOf(context, p) },
    before: [p, ...up],
    after: [{ ...p, layer: level }, ...up.map((q) => ({ ...q, layer: q.layer + 1 }))],
  };
}

/** So many stickers over each other and no more: the paper would buckle. From memory. */
const MOST_LAYERS = 9;

/** Turns a piece upside down, about its center. */
export const turnAround = (context: Context, p: Placement): Change | null =>
  p.locked
    ? null
    : {
        deed: { do: 'turn around', thing: thingOf(context, p) },
        before: [p],
        after: [{ ...p, turn: (p.turn + 180) % 360 }],
      };

const rowsOf = (p: Placement, piece: Piece): number => Math.round(p.h / (piece.height / piece.rows));

/** A laid sticker that the scissors may touch, and what there is of its design while it is in the hand. */
interface Held {
  readonly p: Placement;
  readonly piece: Piece;
  readonly draft: Draft;
}

function held(context: Context, placements: readonly Placement[], id: string): Held | null {
  const p = placements.find((q) => q.id === id);
  const piece = p && pieceIndex(context).get(pieceKey(p));
  if (!p || !piece || p.locked || p.turn % 360 !== 0) return null;
  return { p, piece, draft: Draft.begin(context, placements).without(id) };
}

function tidied(cut: Placement['cut'], piece: Piece): Placement['cut'] {
  if (!cut || (cut.w >= piece.width - TOLERANCE && cut.h >= piece.height - TOLERANCE)) return null;
  return { x: tidy(cut.x), y: tidy(cut.y), w: tidy(cut.w), h: tidy(cut.h) };
}
