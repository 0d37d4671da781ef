import type { PointerEvent as ReactPointer, RefObject } from 'react';
import { useCallback, useEffect, useRef } from 'react';
import type { Rect } from '../../../core/measure/rect';
import { pointIn } from '../../drag/point-in';
import { useSpreadStore } from '../store';
import type { Camera } from './camera';
import { panned, zoomed } from './camera';

interface Point {
  readonly x: number;
  readonly y: number;
}

/** A notch of the wheel, and a step of the keys. */
export const STEP = 1.25;

/**
 * Looks nearer and farther: the wheel with Ctrl (which is what a pinch on a touchpad sends), two fingers, and a drag of
 * the empty paper once it is near.
 */
export function useCamera(svg: RefObject<SVGSVGElement | null>, whole: Rect) {
  const store = useSpreadStore();
  const fingers = useRef(new Map<number, Point>());
  const paper = useRef<Point | null>(null);
  const wholeNow = useRef(whole);
  useEffect(() => {
    wholeNow.current = whole;
  }, [whole]);
  const now = (): Camera => store.getState().camera ?? wholeNow.current;
  useEffect(() => {
    const drawing = svg.current;
    const wheel = (e: WheelEvent) => {
      const { camera, setCamera } = store.getState();
      if (e.ctrlKey || e.metaKey) {
        e.preventDefault();
        const factor = Math.exp(-e.deltaY * (e.deltaMode === 1 ? 0.05 : 0.0025));
        setCamera(zoomed(camera ?? wholeNow.current, factor, pointIn(drawing, e), wholeNow.current));
      } else if (camera && drawing) {
        e.preventDefault();
        const mm = camera.w / drawing.clientWidth;
        const [dx, dy] = e.shiftKey ? [e.deltaY, e.deltaX] : [e.deltaX, e.deltaY];
        setCamera(panned(camera, dx * mm, dy * mm, wholeNow.current));
      }
    };
    drawing?.addEventListener('wheel', wheel, { passive: false });
    return () => drawing?.removeEventListener('wheel', wheel);
  }, [svg, store]);

  /** True while two fingers hold the book: nothing is dragged then. */
  const pinching = useCallback(() => fingers.current.size > 1, []);
  return {
    pinching,
    down: (e: ReactPointer, onPaper: boolean) => {
      if (e.pointerType === 'touch') fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY });
      if (onPaper && !pinching() && store.getState().camera) paper.current = { x: e.clientX, y: e.clientY };
    },
    move: (e: ReactPointer) => {
      const { setCamera } = store.getState();
      if (pinching() && fingers.current.has(e.pointerId)) {
        const others = [...fingers.current].filter(([id]) => id !== e.pointerId);
        const [still] = others[0] ? [others[0][1]] : [];
        const before = fingers.current.get(e.pointerId);
        fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY });
        if (!still || !before) return;
        const spread = (p: Point) => Math.max(10, Math.hypot(p.x - still.x, p.y - still.y));
        const middle = { clientX: (still.x + e.clientX) / 2, clientY: (still.y + e.clientY) / 2 };
        const factor = spread({ x: e.clientX, y: e.clientY }) / spread(before);
        setCamera(zoomed(now(), factor, pointIn(svg.current, middle), wholeNow.current));
      } else if (paper.current && svg.current) {
        const mm = now().w / svg.current.clientWidth;
        const [dx, dy] = [e.clientX - paper.current.x, e.clientY - paper.current.y];
        paper.current = { x: e.clientX, y: e.clientY };
        setCamera(panned(now(), -dx * mm, -dy * mm, wholeNow.current));
      }
    },
    up: (e: ReactPointer) => {
      fingers.current.delete(e.pointerId);
      paper.current = null;
    },
  };
}
