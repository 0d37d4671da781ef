import { isPattern } from '../../art/motifs/registry';
import type { Region } from '../../book/book';
import type { Piece } from '../../kit/kit';
import { TOLERANCE } from '../../measure/length';
import type { Rect } from '../../measure/rect';
import { right } from '../../measure/rect';
import { trimTo } from '../../spread/trim';

/** A part of a box as it will lie, from the left and the top of the whole, in mm. */
export interface BoxPart {
  readonly dx: number;
  readonly dy: number;
  /** the part of the printed piece; null: whole */
  readonly cut: Rect | null;
  /** lies on the other part */
  readonly over?: true;
}

/** How a full box can stand in a place: whole, trimmed, or cut in two and overlapped. */
export interface BoxFit {
  readonly w: number;
  readonly h: number;
  readonly parts: readonly BoxPart[];
  /** what the knife costs its looks; 0 for a whole box */
  readonly harm: number;
}

/** The least share of its height that a shortened pattern keeps, and a trimmed scene. From memory. */
const SHORTEST_PATTERN = 0.62;
const LOWEST_SCENE = 0.88;

/** A pattern may be cut in two and its halves overlapped; a plain color too (handbook F2). */
export const mayBeShortened = (piece: Pick<Piece, 'motif'>): boolean => piece.motif === '' || isPattern(piece.motif);

/** A full box in a place of `width` x `height` mm (handbook F1, F2); null where even the knife does not help. */
export function fitBox(piece: Piece, width: number, height: number): BoxFit | null {
  const across = trimTo(piece, width);
  if (across === undefined) return null;
  const w = across?.w ?? piece.width;
  const x = across?.x ?? 0;
  const narrowed = (piece.width - w) / piece.width;
  if (piece.height <= height + TOLERANCE)
    return { w, h: piece.height, parts: [{ dx: 0, dy: 0, cut: across }], harm: narrowed * 4 };
  const share = height / piece.height;
  if (mayBeShortened(piece) && share >= SHORTEST_PATTERN) {
    const half = piece.height / 2;
    return {
      w,
      h: height,
      harm: narrowed * 4 + 2 + (1 - share) * 8,
      parts: [
        { dx: 0, dy: 0, cut: { x, y: 0, w, h: half } },
        { dx: 0, dy: height - half, cut: { x, y: half, w, h: half }, over: true },
      ],
    };
  }
  if (share < LOWEST_SCENE) return null;
  return {
    w,
    h: height,
    harm: narrowed * 4 + 3 + (1 - share) * 40,
    parts: [{ dx: 0, dy: 0, cut: { x, y: (piece.height - height) / 2, w, h: height } }],
  };
}

/**
 * A double box over two neighboring columns, cut so that its halves line up across the gap (handbook F3): where the
 * piece is wide enough for columns and gap, what would lie in the gap is cut away; else the cut edges stand on the
 * columns' inner edges.
 */
export function fitDouble(piece: Piece, left: Region, right_: Region, height: number): BoxFit | null {
  const gap = right_.x - right(left);
  if (gap < 0 || piece.height > height + TOLERANCE || left.page !== right_.page) return null;
  const middle = piece.width / 2;
  const lost = piece.width >= left.w + gap + right_.w - TOLERANCE ? gap / 2 : 0;
  const [a, b] = [Math.min(left.w, middle - lost), Math.min(right_.w, middle - lost)];
  if (a <= 0 || b <= 0) return null;
  const h = piece.height;
  return {
    w: a + gap + b,
    h,
    harm: ((piece.width - a - b) / piece.width) * 4,
    parts: [
      { dx: left.w - a, dy: 0, cut: { x: middle - lost - a, y: 0, w: a, h } },
      { dx: left.w + gap, dy: 0, cut: { x: middle + lost, y: 0, w: b, h } },
    ],
  };
}
