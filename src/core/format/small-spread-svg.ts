import { drawnWidth } from '../art/draw-piece';
import { num } from '../art/svg';
import type { Piece } from '../kit/kit';
import type { Context, Placement } from '../spread/placement';
import { piecesOn } from '../spread/placement';
import { openPlaces } from '../spread/open-places';
import { whiteOutOf } from '../bench/white-out';
import { SCRIBBLES } from './scribbles';
import { pageSvg } from './spread-svg';
import { lettersAsPaths } from './text-as-path';

/** A sticker's face as a picture: its address. */
export type FaceAt = (piece: Piece) => string;

/**
 * The pages side by side, so small that what is written on them is seen and not read: to scale, every sticker as a
 * picture that is made once for many such drawings, handwriting as strokes.
 * @param width px
 */
export function smallSpreadSvg(
  context: Context,
  placements: readonly Placement[],
  faceAt: FaceAt,
  width: number,
): string {
  const { pages } = context.book;
  const across = pages.reduce((sum, p) => sum + p.width, 0);
  const high = Math.max(...pages.map((p) => p.height));
  const faces = new Map(piecesOn(context, placements).map((piece, n) => [piece, `f${n}`]));
  const out = whiteOutOf(context, placements);
  const places = openPlaces(context, placements);
  let x = 0;
  const drawn = pages.map((page, i) => {
    const here = placements.filter((p) => p.page === i);
    const whited = out.filter((o) => o.page === i);
    const use = (piece: Piece): string => `<use href="#${faces.get(piece) ?? ''}"/>`;
    const group = `<g transform="translate(${num(x)} 0)">${pageSvg(context, i, here, placements, whited, places, use)}</g>`;
    x += page.width;
    return group;
  });
  const images = [...faces].map(
    ([piece, id]) =>
      `<image id="${id}" width="${num(drawnWidth(piece))}" height="${num(piece.height)}" preserveAspectRatio="none" href="${faceAt(piece)}"/>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${Math.round((width * high) / across)}" viewBox="0 0 ${num(across)} ${num(high)}"><defs>${images.join('')}</defs>${lettersAsPaths(drawn.join(''), SCRIBBLES)}</svg>`;
}
