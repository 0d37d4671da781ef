'use client';

import type { PointerEvent } from 'react';
import type { Change } from '../../core/edit/change';
import { useSpread } from './store';

/**
 * What an offer of a change listens to, so that the book shows the change while one points at it. Only a pointer that
 * moves points: after a press another offer may come to lie under one that rests, and would hide what was just done.
 */
export function useGlimpse() {
  const setGlimpse = useSpread((s) => s.setGlimpse);
  return (change: Change | null) => ({
    onPointerMove: (e: PointerEvent) => (e.movementX || e.movementY ? setGlimpse(change) : undefined),
    onPointerLeave: () => setGlimpse(null),
    onFocus: () => setGlimpse(change),
    onBlur: () => setGlimpse(null),
  });
}
