'use client';

import { own } from '../../core/measure/own';
import { useHotkeys } from 'react-hotkeys-hook';
import { lockPiece, turnPiece } from '../../core/edit/alter';
import { removePiece } from '../../core/edit/remove';
import { useSpread } from './store';

/** Every key the spread screen knows, for the hand and for the list of keys. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['Arrows', 'move the chosen piece by 1 mm; with Shift by 5 mm'],
  [', and .', 'choose the piece before, the piece after'],
  ['Delete', 'take the chosen piece off'],
  ['T', 'turn it by a quarter'],
  ['L', 'lock or unlock it'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Y', 'redo'],
  ['A', 'arrange what is open'],
  ['Esc', 'let go'],
];

const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  arrowleft: [-1, 0],
  arrowright: [1, 0],
  arrowup: [0, -1],
  arrowdown: [0, 1],
};

/** The keyboard for the spread screen. */
export function useKeys(): void {
  const { context, placements, selected, select, pick, show, edit, nudge, arrange } = useSpread((s) => s);
  const chosen = placements.find((p) => p.id === selected);
  const order = [...placements].sort((a, b) => a.page - b.page || a.x - b.x || a.y - b.y || a.layer - b.layer);
  useHotkeys(
    'escape',
    () => {
      pick(null);
      select(null);
      show(null);
    },
    [pick, select, show],
  );
  useHotkeys('a', () => arrange('rest'), [arrange]);
  useHotkeys(
    'delete, backspace',
    (e) => {
      e.preventDefault();
      if (chosen) edit(removePiece(context, placements, chosen.id));
    },
    [chosen, placements],
  );
  useHotkeys('t', () => chosen && edit(turnPiece(context, chosen)), [chosen]);
  useHotkeys('l', () => chosen && edit(lockPiece(context, chosen)), [chosen]);
  useHotkeys(
    'comma, period',
    (_, key) => {
      const at = order.findIndex((p) => p.id === selected);
      const next = order[(at + (key.keys?.includes('comma') ? -1 : 1) + order.length) % Math.max(1, order.length)];
      if (!next) return;
      select(next.id);
      document.getElementById(`laid-${next.id}`)?.focus({ preventScroll: true });
    },
    [selected, placements],
  );
  useHotkeys(
    'up, down, left, right, shift+up, shift+down, shift+left, shift+right',
    (e) => {
      const way = own(WAYS, e.key.toLowerCase());
      if (!chosen || !way) return;
      e.preventDefault();
      const by = e.shiftKey ? 5 : 1;
      nudge(way[0] * by, way[1] * by);
    },
    [chosen, nudge],
  );
}
