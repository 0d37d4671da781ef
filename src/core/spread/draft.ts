import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import type { Ledger, Taken } from '../kit/ledger';
import { atHand } from './at-hand';
import { TOLERANCE, tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { intersect } from '../measure/rect';
import type { Context, PieceIndex, Placement } from './placement';
import { INK, footprint, pieceIndex } from './placement';

type Place = Pick<Placement, 'page' | 'x' | 'y' | 'role'> &
  Partial<Pick<Placement, 'day' | 'layer' | 'items' | 'text' | 'size' | 'ink' | 'turn'>>;

/** A spread in the making. A stage works on a clone and hands that on, so no stage can spoil another's input. */
export class Draft {
  private constructor(
    readonly placements: Placement[],
    readonly ledger: Ledger,
    private readonly pieces: PieceIndex,
    private next: number,
    /** ids of what was there when the arranging began */
    readonly kept: ReadonlySet<string>,
  ) {}

  /** Begins with what is kept: locked placements, and what other weeks have used. */
  static begin(context: Context, kept: readonly Placement[]): Draft {
    const pieces = pieceIndex(context);
    const ledger = atHand(context).clone();
    for (const taken of kept) {
      const piece = pieces.get(pieceKey(taken));
      if (piece) ledger.note(piece, taken);
    }
    const numbers = kept.map((p) => Number(p.id.replace(/\D/g, '')) || 0);
    return new Draft([...kept], ledger, pieces, Math.max(0, ...numbers) + 1, new Set(kept.map((p) => p.id)));
  }

  clone(): Draft {
    return new Draft([...this.placements], this.ledger.clone(), this.pieces, this.next, this.kept);
  }

  /** The same spread with one placement taken off; its sticker is free again. */
  without(id: string): Draft {
    const left = this.placements.filter((p) => p.id !== id);
    const gone = this.placements.find((p) => p.id === id);
    const draft = new Draft(left, this.ledger.clone(), this.pieces, this.next, this.kept);
    const piece = gone && this.pieces.get(pieceKey(gone));
    if (gone && piece) draft.ledger.giveBack(piece, gone);
    return draft;
  }

  /** Puts a taken sticker on a page, at its size after cutting. */
  add(piece: Piece, taken: Taken, at: Place): Placement {
    const placement: Placement = {
      id: `p${this.next++}`,
      kit: piece.kit,
      code: piece.code,
      copy: taken.copy,
      page: at.page,
      x: tidy(at.x),
      y: tidy(at.y),
      w: tidy(taken.cut?.w ?? piece.width),
      h: tidy(taken.cut?.h ?? piece.height),
      turn: at.turn ?? 0,
      layer: at.layer ?? 0,
      role: at.role,
      day: at.day ?? null,
      cut: taken.cut && { x: tidy(taken.cut.x), y: tidy(taken.cut.y), w: tidy(taken.cut.w), h: tidy(taken.cut.h) },
      items: at.items ?? [],
      text: at.text ?? null,
      size: at.size ?? 1,
      ink: at.ink ?? null,
      locked: false,
    };
    this.placements.push(placement);
    return placement;
  }

  /** Writes straight onto the paper. */
  write(at: Place & Pick<Rect, 'w' | 'h'>): Placement {
    const written: Placement = {
      ...INK,
      id: `p${this.next++}`,
      page: at.page,
      x: tidy(at.x),
      y: tidy(at.y),
      w: tidy(at.w),
      h: tidy(at.h),
      layer: at.layer ?? 0,
      role: at.role,
      day: at.day ?? null,
      items: at.items ?? [],
      text: at.text ?? null,
      size: at.size ?? 1,
      ink: at.ink ?? null,
      locked: false,
    };
    this.placements.push(written);
    return written;
  }

  /** Writes something else, or smaller, on what is there. */
  rewrite(id: string, written: Pick<Placement, 'text' | 'size'>): void {
    const i = this.placements.findIndex((p) => p.id === id);
    this.placements[i] = { ...(this.placements[i] as Placement), ...written };
  }

  /**
   * Cuts a placement from another copy, or elsewhere from the same; its place on the page stays. To be done for all
   * parts of a design in one go.
   */
  recut(id: string, piece: Piece, taken: Taken): void {
    const i = this.placements.findIndex((p) => p.id === id);
    const old = this.placements[i] as Placement;
    const cut = taken.cut && { x: tidy(taken.cut.x), y: tidy(taken.cut.y), w: tidy(taken.cut.w), h: tidy(taken.cut.h) };
    this.placements[i] = {
      ...old,
      copy: taken.copy,
      cut: cut && cut.w >= piece.width - TOLERANCE && cut.h >= piece.height - TOLERANCE ? null : cut,
    };
  }

  pieceOf = (p: Pick<Placement, 'kit' | 'code'>): Piece | undefined => this.pieces.get(pieceKey(p));

  /** What already lies in a part of a page. */
  lyingIn = (page: number, where: Rect): Placement[] =>
    this.placements.filter((p) => p.page === page && intersect(footprint(p), where));
}

export type Stage = (draft: Draft, context: Context) => Draft;
