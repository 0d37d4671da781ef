import { num } from '../art/svg';
import type { Piece } from '../kit/kit';
import { BLEED } from './lay-out';

/**
 * What is printed beyond a sticker's edge: its own face, mirrored at each edge and corner, so that a cut that is a hair
 * off shows no jump; round shapes have it grown about their middle.
 * @param face its drawing in its own mm, its corners square where its shape is nearly that; it is shown several times
 */
export function bleedOf({ shape, width: w, height: h }: Piece, face: string): string {
  if (shape !== 'rect' && shape !== 'rounded')
    return `<g transform="translate(${num(w / 2)} ${num(h / 2)}) scale(${grown(w)} ${grown(h)}) translate(${num(-w / 2)} ${num(-h / 2)})">${face}</g>`;
  const mirrored = [-1, 0, 1].flatMap((column) =>
    [-1, 0, 1].flatMap((row) => {
      if (!column && !row) return [];
      const [x, y] = [column > 0 ? 2 * w : 0, row > 0 ? 2 * h : 0];
      return `<g transform="translate(${num(x)} ${num(y)}) scale(${column ? -1 : 1} ${row ? -1 : 1})">${face}</g>`;
    }),
  );
  return `<svg x="${-BLEED}" y="${-BLEED}" width="${num(w + 2 * BLEED)}" height="${num(h + 2 * BLEED)}" viewBox="${-BLEED} ${-BLEED} ${num(w + 2 * BLEED)} ${num(h + 2 * BLEED)}">${mirrored.join('')}</svg>`;
}

const grown = (length: number): number => Math.round((1 + (2 * BLEED) / length) * 10000) / 10000;
