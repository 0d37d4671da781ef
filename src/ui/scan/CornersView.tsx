import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import type { Point, Quad } from '../../core/scan/homography';
import type { KnownLength } from '../../core/scan/known-length';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import { SizeBy } from './SizeBy';
import type { ScanSheet, Told } from './store';

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

/** A point that can be dragged, or moved by arrows. */
interface Handle {
  readonly name: string;
  readonly at: Point;
  readonly change: (to: Point) => Partial<Told>;
}

const cornersOf = (name: string, quad: Quad, change: (quad: Quad) => Partial<Told>): Handle[] =>
  quad.map((at, i) => ({
    name: `${name} ${NAMES[i]}`,
    at,
    change: (to) => change(quad.map((c, k) => (k === i ? to : c)) as unknown as Quad),
  }));

const endsOf = (rulers: readonly KnownLength[]): Handle[] =>
  rulers.flatMap((ruler, i) =>
    (['from', 'to'] as const).map((end) => ({
      name: `Ruler ${i + 1}, ${end === 'from' ? 'start' : 'end'}`,
      at: ruler[end],
      change: (to: Point) => ({ rulers: rulers.map((r, k) => (k === i ? { ...r, [end]: to } : r)) }),
    })),
  );

/** A photo with the four corners of its sheet, to be dragged or moved by arrows, and what tells the sheet's size. */
export function CornersView({ scan, sheet }: { scan: Scan; sheet: ScanSheet }) {
  const { setSheet, read } = useStore(scan);
  const [url, setUrl] = useState('');
  const [held, setHeld] = useState<string | null>(null);
  useEffect(() => {
    const made = URL.createObjectURL(sheet.file);
    setUrl(made); // eslint-disable-line react-hooks/set-state-in-effect -- an address that must be given back
    return () => URL.revokeObjectURL(made);
  }, [sheet.file]);
  const { opened, corners, sizeBy, card, rulers } = sheet;
  if (!opened || !corners) return null;
  const { width, height } = opened;
  const byCard = sizeBy === 'card' && card;
  const handles = [
    ...cornersOf('Corner', corners, (quad) => ({ corners: quad })),
    ...(byCard ? cornersOf('Card', card, (quad) => ({ card: quad })) : []),
    ...(sizeBy === 'ruler' ? endsOf(rulers) : []),
  ];
  const move = (handle: Handle | undefined, x: number, y: number) =>
    handle &&
    setSheet(sheet.id, handle.change({ x: Math.max(0, Math.min(width, x)), y: Math.max(0, Math.min(height, y)) }));
  const big = Math.max(width, height);
  const fits = [sheet.width, sheet.height].every((mm) => mm >= 20 && mm <= 1000);
  return (
    <Box sx={{ display: 'flex', gap: 2, minHeight: 0, minWidth: 0, flex: 1, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        style={{ flex: 1, minWidth: 0, minHeight: 0, maxHeight: '100%', touchAction: 'none' }}
        role="group"
        aria-label="The picture with the corners of its sheet"
        onPointerMove={(e) => {
          if (held === null) return;
          const box = e.currentTarget.getScreenCTM()?.inverse();
          if (!box) return;
          const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(box);
          move(
            handles.find((h) => h.name === held),
            p.x,
            p.y,
          );
        }}
        onPointerUp={() => setHeld(null)}
        onPointerLeave={() => setHeld(null)}
      >
        {url && <image href={url} width={width} height={height} />}
        {[corners, ...(byCard ? [card] : [])].map((quad, i) => (
          <polygon
            key={i}
            points={quad.map((c) => `${c.x},${c.y}`).join(' ')}
            fill="none"
            stroke={i ? GLASS.cobalt : GLASS.amber}
            strokeDasharray={i ? `${big / 60} ${big / 120}` : undefined}
            strokeWidth={big / 300}
          />
        ))}
        {sizeBy === 'ruler' &&
          rulers.map((r, i) => (
            <line
              key={i}
              x1={r.from.x}
              y1={r.from.y}
              x2={r.to.x}
              y2={r.to.y}
              stroke={GLASS.cobalt}
              strokeDasharray={`${big / 60} ${big / 120}`}
              strokeWidth={big / 300}
            />
          ))}
        {handles.map((h) => (
          <circle
            key={h.name}
            cx={h.at.x}
            cy={h.at.y}
            r={big / 55}
            fill={GLASS.paper}
            fillOpacity=".6"
            stroke={GLASS.cobalt}
            strokeWidth={big / 260}
            tabIndex={0}
            role="button"
            aria-label={h.name}
            style={{ cursor: 'grab' }}
            onPointerDown={(e) => {
              e.currentTarget.releasePointerCapture?.(e.pointerId);
              setHeld(h.name);
            }}
            onKeyDown={(e) => {
              const by = (e.shiftKey ? 10 : 2) * (big / 1500);
              const to = new Map([
                ['ArrowLeft', [-by, 0]],
                ['ArrowRight', [by, 0]],
                ['ArrowUp', [0, -by]],
                ['ArrowDown', [0, by]],
              ]).get(e.key);
              if (!to) return;
              e.preventDefault();
              move(h, h.at.x + (to[0] as number), h.at.y + (to[1] as number));
            }}
          />
        ))}
      </svg>
      <Box sx={{ width: 250, flexShrink: 0, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Typography variant="h3">How large is the sheet?</Typography>
        <SizeBy sheet={sheet} tell={(change) => setSheet(sheet.id, change)} />
        <Button variant="contained" color="secondary" disabled={!fits} onClick={() => read(sheet.id)}>
          Read this sheet
        </Button>
        <Typography variant="caption" color="text.secondary">
          A size that is a little off can be put right afterwards by one sticker that you measure.
        </Typography>
      </Box>
    </Box>
  );
}
