'use client';

import type { PointerEvent } from 'react';
import { useCallback, useMemo, useRef } from 'react';
import { num } from '../../../core/art/svg';
import { applies, apply } from '../../../core/edit/change';
import { sayThing, thingOf } from '../../../core/edit/thing';
import { handSvg, marksSvg, placesSvg, whiteOutSvg } from '../../../core/format/spread-svg';
import type { Placement } from '../../../core/spread/placement';
import { footprint } from '../../../core/spread/placement';
import { spokenWeek } from '../../../core/week/day-names';
import { GLASS } from '../../theme';
import { useReview } from '../review-context';
import type { StepName } from '../store';
import { useSpread, useSpreadStore } from '../store';
import { layWhere, onPage } from '../carry/lay-where';
import { pointIn } from '../../drag/point-in';
import { lookAt } from './camera';
import { Laid } from './Laid';
import { Spots } from './Spots';
import { Studs } from './Studs';
import { useCamera } from './use-camera';
import { useDrag } from './use-drag';
import { useWhole } from './use-whole';

const ROLES: Readonly<Partial<Record<StepName, readonly Placement['role'][]>>> = {
  Base: ['base'],
  Sidebar: ['sidebar'],
  Boxes: ['box'],
  Days: ['day'],
  Finish: ['finish'],
};

/** A press that moves no farther is a click, px. */
const STILL = 5;

/** The open book at true proportion; one unit of the drawing is one millimeter. */
export function Board() {
  const context = useSpread((s) => s.context);
  const laid = useSpread((s) => s.placements);
  const selected = useSpread((s) => s.selected);
  const also = useSpread((s) => s.also);
  const step = useSpread((s) => s.step);
  const finding = useSpread((s) => s.finding);
  const changed = useSpread((s) => s.changed);
  const glimpse = useSpread((s) => s.glimpse);
  const camera = useSpread((s) => s.camera);
  const { view } = useReview();
  const svg = useRef<SVGSVGElement>(null);
  const { whole, offsets } = useWhole();
  const store = useSpreadStore();
  const looking = useCamera(svg, whole);
  const dragging = useDrag(svg, offsets, looking.pinching);
  const { pages } = context.book;
  const seen = camera ?? whole;
  const placements = useMemo(() => (glimpse && applies(laid, glimpse) ? apply(laid, glimpse) : laid), [laid, glimpse]);
  const fresh = useMemo(() => new Set(glimpse ? glimpse.after.map((p) => p.id) : changed), [glimpse, changed]);
  // asked of the store at the moment of the gesture, so that they are the same functions at each drawing
  const choose = useCallback(
    (id: string) => {
      const now = store.getState();
      // what is in hand survives a walk through the book
      if (now.picked || now.item !== null || now.selected === id || now.also.includes(id)) return;
      now.select(id);
    },
    [store],
  );
  // the pointer is held by the drawing while a piece is pressed: a double click comes to it, not to the piece
  const near = () => {
    const p = laid.find((q) => q.id === selected);
    if (p) store.getState().setCamera(lookAt({ ...footprint(p), x: footprint(p).x + (offsets[p.page] ?? 0) }, whole));
  };
  const pressed = useRef<{ x: number; y: number } | null>(null);
  /** What is in hand is laid by a click, wherever in the book; one that became a pull of the book lays nothing. */
  const layByClick = (e: PointerEvent) => {
    const from = pressed.current;
    pressed.current = null;
    const now = store.getState();
    const { picked, item } = now;
    if (!from || (!picked && item === null) || (e.target as Element).closest('[data-testid="spot"]')) return;
    if (Math.hypot(e.clientX - from.x, e.clientY - from.y) > STILL) return;
    const at = pointIn(svg.current, e);
    const carried = picked
      ? ({ is: 'sticker', piece: picked } as const)
      : ({ is: 'item', key: item as string, title: '' } as const);
    layWhere(now, carried, onPage(offsets, at));
  };
  const paper = (e: PointerEvent) => {
    const { picked, item } = store.getState();
    pressed.current = e.button === 0 ? { x: e.clientX, y: e.clientY } : null;
    if (e.target === svg.current || (e.target as Element).classList.contains('paper')) {
      if (!picked && item === null) store.getState().select(null);
      looking.down(e, true);
      svg.current?.setPointerCapture(e.pointerId);
    } else looking.down(e, false);
  };

  return (
    <svg
      ref={svg}
      viewBox={[seen.x, seen.y, seen.w, seen.h].map(num).join(' ')}
      role="group"
      aria-label={`The open book, ${spokenWeek(context.week.days)}`}
      style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none', userSelect: 'none' }}
      data-testid="board"
      onDoubleClick={near}
      onPointerDown={paper}
      onPointerMove={(e) => {
        looking.move(e);
        dragging.move(e);
      }}
      onPointerUp={(e) => {
        looking.up(e);
        dragging.drop();
        layByClick(e);
      }}
      onPointerCancel={(e) => {
        pressed.current = null;
        looking.up(e);
        dragging.cancel();
      }}
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
      {pages.map((page, i) =>
        (offsets[i] ?? 0) + page.width <= whole.x || (offsets[i] ?? 0) >= whole.x + whole.w ? null : (
          <g key={i} transform={`translate(${num(offsets[i] as number)} 0)`}>
            <rect
              className="paper"
              data-page={i}
              width={page.width}
              height={page.height}
              rx="1.5"
              fill={GLASS.paper}
              stroke={GLASS.edge}
              strokeWidth=".5"
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
            <Studs page={i} whole={whole} offset={offsets[i] as number} />
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
                  chosen={p.id === selected || also.includes(p.id)}
                  fresh={fresh.has(p.id)}
                  tab={selected ? p.id === selected : n === 0}
                  pale={
                    step !== null && step !== 'Finish' && ROLES[step] !== undefined && !ROLES[step].includes(p.role)
                  }
                  onBegin={dragging.begin}
                  onChoose={choose}
                />
              ))}
            <Spots page={i} />
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
        ),
      )}
      <g className="guides" pointerEvents="none" aria-hidden />
    </svg>
  );
}
