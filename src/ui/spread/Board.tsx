'use client';

import type { KeyboardEvent, PointerEvent } from 'react';
import { memo, useCallback, useMemo, useRef } from 'react';
import type { Placement } from '../../core/spread/placement';
import { isWriting } from '../../core/spread/placement';
import { num } from '../../core/art/svg';
import { movePiece } from '../../core/edit/move';
import { snap } from '../../core/edit/snap';
import type { Spot } from '../../core/edit/spots';
import { placeAt, spotsFor } from '../../core/edit/spots';
import { stackOf } from '../../core/edit/stack';
import { handSvg, marksSvg, placesSvg, whiteOutSvg } from '../../core/format/spread-svg';
import { sayThing, thingOf } from '../../core/edit/thing';
import { laidInk, laidSticker } from '../../core/format/laid-sticker';
import type { Piece } from '../../core/kit/kit';
import { isStrip } from '../../core/kit/kinds';
import { GLASS } from '../theme';
import { useReview } from './review-context';
import type { StepName } from './store';
import { Face } from '../sticker/Face';
import { pagesShown, useSpread, useSpreadStore } from './store';
import { Studs } from './Studs';

const ROLES: Readonly<Partial<Record<StepName, readonly Placement['role'][]>>> = {
  Base: ['base'],
  Sidebar: ['sidebar'],
  Boxes: ['box'],
  Days: ['day'],
  Finish: ['finish'],
};
/** mm over the page, for the studs */
export const OVERHEAD = 11;

/** The open book at true proportion; one unit of the drawing is one millimeter. */
export function Board() {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const selected = useSpread((s) => s.selected);
  const picked = useSpread((s) => s.picked);
  const step = useSpread((s) => s.step);
  const zoom = useSpread((s) => s.zoom);
  const finding = useSpread((s) => s.finding);
  const changed = useSpread((s) => s.changed);
  const select = useSpread((s) => s.select);
  const edit = useSpread((s) => s.edit);
  const pick = useSpread((s) => s.pick);
  const { view } = useReview();
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<{
    id: string;
    ids: Set<string>;
    page: number;
    x: number;
    y: number;
    dx: number;
    dy: number;
    moved: boolean;
  } | null>(null);
  const { pages } = context.book;
  const offsets = pages.map((_, i) => pages.slice(0, i).reduce((sum, p) => sum + p.width, 0));
  const tall = Math.max(...pages.map((p) => p.height));
  const spots = useMemo(() => (picked ? spotsFor(context, placements, picked) : []), [picked, context, placements]);
  const shown = pagesShown(pages.length, zoom);
  const box = [offsets[shown[0] ?? 0] ?? 0, shown.reduce((sum, i) => sum + (pages[i]?.width ?? 0), 0)];

  // asked of the store at the moment of the gesture, so that it is the same function at each drawing
  const store = useSpreadStore();
  const begin = useCallback(
    (e: PointerEvent, p: Placement) => {
      const now = store.getState();
      if (e.button !== 0 || now.picked) return;
      e.preventDefault();
      now.select(p.id);
      (e.currentTarget as SVGGElement).focus({ preventScroll: true });
      const stack = stackOf(now.placements, p.id);
      if (stack.some((q) => q.locked)) return;
      const ids = new Set(stack.map((q) => q.id));
      drag.current = { id: p.id, ids, page: p.page, ...mmAt(svg.current, e), dx: 0, dy: 0, moved: false };
      svg.current?.setPointerCapture(e.pointerId);
    },
    [store],
  );
  const shift = (x: number, y: number) =>
    drag.current?.ids.forEach((id) =>
      svg.current?.querySelector<SVGGElement>(`[data-drag="${id}"]`)?.setAttribute('transform', `translate(${x} ${y})`),
    );
  const move = (e: PointerEvent) => {
    const d = drag.current;
    if (!d) return;
    const at = mmAt(svg.current, e);
    [d.dx, d.dy] = [at.x - d.x, at.y - d.y];
    d.moved ||= Math.hypot(d.dx, d.dy) > 0.8;
    if (d.moved) shift(d.dx, d.dy);
  };
  const drop = (cancel = false) => {
    const d = drag.current;
    if (!d) return;
    shift(0, 0);
    drag.current = null;
    const p = placements.find((q) => q.id === d.id);
    if (cancel || !d.moved || !p) return;
    const x = p.x + d.dx + (offsets[p.page] ?? 0);
    const page = pages.findIndex((pg, i) => x + p.w / 2 < (offsets[i] ?? 0) + pg.width);
    const onPage = page < 0 ? pages.length - 1 : page;
    edit(
      movePiece(
        context,
        placements,
        p.id,
        snap(context, placements, d.ids, onPage, { x: x - (offsets[onPage] ?? 0), y: p.y + d.dy, w: p.w, h: p.h }),
      ),
    );
  };
  const lay = (spot: Spot) => {
    if (!picked) return;
    edit(placeAt(context, placements, picked, spot));
    pick(null);
  };

  return (
    <svg
      ref={svg}
      viewBox={`${num(box[0] as number)} ${-OVERHEAD} ${num(box[1] as number)} ${num(tall + OVERHEAD)}`}
      role="group"
      aria-label={`The open book, ${context.week.week}`}
      style={{ width: '100%', display: 'block', touchAction: 'none', userSelect: 'none' }}
      data-testid="board"
      onPointerMove={move}
      onPointerUp={() => drop()}
      onPointerCancel={() => drop(true)}
      onPointerDown={(e) => e.target === e.currentTarget && select(null)}
    >
      <defs>
        <linearGradient id="gutter-left" x1="0" x2="1">
          <stop offset="0" stopColor="#000" stopOpacity="0" />
          <stop offset="1" stopColor="#000" stopOpacity=".09" />
        </linearGradient>
        <linearGradient id="gutter-right" x1="1" x2="0">
          <stop offset="0" stopColor="#000" stopOpacity="0" />
          <stop offset="1" stopColor="#000" stopOpacity=".09" />
        </linearGradient>
      </defs>
      {pages.map((page, i) => (
        <g key={i} transform={`translate(${num(offsets[i] as number)} 0)`}>
          <rect
            width={page.width}
            height={page.height}
            rx="1.5"
            fill={GLASS.paper}
            stroke={GLASS.edge}
            strokeWidth=".5"
            onPointerDown={() => select(null)}
          />
          <rect
            x={page.bindingSide === 'right' ? page.width - context.book.binding.width : 0}
            width={context.book.binding.width}
            height={page.height}
            fill={`url(#gutter-${page.bindingSide === 'right' ? 'left' : 'right'})`}
            pointerEvents="none"
          />
          <g
            pointerEvents="none"
            dangerouslySetInnerHTML={{
              __html:
                marksSvg(context.book, i) +
                whiteOutSvg(view.whiteOut.filter((w) => w.page === i)) +
                placesSvg(view.openPlaces.filter((p) => p.page === i)),
            }}
          />
          <Studs page={i} />
          {[...placements]
            .filter((p) => p.page === i)
            .sort((a, b) => a.layer - b.layer)
            .map((p, n) => (
              <Laid
                key={p.id}
                placement={p}
                written={handSvg(context, p, placements)}
                name={sayThing(thingOf(context, p))}
                whole={view.pieceOf(p)}
                chosen={p.id === selected}
                fresh={changed.includes(p.id)}
                tab={selected ? p.id === selected : n === 0}
                pale={step !== null && step !== 'Finish' && ROLES[step] !== undefined && !ROLES[step].includes(p.role)}
                onBegin={begin}
                onChoose={select}
              />
            ))}
          {spots
            .filter((s) => s.page === i)
            .map((spot) => (
              <g
                key={`${spot.x}-${spot.y}`}
                role="button"
                tabIndex={0}
                aria-label={`Lay it here. ${spot.say}`}
                data-testid="spot"
                style={{ cursor: 'copy' }}
                onClick={() => lay(spot)}
                onKeyDown={(e: KeyboardEvent) =>
                  (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), lay(spot))
                }
              >
                <title>{spot.say}</title>
                <rect
                  x={spot.x}
                  y={spot.y}
                  width={spot.w}
                  height={spot.h}
                  rx="1"
                  fill={GLASS.amber}
                  fillOpacity=".16"
                  stroke={GLASS.amber}
                  strokeWidth=".6"
                  strokeDasharray="2 1.2"
                />
                {spot.cut && (
                  <text
                    x={spot.x + spot.w / 2}
                    y={spot.y + spot.h / 2 + 1.2}
                    fontSize="3.2"
                    textAnchor="middle"
                    fill={GLASS.amber}
                    fontWeight="600"
                  >
                    trim
                  </text>
                )}
              </g>
            ))}
          {finding && finding.page === i && (
            <g pointerEvents="none">
              <circle
                cx={finding.x + 1}
                cy={finding.y + 1}
                r="4.4"
                fill="none"
                stroke={GLASS.cranberry}
                strokeWidth=".9"
              >
                <animate attributeName="r" values="3.4;6;3.4" dur="1.6s" repeatCount="3" />
              </circle>
            </g>
          )}
        </g>
      ))}
    </svg>
  );
}

/** Where a pointer is, in mm of the drawing. */
function mmAt(svg: SVGSVGElement | null, e: PointerEvent): { x: number; y: number } {
  const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(svg?.getScreenCTM()?.inverse());
  return { x: at.x, y: at.y };
}

interface LaidProps {
  readonly placement: Placement;
  readonly written: string;
  readonly name: string;
  readonly whole: Piece | undefined;
  readonly chosen: boolean;
  /** the last repair laid or moved it */
  readonly fresh: boolean;
  readonly tab: boolean;
  readonly pale: boolean;
  readonly onBegin: (e: PointerEvent, p: Placement) => void;
  readonly onChoose: (id: string) => void;
}

/** One sticker in the book; it is drawn anew only when it changes. */
const Laid = memo(function Laid({
  placement: p,
  written,
  name,
  whole,
  chosen,
  fresh,
  tab,
  pale,
  onBegin,
  onChoose,
}: LaidProps) {
  if (!whole && !isWriting(p)) return null;
  const laid = whole ? laidSticker(whole, p) : laidInk(p);
  const f = laid.footprint;
  return (
    <g data-drag={p.id} opacity={pale ? 0.22 : 1}>
      <g
        id={`laid-${p.id}`}
        data-testid="piece"
        data-piece={whole ? `${p.kit}/${p.code}` : 'ink'}
        data-role={p.role}
        role="button"
        tabIndex={tab ? 0 : -1}
        aria-label={`${name}${p.locked ? ', locked' : ''}`}
        aria-pressed={chosen}
        transform={laid.transform}
        style={{ cursor: p.locked ? 'default' : 'grab', outline: 'none' }}
        onPointerDown={(e) => onBegin(e, p)}
        onFocus={() => onChoose(p.id)}
      >
        {laid.shadow && (
          <path
            d={laid.shadow}
            transform="translate(.3 .45)"
            fill="#3b2f1e"
            opacity={whole && isStrip(whole.kind) ? 0.04 : 0.13}
          />
        )}
        {whole && <Face piece={whole} placement={p} laid={laid} />}
        <rect width={p.w} height={p.h} fill="transparent" />
        {p.locked && (
          <g transform={`translate(${num(p.w - 3.4)} .6)`}>
            <circle cx="1.4" cy="1.4" r="1.7" fill="#fff" />
            <path
              d="M.7 1.3h1.4v1.1H.7zM.95 1.3V.9a.45.45 0 0 1 .9 0v.4"
              fill="none"
              stroke={GLASS.bottle}
              strokeWidth=".28"
            />
          </g>
        )}
      </g>
      <g transform={laid.transform} pointerEvents="none" aria-hidden dangerouslySetInnerHTML={{ __html: written }} />
      {fresh && (
        <rect
          x={f.x - 0.7}
          y={f.y - 0.7}
          width={f.w + 1.4}
          height={f.h + 1.4}
          rx="1.2"
          fill="none"
          stroke={GLASS.cobalt}
          strokeWidth=".7"
          strokeDasharray="1.6 1.2"
          pointerEvents="none"
          data-testid="fresh"
        />
      )}
      {chosen && (
        <rect
          x={f.x - 0.7}
          y={f.y - 0.7}
          width={f.w + 1.4}
          height={f.h + 1.4}
          rx="1.2"
          fill="none"
          stroke={GLASS.amber}
          strokeWidth=".9"
          pointerEvents="none"
        />
      )}
    </g>
  );
});
