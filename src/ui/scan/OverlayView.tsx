import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { PointerEvent } from 'react';
import { useState } from 'react';
import { useStore } from 'zustand';
import { add, reshape } from '../../core/scan/correct';
import type { Rect } from '../../core/measure/rect';
import { traits } from '../../core/kit/kinds';
import type { Grip } from '../drag/use-grip';
import { drawnBy, useGrip } from '../drag/use-grip';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import type { ScanSheet } from './store';

type Edge = 'left' | 'right' | 'top' | 'bottom';
/** An edge of a sticker; null: one that is drawn anew. */
type Held = { readonly id: number; readonly edge: Edge; readonly rect: Rect } | null;

const SMALLEST = 2;

/** The sheet from above with the outlines that were found: to choose, to move an edge, to draw one that is missing. */
export function OverlayView({ scan, sheet }: { scan: Scan; sheet: ScanSheet }) {
  const { selected, select, correct, setSheet } = useStore(scan);
  const [drawing, setDrawing] = useState(false);
  const { width, height, stickers } = sheet;
  const shaped = (g: Grip<Held>): Rect => (g.what ? withEdge(g.what.rect, g.what.edge, g.at) : drawnBy(g));
  const {
    grip,
    hold,
    drawing: pen,
  } = useGrip<Held>({
    onDrop: (g) => {
      const rect = shaped(g);
      if (rect.w <= SMALLEST || rect.h <= SMALLEST) return;
      const { what } = g;
      if (what) return correct((all) => reshape(all, what.id, rect));
      correct((all) => add(all, rect));
      select([Math.max(0, ...stickers.map((s) => s.id)) + 1]);
      setDrawing(false);
    },
  });
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
      </Box>
      <svg
        {...pen}
        viewBox={`0 0 ${width} ${height}`}
        style={{ flex: 1, minHeight: 0, minWidth: 0, cursor: drawing ? 'crosshair' : 'default', touchAction: 'none' }}
        role="group"
        aria-label="The sheet with its stickers"
        data-testid="overlay"
        onPointerDown={(e) => drawing && hold(e, null)}
      >
        {sheet.picture && <image href={sheet.picture} width={width} height={height} preserveAspectRatio="none" />}
        {stickers.map((s) => {
          const chosen = selected.includes(s.id);
          const rect = grip?.what?.id === s.id ? shaped(grip) : s;
          const doubtful = s.doubts.length > 0;
          return (
            <g
              key={s.id}
              data-testid="outline"
              onPointerDown={(e) => {
                if (drawing) return;
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
                strokeWidth={chosen ? 0.9 : 0.6}
                strokeDasharray={doubtful && !chosen ? '1.6 1' : undefined}
              />
              {chosen && selected.length === 1 && (
                <Handles rect={rect} onHold={(e, edge) => hold(e, { id: s.id, edge, rect: s })} />
              )}
            </g>
          );
        })}
        {grip?.what === null && (
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

function Handles({ rect: { x, y, w, h }, onHold }: { rect: Rect; onHold: (e: PointerEvent, edge: Edge) => void }) {
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
      r="1.5"
      fill={GLASS.paper}
      stroke={GLASS.amber}
      strokeWidth=".5"
      style={{ cursor: edge === 'left' || edge === 'right' ? 'ew-resize' : 'ns-resize' }}
      onPointerDown={(e) => {
        e.stopPropagation();
        onHold(e, edge);
      }}
    />
  ));
}
