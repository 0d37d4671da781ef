import type { PointerEvent, RefObject, WheelEvent } from 'react';
import { useEffect, useRef, useState } from 'react';
import type { Point } from '../../core/scan/homography';
import type { Rect } from '../../core/measure/rect';
import { pointIn } from '../drag/point-in';
import { closer, dragged } from './shown-part';

const STEP = 1.25;
const MIDDLE_BUTTON = 1;

interface OnScreen {
  readonly clientX: number;
  readonly clientY: number;
}

const between = (a: OnScreen, b: OnScreen): OnScreen => ({
  clientX: (a.clientX + b.clientX) / 2,
  clientY: (a.clientY + b.clientY) / 2,
});
const apart = (a: OnScreen, b: OnScreen): number => Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);

/**
 * What of a drawing is shown: the whole, or a part that is made larger about the pointer or two fingers, and dragged by
 * them, by the middle button, or by any while `moving`.
 * @param onTaken two fingers or a dragging hand took what one pointer held
 */
export function useZoom(
  svg: RefObject<SVGSVGElement | null>,
  whole: { readonly width: number; readonly height: number },
  onTaken: () => void,
) {
  const { width, height } = whole;
  const all: Rect = { x: 0, y: 0, w: width, h: height };
  const [shown, setShown] = useState(all);
  const [moving, setMoving] = useState(false);
  const touching = useRef<ReadonlyMap<number, OnScreen>>(new Map());
  const by = (factor: number, about: Point = { x: shown.x + shown.w / 2, y: shown.y + shown.h / 2 }): void =>
    setShown((now) => closer(now, whole, factor, about));
  // React listens to wheels passively, so that the page would scroll, too
  useEffect(() => {
    const element = svg.current;
    const still = (e: Event) => e.preventDefault();
    element?.addEventListener('wheel', still, { passive: false });
    return () => element?.removeEventListener('wheel', still);
  }, [svg]);

  const takes = (e: PointerEvent): boolean => {
    const fingers = new Map(e.pointerType === 'touch' ? touching.current : []);
    fingers.set(e.pointerId, { clientX: e.clientX, clientY: e.clientY });
    touching.current = fingers;
    return fingers.size > 1 || e.button === MIDDLE_BUTTON || moving;
  };
  const dragging = useRef(false);
  const forget = (e: PointerEvent): void => {
    touching.current = new Map([...touching.current].filter(([id]) => id !== e.pointerId));
    if (!touching.current.size) dragging.current = false;
  };
  return {
    viewBox: `${shown.x} ${shown.y} ${shown.w} ${shown.h}`,
    /** how many times larger than the whole */
    times: width / shown.w,
    /** a drag moves the drawing */
    moving,
    setMoving,
    closer: () => by(STEP * STEP),
    farther: () => by(1 / (STEP * STEP)),
    whole: () => {
      setShown(all);
      setMoving(false);
    },
    /** for the drawing: they come before what lies in it */
    hand: {
      onWheel: (e: WheelEvent) => {
        const sideways = e.deltaX || (e.shiftKey ? e.deltaY : 0);
        const move = (sideways / (svg.current?.clientWidth || 1)) * shown.w;
        if (sideways) setShown((now) => dragged(now, whole, { x: move, y: 0 }, { x: 0, y: 0 }));
        else by(e.deltaY < 0 ? STEP : 1 / STEP, pointIn(svg.current, e));
      },
      onPointerDownCapture: (e: PointerEvent) => {
        if (!takes(e)) return;
        e.stopPropagation();
        e.preventDefault();
        dragging.current = true;
        svg.current?.setPointerCapture(e.pointerId);
        onTaken();
      },
      onPointerMoveCapture: (e: PointerEvent) => {
        const before = touching.current;
        if (!dragging.current || !before.has(e.pointerId)) return;
        e.stopPropagation();
        const now = new Map(before).set(e.pointerId, { clientX: e.clientX, clientY: e.clientY });
        touching.current = now;
        const [from, fromOther] = [...before.values()];
        const [to, toOther] = [...now.values()];
        if (!from || !to) return;
        const [was, is] = [fromOther ? between(from, fromOther) : from, toOther ? between(to, toOther) : to];
        const grown = fromOther && toOther ? apart(to, toOther) / Math.max(1, apart(from, fromOther)) : 1;
        const [a, b] = [pointIn(svg.current, was), pointIn(svg.current, is)];
        setShown((part) => closer(dragged(part, whole, a, b), whole, grown, a));
      },
      onPointerUpCapture: forget,
      onPointerCancelCapture: forget,
    },
  };
}
