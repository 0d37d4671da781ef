import { outline } from '../art/outlines';
import { num } from '../art/svg';
import type { Piece } from '../kit/kit';
import type { MadeSheet } from '../make/lay-out';
import { BLEED, marksOf } from '../make/lay-out';
import { bounds } from '../measure/rect';

/** The outline that is cut round a sticker: closed; what is cut round its picture is cut as an oval of its size. */
export const cutOutline = (piece: Piece): string =>
  outline(piece.shape === 'free' ? 'circle' : piece.shape, piece.width, piece.height);

/**
 * A made sheet as a cut file: SVG in mm with a layer for each depth. `kiss-cut` goes through the sticker alone,
 * `through-cut` through the sheet, round all of them; `score` is where it may be folded and snapped; `registration` is
 * printed and not cut.
 */
export function cutFile(sheet: MadeSheet): string {
  const { width, height, items, folds } = sheet;
  const kiss = items
    .map((i) => `<path transform="translate(${num(i.x)} ${num(i.y)})" d="${cutOutline(i.piece)}"/>`)
    .join('');
  const around = items.length ? bounds(items) : null;
  const rim = 2 * BLEED + 1;
  const through = around
    ? `<path d="M${num(around.x - rim)} ${num(around.y - rim)}h${num(around.w + 2 * rim)}v${num(around.h + 2 * rim)}h${num(-around.w - 2 * rim)}z"/>`
    : '';
  const score = around
    ? folds
        .map((y) => `<path d="M${num(around.x - rim + 1)} ${num(y)}H${num(around.x + around.w + rim - 1)}"/>`)
        .join('')
    : '';
  const marks = marksOf(sheet)
    .map((m) => `<rect x="${num(m.x)}" y="${num(m.y)}" width="${num(m.w)}" height="${num(m.h)}" fill="#000000"/>`)
    .join('');
  const layer = (id: string, color: string, paths: string): string =>
    `<g id="${id}" fill="none" stroke="${color}" stroke-width="0.1">${paths}</g>`;
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${num(width)}mm" height="${num(height)}mm" viewBox="0 0 ${num(width)} ${num(height)}"><title>Cut file, one unit is one mm</title><g id="registration">${marks}</g>${layer('score', '#2c4a86', score)}${layer('kiss-cut', '#9b2743', kiss)}${layer('through-cut', '#17443f', through)}</svg>\n`;
}
