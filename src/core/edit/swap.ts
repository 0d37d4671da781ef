import { strangeness } from '../spread/choose';
import { Draft } from '../spread/draft';
import { inkFor } from '../spread/ink';
import type { Context, Placement } from '../spread/placement';
import { footprint, isWriting, pieceIndex } from '../spread/placement';
import { trimTo } from '../spread/trim';
import { baseOf, writingRoom } from '../spread/writing';
import { dayColumn } from '../book/columns';
import { difference } from '../color/color';
import { traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { handAt, textFits } from '../measure/hand';
import { meaningsOf } from '../week/meaning';
import { tidy } from '../measure/length';
import { bottom, intersect } from '../measure/rect';
import type { Change } from './change';
import { thingOf, thingOfPiece } from './thing';

/** Another piece that could lie in a placement's stead. */
export interface SwapOffer {
  readonly piece: Piece;
  /** copies nobody has touched */
  readonly left: number;
  /** lower is better: size, color beside the neighbors, strangeness to the kit */
  readonly cost: number;
}

/**
 * Pieces of the same use that fit in a placement's stead, best first. Lists are offered whole designs with enough
 * rows.
 * @example swapsFor(context, placements, 'p12')[0]?.piece.code
 */
export function swapsFor(context: Context, placements: readonly Placement[], id: string): SwapOffer[] {
  const p = placements.find((q) => q.id === id);
  const own = p && pieceIndex(context).get(pieceKey(p));
  if (!p || (!own && !isWriting(p))) return [];
  const ledger = Draft.begin(context, placements).ledger;
  const room = roomFor(context, placements, p);
  const neighbors = colorsAround(context, placements, p);
  return [context.kit, ...context.stash]
    .flatMap((kit) => kit.pieces)
    .filter((piece) => (own ? pieceKey(piece) !== pieceKey(own) && serves(piece, own, p) : takesInk(piece, p, context)))
    .flatMap((piece) => {
      const rows = own?.kind === 'checklist' ? rowsOf(p, own) : 0;
      const left = rows
        ? ledger.mostRows(piece) >= rows
          ? Math.max(1, ledger.untouched(piece))
          : 0
        : ledger.untouched(piece);
      const cut = rows ? null : trimTo(piece, room.w, own?.kind === 'date-cover' ? room.h : Infinity);
      if (left === 0 || cut === undefined) return [];
      const [w, h] = [
        cut?.w ?? Math.min(piece.width, room.w),
        rows ? rows * (piece.height / piece.rows) : (cut?.h ?? piece.height),
      ];
      if (h > room.h + 0.05 || !holdsText(context, piece, p, w, h)) return [];
      const jars = neighbors.reduce((sum, c) => sum + Math.max(0, 20 - difference(c, piece.color)) / 6, 0);
      const cost = Math.abs(h - p.h) / 4 + (piece.kind === own?.kind ? 0 : 2) + jars + strangeness(piece, context) / 3;
      return [{ piece, left, cost }];
    })
    .sort((a, b) => a.cost - b.cost || (pieceKey(a.piece) < pieceKey(b.piece) ? -1 : 1));
}

/** Lays another piece in a placement's stead: same place, same items, same text. Null when it cannot be had. */
export function swapPiece(context: Context, placements: readonly Placement[], id: string, piece: Piece): Change | null {
  const p = placements.find((q) => q.id === id);
  const own = p && pieceIndex(context).get(pieceKey(p));
  if (!p || (!own && !isWriting(p)) || p.locked) return null;
  const ledger = Draft.begin(
    context,
    placements.filter((q) => q.id !== id),
  ).ledger;
  const room = roomFor(context, placements, p);
  const rows = own?.kind === 'checklist' ? rowsOf(p, own) : 0;
  const cut = rows ? null : trimTo(piece, room.w, own?.kind === 'date-cover' ? room.h : Infinity);
  const taken = rows ? ledger.takeRows(piece, rows, room.w) : cut === undefined ? null : ledger.take(piece, cut);
  if (!taken) return null;
  const [w, h] = [tidy(taken.cut?.w ?? piece.width), tidy(taken.cut?.h ?? piece.height)];
  return {
    deed: { do: 'swap', thing: thingOf(context, p), by: thingOfPiece(piece) },
    before: [p],
    after: [
      {
        ...p,
        kit: piece.kit,
        code: piece.code,
        copy: taken.copy,
        cut: taken.cut && { x: tidy(taken.cut.x), y: tidy(taken.cut.y), w: tidy(taken.cut.w), h: tidy(taken.cut.h) },
        x: tidy(p.x + (p.w - w) / 2),
        w,
        h,
        ink: p.text ? inkFor(piece) : null,
      },
    ],
  };
}

/** A sticker that can take what is written on the paper; one item only, since a base carries one. */
function takesInk(piece: Piece, p: Placement, context: Context): boolean {
  const demand = context.week.demands.find((d) => p.items.includes(d.uid));
  const means = demand ? meaningsOf(demand.title, demand.categories) : [];
  return (
    p.items.length <= 1 &&
    traits(piece.kind).carriesItem === true &&
    piece.writable !== 'no' &&
    piece.words === '' &&
    (piece.kind !== 'little' || piece.icon === '' || means.includes(piece.icon))
  );
}

function serves(piece: Piece, own: Piece, p: Placement): boolean {
  if (own.kind === 'date-dot' || own.kind === 'header')
    return piece.kind === own.kind && (own.kind === 'header' || piece.words === own.words);
  // it stands for its chore
  if (own.kind === 'deco' && p.items.length) return piece.kind === 'deco' && piece.icon === own.icon;
  if (traits(own.kind).carriesItem && p.items.length)
    return (
      traits(piece.kind).carriesItem === true &&
      piece.writable !== 'no' &&
      (piece.kind !== 'little' || piece.icon === own.icon)
    );
  if (own.kind === 'full-box') return piece.kind === 'full-box';
  return piece.kind === own.kind;
}

const rowsOf = (p: Placement, own: Piece): number => Math.round(p.h / (own.height / Math.max(1, own.rows)));

/** The width of the place and the height down to what lies below, in mm. */
function roomFor(context: Context, placements: readonly Placement[], p: Placement): { w: number; h: number } {
  const column = p.day === null ? undefined : dayColumn(context.book, p.day);
  if (!column || p.layer > 0)
    return {
      w:
        p.layer > 0
          ? p.w
          : (context.book.regions.find((r) => r.page === p.page && intersect(r, footprint(p)))?.w ?? p.w),
      h: p.h,
    };
  if (p.role === 'base') return { w: column.w, h: p.h };
  const below = placements.filter(
    (q) =>
      q.id !== p.id &&
      q.page === p.page &&
      q.layer === p.layer &&
      q.y > p.y &&
      intersect({ ...p, h: 1000 }, footprint(q)),
  );
  const floor = Math.min(bottom(column), ...below.map((q) => q.y));
  return { w: column.w, h: Math.max(p.h, floor - p.y) };
}

function holdsText(context: Context, piece: Piece, p: Placement, w: number, h: number): boolean {
  if (!p.text || piece.kind === 'checklist' || piece.kind === 'date-cover') return true;
  const room = writingRoom(baseOf(piece, { w, h, turn: p.turn }));
  return textFits(p.text, room.w, room.h, handAt(context.options.hand, p.size));
}

function colorsAround(context: Context, placements: readonly Placement[], p: Placement): string[] {
  const pieces = pieceIndex(context);
  const near = { x: p.x - 10, y: p.y - 6, w: p.w + 20, h: p.h + 12 };
  return placements.flatMap((q) =>
    q.id !== p.id && q.page === p.page && q.layer === 0 && intersect(near, footprint(q))
      ? (pieces.get(pieceKey(q))?.color ?? [])
      : [],
  );
}
