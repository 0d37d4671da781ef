import type { Point } from '../../core/scan/homography';

/** Where a pointer is, in a drawing's own units: mm on a page or a sheet, px of a picture. */
export function pointIn(svg: SVGSVGElement | null, e: { readonly clientX: number; readonly clientY: number }): Point {
  const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg?.getScreenCTM()?.inverse());
  return { x: at.x, y: at.y };
}
