import type { PointerEvent } from 'react';
import { create } from 'zustand';
import type { Piece } from '../../../core/kit/kit';

/** What is being carried to the book: a sticker from its sheet, or an item of the week. */
export type Carried =
  | { readonly is: 'sticker'; readonly piece: Piece }
  | { readonly is: 'item'; readonly key: string; readonly title: string };

interface Carrying {
  readonly carried: Carried | null;
  /** where it was taken up, px of the window */
  readonly from: Point;
  /** where it was let go; null while it is held */
  readonly dropped: Point | null;
}

/** px of the window */
export interface Point {
  readonly x: number;
  readonly y: number;
}

const NOTHING = { carried: null, from: { x: 0, y: 0 }, dropped: null } as const;

/** What is under way between the drawer and the book; nothing of it is saved. */
export const useCarrying = create<Carrying>(() => NOTHING);

/** It goes back to where it was taken from, or it was laid. */
export const putDown = (): void => useCarrying.setState(NOTHING);

/** px that a press may tremble before it carries */
const STILL = 7;

/**
 * Makes something a thing that can be taken up and carried to the book; a click stays a click. The window is listened
 * to, not the thing: a quick hand has left that by its first move.
 */
export const carriedBy = (carried: Carried) => ({
  onPointerDown: (down: PointerEvent) => {
    if (down.button !== 0 || down.pointerType === 'touch') return;
    const move = (e: globalThis.PointerEvent) => {
      if (useCarrying.getState().carried || Math.hypot(e.clientX - down.clientX, e.clientY - down.clientY) < STILL)
        return;
      useCarrying.setState({ carried, from: { x: e.clientX, y: e.clientY }, dropped: null });
    };
    const end = (e: globalThis.PointerEvent) => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
      if (!useCarrying.getState().carried) return;
      if (e.type === 'pointercancel') putDown();
      else useCarrying.setState({ dropped: { x: e.clientX, y: e.clientY } });
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
  },
});
