import { blankPiece } from '../kit/blank-piece';
import { shortOf } from '../kit/kinds';
import type { Kit, Piece } from '../kit/kit';
import type { Sticker } from './correct';

/** A sheet that was read and looked over. */
export interface CheckedSheet {
  readonly stickers: readonly Sticker[];
}

/** A design of the kit, with the sticker whose picture stands for all its copies. */
export interface ScannedPiece {
  readonly piece: Piece;
  readonly sheet: number;
  readonly sticker: Sticker;
}

/** The kit that some sheets make, design by design in the order of the sheets; sizes to the tenth of a millimeter. */
export function kitOfScan(
  name: string,
  sheets: readonly CheckedSheet[],
): { kit: Kit; scanned: readonly ScannedPiece[] } {
  const codes = new Map<string, number>();
  const scanned = sheets.flatMap(({ stickers }, index) => {
    const designs = [...new Set(stickers.map((s) => s.design))];
    return designs.map((design): ScannedPiece => {
      const copies = stickers.filter((s) => s.design === design);
      const sticker = copies[0] as Sticker;
      return { piece: pieceOf(name, sticker, copies.length, index + 1, codes), sheet: index, sticker };
    });
  });
  return { kit: { name, pieces: scanned.map((s) => s.piece) }, scanned };
}

function pieceOf(kit: string, s: Sticker, count: number, sheet: number, codes: Map<string, number>): Piece {
  const short = shortOf(s.kind);
  const nth = (codes.get(short) ?? 0) + 1;
  codes.set(short, nth);
  const tenth = (mm: number): number => Math.round(mm * 10) / 10;
  const { shape, color, accent, words, icon, writable, foil, rows } = s;
  const [width, height] = [tenth(s.w), tenth(s.h)];
  const seen = { count, width, height, sheet, shape, color, accent, words, icon, writable, foil, rows };
  return blankPiece(s.kind, { kit, code: `${short}-${nth}`, ...seen });
}
