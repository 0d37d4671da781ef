/** A sticker's share of a part: all of the part's pixels in a rectangle. Px, the last pixel included. */
export interface Share {
  readonly label: number;
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  /** edges that were laid by a cut line rather than by the backing beside it */
  readonly cut: { readonly left: boolean; readonly top: boolean; readonly right: boolean; readonly bottom: boolean };
}

/** Whether an edge of it was laid by a cut rather than by the backing beside it. */
export const isCut = ({ cut }: Share): boolean => cut.left || cut.right || cut.top || cut.bottom;
