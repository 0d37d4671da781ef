import { useRef, useState } from 'react';
import type { Book, Region } from '../../core/book/book';
import type { Part } from '../../core/book/change-book';
import { placeOf } from '../../core/book/change-book';
import { PAPER_COLOR, marksSvg } from '../../core/format/spread-svg';
import type { Rect } from '../../core/measure/rect';
import { GLASS } from '../theme';

/** One quiet color a kind of place, told apart by its name as well. */
export const KIND_COLORS: Readonly<Record<Region['kind'], string>> = {
  day: '#17443F',
  'date-header': '#B8691B',
  sidebar: '#2C4A86',
  'bottom-strip': '#9B2743',
  'top-strip': '#9B2743',
  'month-flag': '#B8691B',
  free: '#5C635F',
};
const HANDLE = 2.6;

interface PageCanvasProps {
  readonly book: Book;
  readonly page: number;
  readonly scan: { readonly url: string; readonly opacity: number } | null;
  readonly chosen: Part | null;
  readonly drawing: boolean;
  readonly locked: boolean;
  readonly width: number | string;
  readonly onChoose: (part: Part | null) => void;
  readonly onPlace: (part: Part, to: Partial<Rect>) => void;
  readonly onDraw: (rect: Rect) => void;
}

type Held = {
  readonly part: Part;
  readonly from: { x: number; y: number };
  readonly rect: Rect;
  readonly sizing: boolean;
};

/** A page true to proportion, its places and printed marks over the scan: to draw, move and size by hand. */
export function PageCanvas({
  book,
  page,
  scan,
  chosen,
  drawing,
  locked,
  width,
  onChoose,
  onPlace,
  onDraw,
}: PageCanvasProps) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<Held | null>(null);
  const [moved, setMoved] = useState<Rect | null>(null);
  const [drawn, setDrawn] = useState<{ from: { x: number; y: number }; rect: Rect } | null>(null);
  const paper = book.pages[page];
  if (!paper) return null;
  const at = (e: React.PointerEvent): { x: number; y: number } => {
    const box = (svg.current as SVGSVGElement).getBoundingClientRect();
    return {
      x: ((e.clientX - box.left) / box.width) * paper.width,
      y: ((e.clientY - box.top) / box.height) * paper.height,
    };
  };
  const grip = (e: React.PointerEvent, part: Part, sizing: boolean) => {
    if (drawing || e.button !== 0) return;
    e.stopPropagation();
    onChoose(part);
    const rect = placeOf(book, part);
    if (!rect || locked) return;
    svg.current?.setPointerCapture(e.pointerId);
    setHeld({ part, from: at(e), rect, sizing });
  };
  const down = (e: React.PointerEvent) => {
    if (!drawing) return onChoose(null);
    svg.current?.setPointerCapture(e.pointerId);
    setDrawn({ from: at(e), rect: { ...at(e), w: 0, h: 0 } });
  };
  const move = (e: React.PointerEvent) => {
    const p = at(e);
    if (drawn)
      setDrawn({
        ...drawn,
        rect: {
          x: Math.min(p.x, drawn.from.x),
          y: Math.min(p.y, drawn.from.y),
          w: Math.abs(p.x - drawn.from.x),
          h: Math.abs(p.y - drawn.from.y),
        },
      });
    if (!held) return;
    const [dx, dy] = [p.x - held.from.x, p.y - held.from.y];
    setMoved(
      held.sizing
        ? { ...held.rect, w: Math.max(0.5, held.rect.w + dx), h: Math.max(0.5, held.rect.h + dy) }
        : { ...held.rect, x: held.rect.x + dx, y: held.rect.y + dy },
    );
  };
  const up = () => {
    if (drawn && drawn.rect.w > 0.5 && drawn.rect.h > 0.2) onDraw(drawn.rect);
    if (held && moved) onPlace(held.part, held.sizing ? { w: moved.w, h: moved.h } : { x: moved.x, y: moved.y });
    setDrawn(null);
    setHeld(null);
    setMoved(null);
  };
  const isChosen = (part: Part): boolean => chosen !== null && JSON.stringify(part) === JSON.stringify(chosen);
  const shown = (part: Part, rect: Rect): Rect =>
    held && moved && JSON.stringify(held.part) === JSON.stringify(part) ? moved : rect;
  const paperPart = chosen ? placeOf(book, chosen) : undefined;
  const frame = chosen && paperPart?.page === page ? shown(chosen, paperPart) : null;
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${paper.width} ${paper.height}`}
      style={{
        width,
        display: 'block',
        cursor: drawing ? 'crosshair' : 'default',
        touchAction: 'none',
        boxShadow: '0 1px 6px #0003',
      }}
      role="group"
      aria-label={`Page ${page + 1}`}
      data-testid="page"
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
    >
      <rect width={paper.width} height={paper.height} fill={PAPER_COLOR} />
      {scan && (
        <image
          href={scan.url}
          width={paper.width}
          height={paper.height}
          preserveAspectRatio="none"
          opacity={scan.opacity}
        />
      )}
      <rect
        x={paper.bindingSide === 'left' ? 0 : paper.width - book.binding.width}
        width={book.binding.width}
        height={paper.height}
        fill={GLASS.edge}
        opacity={0.55}
      />
      <g pointerEvents="none" dangerouslySetInnerHTML={{ __html: marksSvg(book, page) }} />
      {book.regions
        .filter((r) => r.page === page)
        .map((r) => {
          const part: Part = { of: 'region', id: r.id };
          const rect = shown(part, r);
          return (
            <g
              key={r.id}
              onPointerDown={(e) => grip(e, part, false)}
              style={{ cursor: drawing || locked ? 'inherit' : 'move' }}
              data-testid="region"
              data-id={r.id}
            >
              <rect
                x={rect.x}
                y={rect.y}
                width={rect.w}
                height={rect.h}
                fill={KIND_COLORS[r.kind]}
                fillOpacity={isChosen(part) ? 0.2 : 0.09}
                stroke={KIND_COLORS[r.kind]}
                strokeOpacity={0.6}
                strokeWidth={0.3}
              />
              <text
                x={rect.x + 1}
                y={rect.y + 3.4}
                fontSize={2.8}
                fill={KIND_COLORS[r.kind]}
                style={{ userSelect: 'none' }}
              >
                {r.id}
              </text>
            </g>
          );
        })}
      {book.marks.map((m, i) => {
        if (m.page !== page) return null;
        const part: Part = { of: 'mark', at: i };
        const rect = shown(part, m);
        const line = m.kind === 'line' || isChosen(part);
        return line ? (
          <rect
            key={i}
            x={rect.x}
            y={rect.y - (m.h < 1 ? 0.7 : 0)}
            width={Math.max(rect.w, 1)}
            height={Math.max(rect.h, 1.4)}
            fill="transparent"
            onPointerDown={(e) => grip(e, part, false)}
            style={{ cursor: drawing || locked ? 'inherit' : 'move' }}
          />
        ) : null;
      })}
      {frame && (
        <>
          <rect
            x={frame.x}
            y={frame.y}
            width={frame.w}
            height={frame.h}
            fill="none"
            stroke={GLASS.amber}
            strokeWidth={0.8}
            pointerEvents="none"
          />
          {!locked && (
            <rect
              x={frame.x + frame.w - HANDLE / 2}
              y={frame.y + frame.h - HANDLE / 2}
              width={HANDLE}
              height={HANDLE}
              fill="#fff"
              stroke={GLASS.amber}
              strokeWidth={0.6}
              style={{ cursor: 'nwse-resize' }}
              onPointerDown={(e) => grip(e, chosen as Part, true)}
              data-testid="handle"
            />
          )}
        </>
      )}
      {drawn && (
        <rect
          x={drawn.rect.x}
          y={drawn.rect.y}
          width={drawn.rect.w}
          height={drawn.rect.h}
          fill={GLASS.amber}
          fillOpacity={0.15}
          stroke={GLASS.amber}
          strokeWidth={0.5}
        />
      )}
    </svg>
  );
}
