import type { Rect } from '../measure/rect';
import type { Kit, Piece } from './kit';
import { isRoll } from './kit';

/** One physical sticker lying on its sheet. */
export interface Lying extends Rect {
  readonly piece: Piece;
  readonly copy: number;
}

export interface Sheet {
  readonly number: number;
  /** mm */
  readonly width: number;
  readonly height: number;
  readonly lying: readonly Lying[];
}

/** Round a drawn sheet, and between the stickers on it, mm. */
const MARGIN = 4;
const GAP = 2;

/**
 * How a kit's pieces lie on its sheets, true to scale: rows of copies, in the kit's own order.
 * A kit file says which sheet a piece is on but not where, so the place is this project's own choice.
 * Rolls lie on no sheet.
 * @param width of a sheet in mm, widened when a piece is wider
 */
export function sheetsOf(kit: Kit, width = 127): Sheet[] {
  const numbers = [...new Set(kit.pieces.map((p) => p.sheet))].sort((a, b) => a - b);
  return numbers
    .map((number) =>
      layOut(
        number,
        kit.pieces.filter((p) => p.sheet === number && !isRoll(p)),
        width,
      ),
    )
    .filter((sheet) => sheet.lying.length > 0);
}

function layOut(number: number, pieces: readonly Piece[], atLeast: number): Sheet {
  const width = Math.max(atLeast, ...pieces.map((p) => p.width + 2 * MARGIN));
  const lying: Lying[] = [];
  let x = MARGIN;
  let y = MARGIN;
  let tall = 0;
  for (const piece of pieces) {
    for (let copy = 1; copy <= piece.count; copy++) {
      if (x > MARGIN && x + piece.width > width - MARGIN + 1e-6) {
        x = MARGIN;
        y += tall + GAP;
        tall = 0;
      }
      lying.push({ piece, copy, x, y, w: piece.width, h: piece.height });
      x += piece.width + GAP;
      tall = Math.max(tall, piece.height);
    }
  }
  return { number, width, height: y + tall + MARGIN, lying };
}
