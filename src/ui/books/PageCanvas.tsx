import type { PointerEvent } from 'react';
import type { Book, Region } from '../../core/book/book';
import type { Part } from '../../core/book/change-book';
import { placeOf } from '../../core/book/change-book';
import { PAPER_COLOR, marksSvg } from '../../core/format/spread-svg';
import type { Rect } from '../../core/measure/rect';
import type { Grip } from '../drag/use-grip';
import { drawnBy, useGrip } from '../drag/use-grip';
import { regionName } from '../../core/spread/region-name';
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

/** A part that is moved or sized; null: a place that is drawn anew. */
type Held = { readonly part: Part; readonly rect: Rect; readonly sizing: boolean } | null;

const SMALLEST = { w: 0.5, h: 0.2 };

function shaped(grip: Grip<Held>): Rect {
  const { what, from, at } = grip;
  if (!what) return drawnBy(grip);
  const { rect, sizing } = what;
  const [dx, dy] = [at.x - from.x, at.y - from.y];
  return sizing
    ? { ...rect, w: Math.max(SMALLEST.w, rect.w + dx), h: Math.max(SMALLEST.w, rect.h + dy) }
    : { ...rect, x: rect.x + dx, y: rect.y + dy };
}

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
  const {
    grip,
    hold,
    drawing: pen,
  } = useGrip<Held>({
    onDrop: (g) => {
      const { what } = g;
      const { x, y, w, h } = shaped(g);
      if (!what && w > SMALLEST.w && h > SMALLEST.h) onDraw({ x, y, w, h });
      if (what && (g.at.x !== g.from.x || g.at.y !== g.from.y)) onPlace(what.part, what.sizing ? { w, h } : { x, y });
    },
  });
  const paper = book.pages[page];
  if (!paper) return null;
  const take = (e: PointerEvent, part: Part, sizing: boolean) => {
    if (drawing || e.button !== 0) return;
    e.stopPropagation();
    onChoose(part);
    const rect = placeOf(book, part);
    if (rect && !locked) hold(e, { part, rect, sizing });
  };
  const isChosen = (part: Part): boolean => chosen !== null && JSON.stringify(part) === JSON.stringify(chosen);
  const shown = (part: Part, rect: Rect): Rect =>
    grip?.what && JSON.stringify(grip.what.part) === JSON.stringify(part) ? shaped(grip) : rect;
  const drawn = grip?.what === null ? shaped(grip) : null;
  const paperPart = chosen ? placeOf(book, chosen) : undefined;
  const frame = chosen && paperPart?.page === page ? shown(chosen, paperPart) : null;
  return (
    <svg
      {...pen}
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
      onPointerDown={(e) => (drawing ? hold(e, null) : onChoose(null))}
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
              onPointerDown={(e) => take(e, part, false)}
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
                {regionName(book, r)}
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
            onPointerDown={(e) => take(e, part, false)}
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
              onPointerDown={(e) => take(e, chosen as Part, true)}
              data-testid="handle"
            />
          )}
        </>
      )}
      {drawn && (
        <rect
          x={drawn.x}
          y={drawn.y}
          width={drawn.w}
          height={drawn.h}
          fill={GLASS.amber}
          fillOpacity={0.15}
          stroke={GLASS.amber}
          strokeWidth={0.5}
        />
      )}
    </svg>
  );
}
