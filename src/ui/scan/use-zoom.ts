import type { RefObject, WheelEvent } from 'react';
import { useEffect, useState } from 'react';
import type { Point } from '../../core/scan/homography';
import type { Rect } from '../../core/measure/rect';

const MOST = 12;
const STEP = 1.25;

/** What of a drawing is shown: the whole, or a part that is made larger about the pointer. */
export function useZoom(svg: RefObject<SVGSVGElement | null>, width: number, height: number) {
  const [shown, setShown] = useState<Rect>({ x: 0, y: 0, w: width, h: height });
  const by = (factor: number, about: Point = { x: shown.x + shown.w / 2, y: shown.y + shown.h / 2 }): void =>
    setShown((now) => {
      const w = Math.min(width, Math.max(width / MOST, now.w / factor));
      const k = w / now.w;
      const h = now.h * k;
      return {
        x: Math.min(width - w, Math.max(0, about.x - (about.x - now.x) * k)),
        y: Math.min(height - h, Math.max(0, about.y - (about.y - now.y) * k)),
        w,
        h,
      };
    });
  // React listens to wheels passively, so that the page would scroll, too
  useEffect(() => {
    const element = svg.current;
    const still = (e: Event) => e.preventDefault();
    element?.addEventListener('wheel', still, { passive: false });
    return () => element?.removeEventListener('wheel', still);
  }, [svg]);
  return {
    viewBox: `${shown.x} ${shown.y} ${shown.w} ${shown.h}`,
    /** how many times larger than the whole */
    times: width / shown.w,
    onWheel: (e: WheelEvent, at: Point) => by(e.deltaY < 0 ? STEP : 1 / STEP, at),
    closer: () => by(STEP * STEP),
    farther: () => by(1 / (STEP * STEP)),
    whole: () => setShown({ x: 0, y: 0, w: width, h: height }),
  };
}
