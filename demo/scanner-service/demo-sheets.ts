import { drawPiece } from '../../src/core/art/draw-piece';
import { outline } from '../../src/core/art/outlines';
import type { Kit } from '../../src/core/kit/kit';
import { sheetsOf } from '../../src/core/kit/sheet-layout';
import type { PrintedSheet } from './sheet';
import { KISS_CUT } from './sheet';

/** A kit's sheets as a printer would have made them. */
export const printedKit = (kit: Kit): PrintedSheet[] =>
  sheetsOf(kit).map((sheet) => ({
    name: `${kit.name}, sheet ${sheet.number}`,
    sort: 'demo kit',
    width: sheet.width,
    height: sheet.height,
    backing: '#f4f1ea',
    kissCut: KISS_CUT,
    stickers: sheet.lying.map(({ piece, copy, x, y, w, h }) => ({
      design: piece.code,
      kind: piece.kind,
      shape: piece.shape,
      rows: piece.rows,
      x,
      y,
      w,
      h,
      face: drawPiece(piece, `${piece.code}-${copy}`),
      outline: outline(piece.shape, w, h),
      ...(piece.foil !== 'none' ? { foil: true as const } : {}),
    })),
  }));
