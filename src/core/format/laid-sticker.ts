import { shownCut } from '../art/draw-piece';
import { outline } from '../art/outlines';
import { num } from '../art/svg';
import type { Piece } from '../kit/kit';
import type { Rect } from '../measure/rect';
import { turned } from '../measure/rect';
import type { Placement } from '../spread/placement';

/** How what is written on the paper lies: it has a place, and nothing is drawn but its letters. */
export const laidInk = (p: Placement): LaidSticker => ({
  transform: `translate(${num(p.x)} ${num(p.y)})`,
  viewBox: `0 0 ${num(p.w)} ${num(p.h)}`,
  overflow: 'visible',
  footprint: p,
  shadow: null,
});

/** How a placed sticker is drawn, whatever draws it. Lengths in mm. */
export interface LaidSticker {
  /** from the sticker's own millimeters to its page's, as SVG has it */
  readonly transform: string;
  /** the part of the printed piece's drawing that is seen, as SVG has it */
  readonly viewBox: string;
  /** hidden where it was cut, since the rest of the drawing is not there any more */
  readonly overflow: 'hidden' | 'visible';
  /** the paper it covers on its page, turned as it is */
  readonly footprint: Rect;
  /** the outline that throws a shadow; null for what is cut round its picture */
  readonly shadow: string | null;
}

/**
 * The one place that knows how a placed sticker lies: SVG, print and screens all draw from it.
 * @example laidSticker(piece, placement).transform // 'translate(46.1 60) rotate(90 19.05 6)'
 */
export function laidSticker(piece: Piece, p: Placement): LaidSticker {
  const cut = shownCut(piece, p.cut);
  const turn = p.turn ? ` rotate(${num(p.turn)} ${num(p.w / 2)} ${num(p.h / 2)})` : '';
  const flat = piece.shape !== 'free' && piece.kind !== 'banner';
  return {
    transform: `translate(${num(p.x)} ${num(p.y)})${turn}`,
    viewBox: `${num(cut.x)} ${num(cut.y)} ${num(cut.w)} ${num(cut.h)}`,
    overflow: p.cut ? 'hidden' : 'visible',
    footprint: turned(p, p.turn),
    shadow: flat ? outline(p.cut ? 'rect' : piece.shape, p.w, p.h) : null,
  };
}
