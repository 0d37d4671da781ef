'use client';

import type { MouseEvent, PointerEvent } from 'react';
import { useEffect, useRef } from 'react';
import type { Change } from '../../core/edit/change';
import { useSpread } from './store';

/** A finger that rests so long on an offer looks at it, and takes it no more when it is lifted, ms. */
const HOLD = 350;

/**
 * What an offer of a change listens to, so that the book shows the change while one points at it, or holds a finger on
 * it. Only a pointer that moves points: after a press another offer may come to lie under one that rests, and would
 * hide what was just done.
 */
export function useGlimpse() {
  const setGlimpse = useSpread((s) => s.setGlimpse);
  const hold = useRef<{ timer?: ReturnType<typeof setTimeout>; looked: boolean }>({ looked: false });
  useEffect(() => () => clearTimeout(hold.current.timer), []);
  const letGo = () => {
    clearTimeout(hold.current.timer);
    setGlimpse(null);
  };
  return (change: Change | null) => ({
    onPointerMove: (e: PointerEvent) =>
      e.pointerType !== 'touch' && (e.movementX || e.movementY) ? setGlimpse(change) : undefined,
    onPointerDown: (e: PointerEvent) => {
      hold.current.looked = false;
      if (e.pointerType !== 'touch') return;
      hold.current.timer = setTimeout(() => {
        hold.current.looked = true;
        setGlimpse(change);
      }, HOLD);
    },
    onPointerUp: (e: PointerEvent) => (e.pointerType === 'touch' ? letGo() : undefined),
    onPointerCancel: letGo,
    onPointerLeave: letGo,
    onContextMenu: (e: MouseEvent) => (hold.current.looked ? e.preventDefault() : undefined),
    onClickCapture: (e: MouseEvent) => {
      if (hold.current.looked) e.stopPropagation();
      hold.current.looked = false;
    },
    onFocus: () => (hold.current.looked ? undefined : setGlimpse(change)),
    onBlur: () => setGlimpse(null),
  });
}
