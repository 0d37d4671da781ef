import type { Context } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import { esc, num } from '../art/svg';
import { outline } from '../art/outlines';
import type { Cut } from '../bench/cuts';
import type { Piece } from '../kit/kit';
import { isRoll, pieceKey } from '../kit/kit';
import { right } from '../measure/rect';

const GAP = 6;
const WIDTH = 200;

/**
 * The outline of every sticker that is cut, to scale, with its cut lines; parts used are solid, what is left is
 * dashed.
 */
export function cutsSvg(context: Context, cuts: readonly Cut[]): string {
  const pieces = pieceIndex(context);
  let [x, y, tall] = [GAP, GAP, 0];
  const drawn = cuts.flatMap((cut) => {
    const piece = pieces.get(pieceKey(cut));
    if (!piece) return [];
    const from = isRoll(piece) ? Math.min(...cut.pieces.map((r) => r.x)) : 0;
    const shown = isRoll(piece) ? Math.max(...cut.pieces.map(right)) - from : piece.width;
    if (x > GAP && x + shown > WIDTH) [x, y, tall] = [GAP, y + tall + GAP + 5, 0];
    const group = `<g transform="translate(${num(x)} ${num(y + 4)})">${stickerSvg(cut, piece, from, shown)}</g>`;
    x += shown + GAP;
    tall = Math.max(tall, piece.height);
    return [group];
  });
  const height = y + tall + GAP + 5;
  const width = Math.max(WIDTH, ...cuts.flatMap((c) => c.pieces.map((r) => r.w + 2 * GAP)));
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${num(width)}mm" height="${num(height)}mm" viewBox="0 0 ${num(width)} ${num(height)}"><title>Cut outlines, one unit is one mm</title>${drawn.join('')}</svg>\n`;
}

function stickerSvg(cut: Cut, piece: Piece, from: number, shown: number): string {
  const name = `${cut.kit} ${cut.code}${piece.count > 1 ? ` #${cut.copy}` : ''}`;
  const edge = isRoll(piece)
    ? `M0 0H${num(shown)}M0 ${num(piece.height)}H${num(shown)}`
    : outline(piece.shape, piece.width, piece.height);
  const parts = cut.pieces
    .map(
      (r) =>
        `<rect x="${num(r.x - from)}" y="${num(r.y)}" width="${num(r.w)}" height="${num(r.h)}" fill="#17443f" fill-opacity=".08" stroke="#9b2743" stroke-width=".25"/><text x="${num(r.x - from + 1)}" y="${num(r.y + Math.min(r.h - 0.6, 3.2))}" font-size="2.4" font-family="sans-serif" fill="#17443f">${esc(r.placement)}: ${num(r.w)} × ${num(r.h)}</text>`,
    )
    .join('');
  const left = isRoll(piece)
    ? ''
    : cut.left
        .map(
          (r) =>
            `<rect x="${num(r.x)}" y="${num(r.y)}" width="${num(r.w)}" height="${num(r.h)}" fill="none" stroke="#777" stroke-width=".15" stroke-dasharray="1 1"/>`,
        )
        .join('');
  return `<text x="0" y="-1" font-size="2.8" font-family="sans-serif" fill="#1f2423">${esc(name)}</text><path d="${edge}" fill="none" stroke="#1f2423" stroke-width=".2"/>${left}${parts}`;
}
