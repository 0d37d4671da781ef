import type { Point } from '../../core/scan/homography';
import type { Rect } from '../../core/measure/rect';

/** The whole of a drawing, in its own units. */
interface Whole {
  readonly width: number;
  readonly height: number;
}

const MOST_TIMES = 12;

const within = (at: number, most: number): number => Math.min(most, Math.max(0, at));

/** The part of a drawing that is seen, drawn `factor` times larger than now; what lies at `about` stays where it is. */
export function closer(shown: Rect, { width, height }: Whole, factor: number, about: Point): Rect {
  const w = Math.min(width, Math.max(width / MOST_TIMES, shown.w / factor));
  const k = w / shown.w;
  const h = shown.h * k;
  return {
    x: within(about.x - (about.x - shown.x) * k, width - w),
    y: within(about.y - (about.y - shown.y) * k, height - h),
    w,
    h,
  };
}

/** The part that is seen when the drawing is dragged from one point to another, never beyond its edges. */
export const dragged = (shown: Rect, { width, height }: Whole, from: Point, to: Point): Rect => ({
  ...shown,
  x: within(shown.x + from.x - to.x, width - shown.w),
  y: within(shown.y + from.y - to.y, height - shown.h),
});
