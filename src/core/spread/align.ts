import type { Rect } from '../measure/rect';
import type { Context } from './placement';

/** Where a piece of width `w` begins in its column: on the one common edge of the spread (handbook F4). mm */
export const alignX = ({ ways }: Pick<Context, 'ways'>, column: Pick<Rect, 'x' | 'w'>, w: number): number =>
  ways.align === 'flush left' && w < column.w ? column.x : column.x + (column.w - w) / 2;
