import type { Rect } from '../../../core/measure/rect';
import { centerX, centerY } from '../../../core/measure/rect';

/** What of the drawing is looked at, in mm; the whole of it where none is set. */
export type Camera = Rect;

/** As near as one may come: so many mm across. */
const NEAREST = 30;
/** mm left around what is shown on its own. */
const AROUND = 6;

const clamp = (v: number, low: number, high: number): number =>
  low > high ? (low + high) / 2 : Math.min(high, Math.max(low, v));

/** Kept within the whole; null once all of it is seen. */
function within(camera: Camera, whole: Rect): Camera | null {
  if (camera.w >= whole.w - 0.01 && camera.h >= whole.h - 0.01) return null;
  return {
    ...camera,
    x: clamp(camera.x, whole.x, whole.x + whole.w - camera.w),
    y: clamp(camera.y, whole.y, whole.y + whole.h - camera.h),
  };
}

/**
 * Nearer by a factor above 1, farther below it; the point `at` stays where it is on the screen.
 * @returns null for the whole
 * @example zoomed(whole, 2, { x: 100, y: 100 }, whole)
 */
export function zoomed(camera: Camera, factor: number, at: { x: number; y: number }, whole: Rect): Camera | null {
  const f = Math.min(factor, camera.w / NEAREST);
  if (camera.w / f >= whole.w) return null;
  return within(
    { x: at.x - (at.x - camera.x) / f, y: at.y - (at.y - camera.y) / f, w: camera.w / f, h: camera.h / f },
    whole,
  );
}

/** Moved over the drawing by some mm. */
export const panned = (camera: Camera, dx: number, dy: number, whole: Rect): Camera | null =>
  within({ ...camera, x: camera.x + dx, y: camera.y + dy }, whole);

/** Looks at a part of the drawing with a little around it, at the proportions of the whole. */
export function lookAt(part: Rect, whole: Rect): Camera | null {
  const w = Math.max(part.w + 2 * AROUND, ((part.h + 2 * AROUND) * whole.w) / whole.h, NEAREST);
  const h = (w * whole.h) / whole.w;
  return within({ x: centerX(part) - w / 2, y: centerY(part) - h / 2, w, h }, whole);
}

/**
 * As large as it lies on the table, about the middle of what is seen now.
 * @param pixels a true mm has on this screen
 * @param room px that there are
 */
export function trueSize(camera: Camera, pixels: number, room: { width: number; height: number }): Camera {
  const [w, h] = [room.width / pixels, room.height / pixels];
  return { x: centerX(camera) - w / 2, y: centerY(camera) - h / 2, w, h };
}
