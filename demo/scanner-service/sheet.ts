import type { Hex } from '../../src/core/color/color';
import type { Kind, Shape } from '../../src/core/kit/kinds';

/** One sticker as it was printed: what a reader of the sheet's picture has to find again. Lengths in mm. */
export interface Printed {
  /** equal designs have one name */
  readonly design: string;
  readonly kind: Kind;
  readonly shape: Shape;
  readonly rows: number;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** its face as SVG in mm, its corner at 0, 0 */
  readonly face: string;
  /** its outline as a path in mm, its corner at 0, 0 */
  readonly outline: string;
  readonly foil?: true;
}

/** A printed sheet as it lies before the scanner. */
export interface PrintedSheet {
  readonly name: string;
  readonly sort: string;
  readonly width: number;
  readonly height: number;
  readonly backing: Hex;
  /** the fine line that the knife left round each sticker */
  readonly kissCut: { readonly color: Hex; readonly opacity: number; readonly width: number };
  readonly stickers: readonly Printed[];
}

export const KISS_CUT = { color: '#6f6a60', opacity: 0.32, width: 0.12 } as const;

/** The paper's white core shows on both sides of the shadow in the cut: so it is seen on pale and on dark print. */
const cut = ({ outline }: Printed, color: Hex, opacity: number, width: number): string =>
  `<path d="${outline}" fill="none" stroke="${color}" stroke-opacity="${opacity}" stroke-width="${width}"/>`;

/** The sheet as SVG, true to scale; without its backing for the truth about colors. */
export function sheetSvg({ width, height, backing, stickers, kissCut }: PrintedSheet): string {
  const drawn = stickers
    .map(
      (s) =>
        `<g transform="translate(${s.x} ${s.y})">${s.face}${cut(s, '#ffffff', kissCut.opacity, kissCut.width * 2.2)}${cut(s, kissCut.color, kissCut.opacity, kissCut.width)}</g>`,
    )
    .join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="${backing}"/>${drawn}</svg>`;
}
