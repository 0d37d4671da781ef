import type { Kit, Piece } from '../kit/kit';
import { PAPER } from '../measure/paper';
import type { Rect } from '../measure/rect';

/** One sticker on a sheet that is printed and cut at home, mm. */
export interface OnMadeSheet extends Rect {
  readonly piece: Piece;
  readonly copy: number;
}

export interface MadeSheet {
  readonly width: number;
  readonly height: number;
  readonly items: readonly OnMadeSheet[];
  /** middles of the rows' gaps, where the sheet may be folded and snapped apart, mm from the top */
  readonly folds: readonly number[];
}

/** Print reaches so far over a sticker's edge, mm: a cut that is a hair off shows no white. */
export const BLEED = 1;
/** Free paper between two stickers: both bleeds, and a little for the blade. */
const GAP = 2 * BLEED + 1;
/** No printer is sure to print nearer to an edge, and the registration marks stand there, mm. From memory. */
export const EDGE = 16;

/**
 * The stickers of a kit on as many sheets as they take: rows of one height after another, the highest first, each row
 * filled from the left. What is wider than the sheet is not laid.
 */
export function layOutMade(kit: Kit, size: 'A4' | 'Letter'): { sheets: MadeSheet[]; tooWide: Piece[] } {
  const { width, height } = PAPER[size];
  const [roomW, roomH] = [width - 2 * EDGE, height - 2 * EDGE];
  const tooWide = kit.pieces.filter((p) => p.width > roomW || p.height > roomH);
  const all = kit.pieces
    .filter((p) => !tooWide.includes(p))
    .flatMap((piece) => Array.from({ length: piece.count }, (_, i) => ({ piece, copy: i + 1 })))
    .sort(
      (a, b) =>
        b.piece.height - a.piece.height ||
        (a.piece.code < b.piece.code ? -1 : a.piece.code > b.piece.code ? 1 : a.copy - b.copy),
    );
  const sheets: { items: OnMadeSheet[]; folds: number[] }[] = [];
  let [x, y, tall] = [0, 0, 0];
  for (const { piece, copy } of all) {
    if (sheets.length && x > 0 && x + piece.width > roomW) {
      [x, y, tall] = [0, y + tall + GAP, 0];
    }
    if (!sheets.length || y + piece.height > roomH) {
      sheets.push({ items: [], folds: [] });
      [x, y, tall] = [0, 0, 0];
    } else if (x === 0 && y > 0) sheets.at(-1)?.folds.push(EDGE + y - GAP / 2);
    sheets.at(-1)?.items.push({ piece, copy, x: EDGE + x, y: EDGE + y, w: piece.width, h: piece.height });
    x += piece.width + GAP;
    tall = Math.max(tall, piece.height);
  }
  return { sheets: sheets.map((s) => ({ width, height, ...s })), tooWide };
}

/** Registration marks: where a cutter looks for the sheet, mm. */
export const marksOf = ({ width, height }: MadeSheet): readonly Rect[] => [
  { x: 8, y: 8, w: 5, h: 5 },
  { x: width - 13, y: 8, w: 5, h: 5 },
  { x: 8, y: height - 13, w: 5, h: 5 },
];
