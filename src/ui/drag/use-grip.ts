import type { PointerEvent } from 'react';
import { useRef, useState } from 'react';
import type { Rect } from '../../core/measure/rect';
import type { Point } from '../../core/scan/homography';
import { pointIn } from './point-in';

/** What a pointer holds, where it took it and where it is by now, in the drawing's own units. */
export interface Grip<T> {
  readonly what: T;
  readonly from: Point;
  readonly at: Point;
}

/** Something of a drawing that a pointer holds, until it lets go, wherever that is. */
export function useGrip<T>({ onMove, onDrop }: { onMove?: (grip: Grip<T>) => void; onDrop?: (grip: Grip<T>) => void }) {
  const svg = useRef<SVGSVGElement>(null);
  const [grip, setGrip] = useState<Grip<T> | null>(null);
  const moved = (e: PointerEvent): Grip<T> | null => grip && { ...grip, at: pointIn(svg.current, e) };
  return {
    grip,
    hold: (e: PointerEvent, what: T) => {
      const at = pointIn(svg.current, e);
      svg.current?.setPointerCapture(e.pointerId);
      setGrip({ what, from: at, at });
    },
    /** nothing is held any more, and nothing is dropped */
    letGo: () => setGrip(null),
    /** for the drawing itself */
    drawing: {
      ref: svg,
      onPointerMove: (e: PointerEvent) => {
        const now = moved(e);
        if (!now) return;
        setGrip(now);
        onMove?.(now);
      },
      onPointerUp: (e: PointerEvent) => {
        const now = moved(e);
        setGrip(null);
        if (now) onDrop?.(now);
      },
      onPointerCancel: () => setGrip(null),
    },
  };
}

/** The rectangle between where something was begun and where the pointer is. */
export const drawnBy = ({ from, at }: Grip<unknown>): Rect => ({
  x: Math.min(at.x, from.x),
  y: Math.min(at.y, from.y),
  w: Math.abs(at.x - from.x),
  h: Math.abs(at.y - from.y),
});
