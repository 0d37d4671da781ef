import type { Rect } from '../measure/rect';
import { bottom, intersect, right } from '../measure/rect';
import { TOLERANCE } from '../measure/length';
import type { Piece } from './kit';
import { pieceKey } from './kit';

/** A part of one physical sticker: which copy, and which part of it in the piece's own mm (null: whole). */
export interface Taken {
  readonly copy: number;
  readonly cut: Rect | null;
}

/** Names one physical sticker: `kit/code#copy`. */
export const copyKey = (p: { kit: string; code: string; copy: number }): string => `${pieceKey(p)}#${p.copy}`;

export const wholeOf = (piece: Piece): Rect => ({ x: 0, y: 0, w: piece.width, h: piece.height });

/**
 * Which physical stickers are still there. Copies count from 1 to the piece's count.
 * Taking from it changes it; `clone` first where the old state is still wanted.
 */
export class Ledger {
  private constructor(private readonly used: Map<string, ReadonlyMap<number, readonly Rect[]>>) {}

  static empty(): Ledger {
    return new Ledger(new Map());
  }

  clone(): Ledger {
    return new Ledger(new Map(this.used)); // what is noted of one design is never changed, only replaced
  }

  /** The parts of a copy that are used, in the piece's own mm. */
  partsOf(piece: Piece, copy: number): readonly Rect[] {
    return this.used.get(pieceKey(piece))?.get(copy) ?? [];
  }

  /** How many copies nobody has touched. */
  untouched(piece: Piece): number {
    return piece.count - (this.used.get(pieceKey(piece))?.size ?? 0);
  }

  /** True for a part that exists and that nobody has. */
  isFree(piece: Piece, taken: Taken): boolean {
    const part = taken.cut ?? wholeOf(piece);
    if (!Number.isInteger(taken.copy) || taken.copy < 1 || taken.copy > piece.count) return false;
    if (right(part) > piece.width + TOLERANCE || bottom(part) > piece.height + TOLERANCE) return false;
    return !this.partsOf(piece, taken.copy).some((other) => intersect(other, part));
  }

  /** Notes a part as used. `false` when it does not exist or is in use already; then nothing is noted. */
  note(piece: Piece, taken: Taken): boolean {
    if (!this.isFree(piece, taken)) return false;
    const part = taken.cut ?? wholeOf(piece);
    const before = this.partsOf(piece, taken.copy);
    const copies = this.used.get(pieceKey(piece)) ?? [];
    this.used.set(pieceKey(piece), new Map([...copies, [taken.copy, [...before, part]]]));
    return true;
  }

  /** Undoes a `note`. */
  giveBack(piece: Piece, taken: Taken): void {
    const part = taken.cut ?? wholeOf(piece);
    const copies = new Map(this.used.get(pieceKey(piece)));
    const left = this.partsOf(piece, taken.copy).filter((other) => !intersect(other, part));
    if (left.length) copies.set(taken.copy, left);
    else copies.delete(taken.copy);
    this.used.set(pieceKey(piece), copies);
  }

  /** Takes an untouched copy, whole or cut; null when there is none. */
  take(piece: Piece, cut: Rect | null = null): Taken | null {
    const copy = this.firstUntouched(piece);
    if (copy === null) return null;
    this.note(piece, { copy, cut });
    return { copy, cut };
  }

  /** The first of some parts of a copy that nobody has; copies that are begun come before whole ones. */
  freePart(piece: Piece, parts: readonly Rect[]): Taken | null {
    for (const copy of this.copiesAtHand(piece).sort((a, b) => this.fresh(piece, a) - this.fresh(piece, b)))
      for (const cut of parts) if (this.isFree(piece, { copy, cut })) return { copy, cut };
    return null;
  }

  /**
   * Takes `length` x `height` mm off a strip or roll, from its left end on.
   * A copy that is already begun comes first, so that long strips stay whole.
   */
  takeLength(piece: Piece, length: number, height: number): Taken | null {
    if (height > piece.height + TOLERANCE) return null;
    const free = this.strips(piece).filter((s) => s.left >= length - TOLERANCE);
    const best = free.sort((a, b) => a.left - b.left || a.copy - b.copy)[0];
    if (!best) return null;
    const whole =
      best.from === 0 && Math.abs(best.left - length) < TOLERANCE && Math.abs(height - piece.height) < TOLERANCE;
    const cut = whole ? null : { x: best.from, y: (piece.height - height) / 2, w: length, h: height };
    this.note(piece, { copy: best.copy, cut });
    return { copy: best.copy, cut };
  }

  /** The longest length still to be had from one strip of this design, in mm. */
  longest(piece: Piece): number {
    return Math.max(0, ...this.strips(piece).map((s) => s.left));
  }

  /** All length still there, over all copies, in mm. */
  lengthLeft(piece: Piece): number {
    const others = Math.max(0, this.untouched(piece) - 1); // one of them is among the strips
    return this.strips(piece).reduce((sum, s) => sum + s.left, 0) + others * piece.width;
  }

  /**
   * Takes `rows` rows and a width of `width` mm off a checklist or tracker, from its top on (handbook L1, L3).
   * An offcut that just serves comes before a new list.
   */
  takeRows(piece: Piece, rows: number, width: number): Taken | null {
    const best = this.lists(piece)
      .filter((list) => list.rows >= rows)
      .sort((a, b) => a.rows - b.rows || a.copy - b.copy)[0];
    if (!best || piece.rows === 0) return null;
    const pitch = piece.height / piece.rows;
    const whole = rows === piece.rows && width >= piece.width - TOLERANCE;
    const cut = whole ? null : { x: 0, y: best.from * pitch, w: Math.min(width, piece.width), h: rows * pitch };
    this.note(piece, { copy: best.copy, cut });
    return { copy: best.copy, cut };
  }

  /** The most rows still to be had from one list of this design. */
  mostRows(piece: Piece): number {
    return Math.max(0, ...this.lists(piece).map((list) => list.rows));
  }

  /** All rows still there, over all copies. */
  rowsLeft(piece: Piece): number {
    const others = Math.max(0, this.untouched(piece) - 1); // one of them is among the lists
    return this.lists(piece).reduce((sum, list) => sum + list.rows, 0) + others * piece.rows;
  }

  /** The most rows still to be had from a list that is begun, one copy left out of account where it is given. */
  rowsOfOffcuts(piece: Piece, but?: number): number {
    return Math.max(
      0,
      ...this.lists(piece)
        .filter((list) => list.from > 0 && list.copy !== but)
        .map((list) => list.rows),
    );
  }

  /** The longest that is left of strips that are begun, one copy left out of account where it is given; mm. */
  lengthOfOffcuts(piece: Piece, but?: number): number {
    return Math.max(
      0,
      ...this.strips(piece)
        .filter((s) => s.from > 0 && s.copy !== but)
        .map((s) => s.left),
    );
  }

  private fresh(piece: Piece, copy: number): number {
    return this.partsOf(piece, copy).length ? 0 : 1;
  }

  private firstUntouched(piece: Piece): number | null {
    const used = this.used.get(pieceKey(piece));
    for (let copy = 1; copy <= piece.count; copy++) if (!used?.get(copy)?.length) return copy;
    return null;
  }

  /** Copies that are begun, and the first of those that are not: the others are like it, however many there are. */
  private copiesAtHand(piece: Piece): number[] {
    const begun = [...(this.used.get(pieceKey(piece))?.keys() ?? [])];
    const fresh = this.firstUntouched(piece);
    return [...begun, ...(fresh === null ? [] : [fresh])].sort((a, b) => a - b);
  }

  private strips(piece: Piece): { copy: number; from: number; left: number }[] {
    return this.copiesAtHand(piece).map((copy) => {
      const from = Math.max(0, ...this.partsOf(piece, copy).map(right));
      return { copy, from, left: piece.width - from };
    });
  }

  private lists(piece: Piece): { copy: number; from: number; rows: number }[] {
    if (piece.rows === 0) return [];
    const pitch = piece.height / piece.rows;
    return this.copiesAtHand(piece).map((copy) => {
      const from = Math.max(0, Math.ceil(Math.max(0, ...this.partsOf(piece, copy).map(bottom)) / pitch - TOLERANCE));
      return { copy, from, rows: piece.rows - from };
    });
  }
}
