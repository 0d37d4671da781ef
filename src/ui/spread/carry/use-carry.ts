import type { PointerEvent } from 'react';
import { useRef } from 'react';
import { create } from 'zustand';
import type { Piece } from '../../../core/kit/kit';

/** What is being carried to the book: a sticker from its sheet, or an item of the week. */
export type Carried =
  | { readonly is: 'sticker'; readonly piece: Piece }
  | { readonly is: 'item'; readonly key: string; readonly title: string };

interface Carrying {
  readonly carried: Carried | null;
  /** where it was taken up, px of the window */
  readonly from: { readonly x: number; readonly y: number };
}

/** What is under way between the drawer and the book; nothing of it is saved. */
export const useCarrying = create<Carrying>(() => ({ carried: null, from: { x: 0, y: 0 } }));

/** px that a press may tremble before it carries */
const STILL = 7;

/** Makes something a thing that can be taken up and carried to the book; a click stays a click. */
export function useCarry() {
  const down = useRef<{ x: number; y: number } | null>(null);
  return (carried: Carried) => ({
    onPointerDown: (e: PointerEvent) => {
      if (e.button === 0 && e.pointerType !== 'touch') down.current = { x: e.clientX, y: e.clientY };
    },
    onPointerMove: (e: PointerEvent) => {
      const at = down.current;
      if (!at || Math.hypot(e.clientX - at.x, e.clientY - at.y) < STILL) return;
      down.current = null;
      useCarrying.setState({ carried, from: { x: e.clientX, y: e.clientY } });
    },
    onPointerUp: () => {
      down.current = null;
    },
  });
}
