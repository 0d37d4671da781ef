'use client';

import Box from '@mui/material/Box';
import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import { GLASS } from '../../theme';
import { symbolId } from '../../sticker/symbol-id';
import { pointIn } from '../../drag/point-in';
import { useWhole } from '../board/use-whole';
import { useSpreadStore } from '../store';
import { layWhere, onPage } from './lay-where';
import { putDown, useCarrying } from './use-carry';

/** What is carried, at the book's own scale; let go over the book it is laid, elsewhere it goes back. */
export function Carried({ board }: { board: RefObject<HTMLElement | null> }) {
  const { carried, from, dropped } = useCarrying();
  const store = useSpreadStore();
  const ghost = useRef<HTMLDivElement>(null);
  const { whole, offsets } = useWhole();
  useEffect(() => {
    if (!carried) return;
    const move = (e: PointerEvent) => {
      if (ghost.current) ghost.current.style.transform = `translate(${e.clientX}px, ${e.clientY}px)`;
    };
    const key = (e: KeyboardEvent) => e.key === 'Escape' && putDown();
    window.addEventListener('pointermove', move);
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('keydown', key);
    };
  }, [carried]);
  useEffect(() => {
    if (!carried || !dropped) return;
    putDown();
    const svg = board.current?.querySelector<SVGSVGElement>('[data-testid="board"]') ?? null;
    if (!svg?.contains(document.elementFromPoint(dropped.x, dropped.y))) return;
    const at = pointIn(svg, { clientX: dropped.x, clientY: dropped.y });
    layWhere(store.getState(), carried, onPage(offsets, at));
  }, [carried, dropped, board, store, offsets]);
  if (!carried) return null;
  const drawn = board.current?.querySelector('svg');
  const scale = Math.min((drawn?.clientWidth ?? 900) / whole.w, (drawn?.clientHeight ?? 600) / whole.h);
  return (
    <Box
      ref={ghost}
      aria-hidden
      sx={{ position: 'fixed', left: 0, top: 0, zIndex: 2000, pointerEvents: 'none' }}
      style={{ transform: `translate(${from.x}px, ${from.y}px)` }}
    >
      {carried.is === 'sticker' ? (
        <svg
          width={Math.min(carried.piece.width, 80) * scale}
          height={carried.piece.height * scale}
          viewBox={`0 0 ${Math.min(carried.piece.width, 80)} ${carried.piece.height}`}
          style={{ transform: 'translate(-50%, -50%)', filter: 'drop-shadow(0 3px 4px #0003)', display: 'block' }}
        >
          <use href={`#${symbolId(carried.piece)}`} />
        </svg>
      ) : (
        <Box
          sx={{
            transform: 'translate(-12px, -50%)',
            px: 1.5,
            py: 0.5,
            borderRadius: 2,
            background: GLASS.bottle,
            color: '#fff',
            fontSize: 13,
            maxWidth: 240,
          }}
        >
          {carried.title.slice(0, 60)}
        </Box>
      )}
    </Box>
  );
}
