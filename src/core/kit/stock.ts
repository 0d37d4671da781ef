import type { Rect } from '../measure/rect';
import type { Kit, Piece } from './kit';
import { pieceKey } from './kit';
import { wholeOf } from './ledger';
import type { Offcut } from './offcut';
import { offcutsOf, worthKeeping } from './offcut';

/** A part of a sticker that a spread has: which copy, which part in its own mm (null: whole), and where it is. */
export interface Use {
  readonly kit: string;
  readonly code: string;
  readonly copy: number;
  readonly cut: Rect | null;
  readonly where: string;
  /** it is only planned: the spread is not on paper yet, and this is not stuck down */
  readonly planned?: boolean;
}

export const STOCK_CHANGES = ['spoiled', 'used', 'found', 'kept'] as const;

/**
 * A change of the stock that no spread made, with its reason: a copy spoiled, used elsewhere, kept for later (whole,
 * and not to be taken), or one more found on the sheet.
 */
export interface StockEvent {
  readonly what: (typeof STOCK_CHANGES)[number];
  readonly kit: string;
  readonly code: string;
  /** the copy; of `found` the one that is new */
  readonly copy: number;
  readonly reason: string;
  /** the part of the copy that it is about, in its own mm; null for all of it */
  readonly cut: Rect | null;
}

export type CopyState = 'whole' | 'planned' | 'used' | 'cut' | 'spoiled' | 'kept';

/**
 * One physical sticker: `cut` when something worth keeping is left of it, `used` when nothing is; `kept` is whole, and
 * so is what is `planned` by now.
 */
export interface CopyStock {
  readonly copy: number;
  readonly state: CopyState;
  /** where its parts went, or why it is gone */
  readonly where: readonly string[];
  /** what is left of it, when it is cut */
  readonly left: readonly Offcut[];
}

export interface PieceStock {
  readonly piece: Piece;
  readonly copies: readonly CopyStock[];
}

/** The kit with the copies that were found beyond its count. */
export function countedKit(kit: Kit, events: readonly StockEvent[]): Kit {
  const found = new Map<string, number>();
  for (const e of events) if (e.what === 'found') found.set(pieceKey(e), (found.get(pieceKey(e)) ?? 0) + 1);
  return found.size
    ? {
        ...kit,
        pieces: kit.pieces.map((p) =>
          found.has(pieceKey(p)) ? { ...p, count: p.count + (found.get(pieceKey(p)) as number) } : p,
        ),
      }
    : kit;
}

/** What became of every copy of a kit. The states of its copies always add up to its count. */
export function stockOfKit(kit: Kit, uses: readonly Use[], events: readonly StockEvent[]): PieceStock[] {
  const usesOf = grouped(uses.filter((u) => u.kit === kit.name));
  const eventsOf = grouped(events.filter((e) => e.kit === kit.name && e.what !== 'found'));
  return countedKit(kit, events).pieces.map((piece) => ({
    piece,
    copies: Array.from({ length: piece.count }, (_, i) =>
      copyStock(piece, i + 1, usesOf.get(key(piece.code, i + 1)) ?? [], eventsOf.get(key(piece.code, i + 1)) ?? []),
    ),
  }));
}

const key = (code: string, copy: number): string => `${code}#${copy}`;

function grouped<T extends { readonly code: string; readonly copy: number }>(list: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const one of list) groups.set(key(one.code, one.copy), [...(groups.get(key(one.code, one.copy)) ?? []), one]);
  return groups;
}

function copyStock(piece: Piece, copy: number, uses: readonly Use[], events: readonly StockEvent[]): CopyStock {
  const where = [...new Set([...uses.map((u) => u.where), ...events.map((e) => e.reason)])];
  if (events.some((e) => e.what === 'spoiled' && e.cut === null)) return { copy, state: 'spoiled', where, left: [] };
  const isKept = !uses.length && events.some((e) => e.what === 'kept');
  const isPlanned = uses.length > 0 && !events.length && uses.every((u) => u.planned);
  if (isPlanned) return { copy, state: 'planned', where, left: [] };
  if (!uses.length && !events.length) return { copy, state: 'whole', where, left: [] };
  const left = offcutsOf(
    piece,
    [...uses, ...events].map((u) => u.cut ?? wholeOf(piece)),
  ).filter(worthKeeping);
  return { copy, state: isKept ? 'kept' : left.length ? 'cut' : 'used', where, left };
}

/** Copies of a kit that nobody touched. */
export const untouchedOf = (sums: Readonly<Record<'total' | 'touched' | 'spoiled', number>>): number =>
  sums.total - sums.touched - sums.spoiled;

/** How many copies are in each state. */
export function sumsOf(stock: readonly PieceStock[]): Readonly<Record<CopyState, number>> {
  const sums = { whole: 0, planned: 0, used: 0, cut: 0, spoiled: 0, kept: 0 };
  for (const { copies } of stock) for (const c of copies) sums[c.state]++;
  return sums;
}

/** The parts that events have taken, as the arranging is told of what is not there any more. */
export const goneBy = (events: readonly StockEvent[]): Omit<Use, 'where'>[] =>
  events.filter((e) => e.what !== 'found').map(({ kit, code, copy, cut }) => ({ kit, code, copy, cut }));
