'use client';

import { useHotkeys } from 'react-hotkeys-hook';
import { lockPiece, turnPiece } from '../../core/edit/alter';
import { removePiece } from '../../core/edit/remove';
import { removeTogether } from '../../core/edit/together';
import { own } from '../../core/measure/own';
import { centerX, centerY } from '../../core/measure/rect';
import { footprint } from '../../core/spread/placement';
import { isCovered } from '../keys/free';
import { lookAt, zoomed } from './board/camera';
import { STEP } from './board/use-camera';
import { useWhole } from './board/use-whole';
import { useSpread } from './store';

const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  arrowleft: [-1, 0],
  arrowright: [1, 0],
  arrowup: [0, -1],
  arrowdown: [0, 1],
};

const focusPiece = (id: string): void => document.getElementById(`laid-${id}`)?.focus({ preventScroll: true });

/** Goes to the next place that is offered for what is in hand, or the one before. */
function walkSpots(by: number): boolean {
  const spots = [...document.querySelectorAll<SVGGElement>('[data-testid="spot"]')];
  if (!spots.length) return false;
  const at = spots.indexOf(document.activeElement as SVGGElement);
  spots[at < 0 ? 0 : (at + by + spots.length) % spots.length]?.focus({ preventScroll: true });
  return true;
}

/** The keyboard for the spread screen; what each key does is told in `keys/keys.ts`. */
export function useKeys(): void {
  const { context, placements, selected, also, picked, offers, camera, folded } = useSpread((s) => s);
  const { select, pick, pickItem, show, edit, nudge, arrange, setCamera, fold } = useSpread((s) => s);
  const { whole, offsets } = useWhole();
  const chosen = placements.find((p) => p.id === selected);
  const order = [...placements].sort((a, b) => a.page - b.page || a.x - b.x || a.y - b.y || a.layer - b.layer);
  const rests = { ignoreEventWhen: isCovered };
  useHotkeys(
    'escape',
    () => {
      pick(null);
      pickItem(null);
      select(null);
      show(null);
    },
    rests,
    [pick, pickItem, select, show],
  );
  useHotkeys('a', () => arrange('rest'), rests, [arrange]);
  useHotkeys(
    'delete, backspace',
    (e) => {
      e.preventDefault();
      if (!chosen) return;
      const next = order.filter((p) => p.layer === 0 && !also.includes(p.id));
      const after = next[next.findIndex((p) => p.id === chosen.id) + 1] ?? next[0];
      edit(
        also.length ? removeTogether(placements, [chosen.id, ...also]) : removePiece(context, placements, chosen.id),
      );
      // the focus stays in the book
      if (after && after.id !== chosen.id) requestAnimationFrame(() => focusPiece(after.id));
    },
    rests,
    [chosen, also, placements],
  );
  useHotkeys('t', () => chosen && edit(turnPiece(context, chosen)), rests, [chosen]);
  useHotkeys('l', () => chosen && edit(lockPiece(context, chosen)), rests, [chosen]);
  useHotkeys(
    'comma, period',
    (_, key) => {
      const at = order.findIndex((p) => p.id === selected);
      const next = order[(at + (key.keys?.includes('comma') ? -1 : 1) + order.length) % Math.max(1, order.length)];
      if (!next) return;
      select(next.id);
      requestAnimationFrame(() => focusPiece(next.id));
    },
    rests,
    [selected, placements],
  );
  useHotkeys(
    'up, down, left, right, shift+up, shift+down, shift+left, shift+right',
    (e) => {
      const way = own(WAYS, e.key.toLowerCase());
      if (!way || (e.target as Element).closest('[role="tab"], [data-arrows]')) return;
      if ((picked || offers) && walkSpots(way[0] + way[1])) return e.preventDefault();
      // a piece is moved only while it has the focus itself
      if (!chosen || document.activeElement?.id !== `laid-${chosen.id}`) return;
      e.preventDefault();
      const by = e.shiftKey ? 5 : 1;
      nudge(way[0] * by, way[1] * by);
    },
    rests,
    [chosen, nudge, picked, offers],
  );
  const near = (factor: number) => {
    const seen = camera ?? whole;
    setCamera(zoomed(seen, factor, { x: centerX(seen), y: centerY(seen) }, whole));
  };
  useHotkeys('+', () => near(STEP), { ...rests, useKey: true, splitKey: ' ' }, [camera, whole]);
  useHotkeys('-', () => near(1 / STEP), { ...rests, useKey: true }, [camera, whole]);
  useHotkeys('0', () => setCamera(null), rests, [setCamera]);
  useHotkeys(
    'z',
    () => {
      if (camera || !chosen) return setCamera(null);
      const place = footprint(chosen);
      setCamera(lookAt({ ...place, x: place.x + (offsets[chosen.page] ?? 0) }, whole));
    },
    rests,
    [camera, chosen, whole],
  );
  useHotkeys('b', () => fold(!folded), rests, [folded]);
}
