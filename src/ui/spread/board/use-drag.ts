import type { PointerEvent, RefObject } from 'react';
import { useCallback, useRef } from 'react';
import { num } from '../../../core/art/svg';
import { distancesAround } from '../../../core/edit/distances';
import { movePiece } from '../../../core/edit/move';
import { snap } from '../../../core/edit/snap';
import { stackOf } from '../../../core/edit/stack';
import { moveTogether } from '../../../core/edit/together';
import { ruled } from '../../../core/measure/fraction';
import type { Rect } from '../../../core/measure/rect';
import type { Placement } from '../../../core/spread/placement';
import { footprint } from '../../../core/spread/placement';
import { GLASS } from '../../theme';
import { useSpreadStore } from '../store';
import { pointIn } from '../../drag/point-in';

interface Held {
  readonly id: string;
  readonly ids: ReadonlySet<string>;
  readonly x: number;
  readonly y: number;
  dx: number;
  dy: number;
  moved: boolean;
}

/** mm that a pointer may tremble before it drags */
const STILL = 0.8;

/**
 * Moves what is held, without drawing the book anew: the pieces are shifted as they are, and lines show where they
 * would come to lie and how far that is from what is around.
 */
export function useDrag(svg: RefObject<SVGSVGElement | null>, offsets: readonly number[], pinching: () => boolean) {
  const store = useSpreadStore();
  const held = useRef<Held | null>(null);
  const begin = useCallback(
    (e: PointerEvent, p: Placement) => {
      const now = store.getState();
      if (e.button !== 0 || pinching()) return;
      e.preventDefault();
      if (e.shiftKey) return now.selectAlso(p.id);
      if (!now.also.includes(p.id)) now.select(p.id);
      (e.currentTarget as SVGGElement).focus({ preventScroll: true });
      const chosen = now.also.includes(p.id) ? [now.selected ?? p.id, ...now.also] : [p.id];
      const stack = chosen.flatMap((id) => stackOf(now.placements, id));
      if (stack.every((q) => q.locked) || (chosen.length === 1 && stack.some((q) => q.locked))) return;
      const ids = new Set(stack.filter((q) => !q.locked).map((q) => q.id));
      held.current = { id: p.id, ids, ...pointIn(svg.current, e), dx: 0, dy: 0, moved: false };
      svg.current?.setPointerCapture(e.pointerId);
    },
    [store, svg, pinching],
  );
  const shift = (x: number, y: number) =>
    held.current?.ids.forEach((id) =>
      svg.current?.querySelector<SVGGElement>(`[data-drag="${id}"]`)?.setAttribute('transform', `translate(${x} ${y})`),
    );
  /** Where it would come to lie, and on which page. */
  const landing = (h: Held) => {
    const { context, placements } = store.getState();
    const p = placements.find((q) => q.id === h.id);
    if (!p) return null;
    const { pages } = context.book;
    const x = p.x + h.dx + (offsets[p.page] ?? 0);
    const found = pages.findIndex((pg, i) => x + p.w / 2 < (offsets[i] ?? 0) + pg.width);
    const page = found < 0 ? pages.length - 1 : found;
    const moving = { x: x - (offsets[page] ?? 0), y: p.y + h.dy, w: p.w, h: p.h };
    return { p, to: snap(context, placements, h.ids, page, moving) };
  };
  const show = (markup: string) => {
    const guides = svg.current?.querySelector('.guides');
    if (guides) guides.innerHTML = markup;
  };
  const end = () => {
    shift(0, 0);
    show('');
    held.current = null;
  };
  return {
    begin,
    move: (e: PointerEvent) => {
      const h = held.current;
      if (!h) return;
      if (pinching()) return end();
      const at = pointIn(svg.current, e);
      [h.dx, h.dy] = [at.x - h.x, at.y - h.y];
      h.moved ||= Math.hypot(h.dx, h.dy) > STILL;
      if (!h.moved) return;
      shift(h.dx, h.dy);
      const { context, placements, also } = store.getState();
      const land = also.includes(h.id) ? null : landing(h);
      if (!land) return;
      const { p, to } = land;
      const place = footprint({ ...p, x: to.x, y: to.y });
      const around = distancesAround(context, placements, h.ids, to.page, place);
      show(
        `<g transform="translate(${num(offsets[to.page] ?? 0)} 0)">${ghost(place)}${around
          .map((d) => line(d.from, d.to, ruled(d.mm, context.book.unit)))
          .join('')}</g>`,
      );
    },
    drop: () => {
      const h = held.current;
      if (!h) return;
      const land = h.moved ? landing(h) : null;
      const { context, placements, selected, also, edit, moved } = store.getState();
      end();
      if (!land) return;
      if (also.includes(h.id)) return edit(moveTogether(context, placements, [selected ?? h.id, ...also], h.dx, h.dy));
      edit(movePiece(context, placements, land.p.id, land.to));
      moved(land.p);
    },
    cancel: end,
  };
}

const ghost = ({ x, y, w, h }: Rect): string =>
  `<rect x="${num(x)}" y="${num(y)}" width="${num(w)}" height="${num(h)}" rx="1" fill="none" stroke="${GLASS.cobalt}" stroke-width=".5" stroke-dasharray="1.6 1.2"/>`;

function line(from: { x: number; y: number }, to: { x: number; y: number }, says: string): string {
  const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  const wide = says.length * 1.75 + 2;
  return (
    `<path d="M${num(from.x)} ${num(from.y)}L${num(to.x)} ${num(to.y)}" stroke="${GLASS.cobalt}" stroke-width=".4"/>` +
    `<rect x="${num(x - wide / 2)}" y="${num(y - 2.3)}" width="${num(wide)}" height="4.6" rx="1.2" fill="${GLASS.cobalt}"/>` +
    `<text x="${num(x)}" y="${num(y + 1.15)}" font-size="3.2" font-family="Figtree, sans-serif" text-anchor="middle" fill="#fff">${says}</text>`
  );
}
