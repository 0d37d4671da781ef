import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { PointerEvent } from 'react';
import { useState } from 'react';
import { useStore } from 'zustand';
import { add, inLine, reshape } from '../../core/scan/correct';
import type { Rect } from '../../core/measure/rect';
import { intersect } from '../../core/measure/rect';
import { traits } from '../../core/kit/kinds';
import type { Grip } from '../drag/use-grip';
import { drawnBy, useGrip } from '../drag/use-grip';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import type { ScanSheet } from './store';
import { useZoom } from './use-zoom';

type Edge = 'left' | 'right' | 'top' | 'bottom';
/** An edge of a sticker, one that is drawn anew, or what is drawn round several to choose them. */
type Held =
  | { readonly what: 'edge'; readonly id: number; readonly edge: Edge; readonly rect: Rect }
  | { readonly what: 'new' }
  | { readonly what: 'round'; readonly more: boolean };

const SMALLEST = 2;

/**
 * The sheet from above with the outlines that were found: to choose, one or all that a frame is drawn round, to move an
 * edge, to draw one that is missing.
 */
export function OverlayView({ scan, sheet }: { scan: Scan; sheet: ScanSheet }) {
  const { selected, select, correct, setSheet } = useStore(scan);
  const [drawing, setDrawing] = useState(false);
  const { width, height, stickers } = sheet;
  const shaped = (g: Grip<Held>): Rect => {
    const { what } = g;
    if (what.what !== 'edge') return drawnBy(g);
    const others = stickers.filter((s) => s.id !== what.id);
    const at = { x: inLine(g.at.x, 'across', others), y: inLine(g.at.y, 'down', others) };
    return withEdge(what.rect, what.edge, at);
  };
  const {
    grip,
    hold,
    letGo,
    drawing: pen,
  } = useGrip<Held>({
    onDrop: (g) => {
      const rect = shaped(g);
      const { what } = g;
      if (what.what === 'round') {
        const round = stickers.filter((s) => intersect(s, rect)).map((s) => s.id);
        return select(what.more ? [...new Set([...selected, ...round])] : round);
      }
      if (rect.w <= SMALLEST || rect.h <= SMALLEST) return;
      if (what.what === 'edge') return correct((all) => reshape(all, what.id, rect));
      correct((all) => add(all, rect));
      select([Math.max(0, ...stickers.map((s) => s.id)) + 1]);
      setDrawing(false);
    },
  });
  const zoom = useZoom(pen.ref, sheet, letGo);
  // the chosen ones lie on top, with their handles
  const ordered = [
    ...stickers.filter((s) => !selected.includes(s.id)),
    ...stickers.filter((s) => selected.includes(s.id)),
  ];
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, flex: 1, minWidth: 0, minHeight: 0 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          size="small"
          variant={drawing ? 'contained' : 'text'}
          aria-pressed={drawing}
          onClick={() => setDrawing(!drawing)}
        >
          Draw one that is missing
        </Button>
        <Button size="small" onClick={() => select(stickers.map((s) => s.id))}>
          Select all
        </Button>
        <Button size="small" onClick={() => setSheet(sheet.id, { state: 'asking' })}>
          Corners and size
        </Button>
        <Box sx={{ ml: 'auto', display: 'flex' }} role="group" aria-label="Zoom">
          <Button size="small" onClick={zoom.closer} aria-label="Closer" sx={{ minWidth: 32 }}>
            +
          </Button>
          <Button
            size="small"
            onClick={zoom.farther}
            aria-label="Farther"
            disabled={zoom.times <= 1}
            sx={{ minWidth: 32 }}
          >
            −
          </Button>
          <Button
            size="small"
            variant={zoom.moving ? 'contained' : 'text'}
            aria-pressed={zoom.moving}
            onClick={() => zoom.setMoving(!zoom.moving)}
            disabled={zoom.times <= 1}
            title="Drag the sheet. Two fingers or the middle button do it at any time."
          >
            Move
          </Button>
          <Button size="small" onClick={zoom.whole} disabled={zoom.times <= 1}>
            Whole sheet
          </Button>
        </Box>
      </Box>
      <svg
        {...pen}
        viewBox={zoom.viewBox}
        {...zoom.hand}
        style={{
          flex: 1,
          minHeight: 0,
          minWidth: 0,
          cursor: zoom.moving ? 'grab' : drawing ? 'crosshair' : 'default',
          touchAction: 'none',
        }}
        role="group"
        aria-label="The sheet with its stickers"
        data-testid="overlay"
        onPointerDown={(e) => {
          const more = e.shiftKey || e.ctrlKey || e.metaKey;
          hold(e, drawing ? { what: 'new' } : { what: 'round', more });
        }}
      >
        {sheet.picture && <image href={sheet.picture} width={width} height={height} preserveAspectRatio="none" />}
        {ordered.map((s) => {
          const chosen = selected.includes(s.id);
          const rect = grip?.what.what === 'edge' && grip.what.id === s.id ? shaped(grip) : s;
          const doubtful = s.doubts.length > 0;
          return (
            <g
              key={s.id}
              data-testid="outline"
              onPointerDown={(e) => {
                if (drawing) return;
                e.stopPropagation();
                const more = e.shiftKey || e.ctrlKey || e.metaKey;
                select(more ? (chosen ? selected.filter((id) => id !== s.id) : [...selected, s.id]) : [s.id]);
              }}
              style={{ cursor: drawing ? undefined : 'pointer' }}
            >
              <title>{`${traits(s.kind).label}, ${s.w.toFixed(1)} × ${s.h.toFixed(1)} mm${doubtful ? ', to be looked at' : ''}`}</title>
              <rect
                x={rect.x}
                y={rect.y}
                width={rect.w}
                height={rect.h}
                fill={chosen ? GLASS.amber : 'transparent'}
                fillOpacity=".16"
                stroke={chosen ? GLASS.amber : doubtful ? GLASS.cranberry : GLASS.bottle}
                strokeWidth={(chosen ? 0.9 : 0.6) / Math.sqrt(zoom.times)}
                strokeDasharray={doubtful && !chosen ? '1.6 1' : undefined}
              />
              {chosen && selected.length === 1 && (
                <Handles
                  rect={rect}
                  size={1 / zoom.times}
                  onHold={(e, edge) => hold(e, { what: 'edge', id: s.id, edge, rect: s })}
                />
              )}
            </g>
          );
        })}
        {grip && grip.what.what !== 'edge' && (
          <rect {...svgRect(shaped(grip))} fill={GLASS.amber} fillOpacity=".2" stroke={GLASS.amber} strokeWidth=".6" />
        )}
      </svg>
    </Box>
  );
}

const svgRect = ({ x, y, w, h }: Rect) => ({ x, y, width: w, height: h });

/** A rectangle with one edge moved to a point. */
function withEdge({ x, y, w, h }: Rect, edge: Edge, p: { x: number; y: number }): Rect {
  switch (edge) {
    case 'left':
      return { x: p.x, y, w: x + w - p.x, h };
    case 'right':
      return { x, y, w: p.x - x, h };
    case 'top':
      return { x, y: p.y, w, h: y + h - p.y };
    case 'bottom':
      return { x, y, w, h: p.y - y };
  }
}

function Handles({
  rect: { x, y, w, h },
  size,
  onHold,
}: {
  rect: Rect;
  size: number;
  onHold: (e: PointerEvent, edge: Edge) => void;
}) {
  const places: readonly (readonly [Edge, number, number])[] = [
    ['left', x, y + h / 2],
    ['right', x + w, y + h / 2],
    ['top', x + w / 2, y],
    ['bottom', x + w / 2, y + h],
  ];
  return places.map(([edge, cx, cy]) => (
    <circle
      key={edge}
      cx={cx}
      cy={cy}
      r={1.5 * size}
      fill={GLASS.paper}
      stroke={GLASS.amber}
      strokeWidth={0.5 * size}
      style={{ cursor: edge === 'left' || edge === 'right' ? 'ew-resize' : 'ns-resize' }}
      onPointerDown={(e) => {
        e.stopPropagation();
        onHold(e, edge);
      }}
    />
  ));
}
