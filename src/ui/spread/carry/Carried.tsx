'use client';

import Box from '@mui/material/Box';
import type { RefObject } from 'react';
import { useEffect, useRef } from 'react';
import { layAt } from '../../../core/edit/lay-at';
import { dressThere } from '../../../core/repair/offers';
import { centerX } from '../../../core/measure/rect';
import type { Context } from '../../../core/spread/placement';
import { GLASS } from '../../theme';
import { symbolId } from '../../sticker/symbol-id';
import { pointIn } from '../../drag/point-in';
import { useWhole } from '../board/use-whole';
import type { State } from '../store';
import { useSpreadStore } from '../store';
import type { Carried as CarriedThing } from './use-carry';
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
    const page = Math.max(
      0,
      offsets.findLastIndex((o) => at.x >= o),
    );
    lay(store.getState(), carried, { page, x: at.x - (offsets[page] ?? 0), y: at.y });
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

/** Lays a sticker where it was dropped, or dresses an item on the day that it was dropped on. */
function lay(state: State, carried: CarriedThing, point: { page: number; x: number; y: number }): void {
  const { context, placements, edit, select, complain, pickItem } = state;
  if (carried.is === 'sticker') {
    const change = layAt(context, placements, carried.piece, point);
    edit(change);
    if (change) select(change.after.at(-1)?.id ?? null);
    else complain([NOT_HERE]);
    return;
  }
  const day = dayAt(context, point);
  const way = day === null ? null : dressThere(context, placements, carried.key, day);
  if (way) {
    edit(way.change);
    select(way.base?.id ?? null);
  } else {
    pickItem(carried.key);
    complain([day === null ? NO_DAY : NO_ROOM]);
  }
}

const NOT_HERE = 'It cannot be laid there: none of it is left, or it may not be cut to fit.';
const NO_DAY = 'Drop it on a day of the book.';
const NO_ROOM = 'It does not fit into that day as it is. Other places for it are offered beside the book.';

/** The day whose column, or the header over it, is under a point. */
function dayAt({ book }: Context, at: { page: number; x: number; y: number }): number | null {
  const columns = book.regions.filter((r) => r.kind === 'day' && r.page === at.page && r.day !== undefined);
  const under = columns.filter((r) => at.x >= r.x - 2 && at.x <= r.x + r.w + 2);
  const near = under.sort(
    (a, b) =>
      Math.abs(a.y + a.h / 2 - at.y) - Math.abs(b.y + b.h / 2 - at.y) ||
      Math.abs(centerX(a) - at.x) - Math.abs(centerX(b) - at.x),
  );
  return near[0]?.day ?? null;
}
