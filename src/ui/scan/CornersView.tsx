import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import type { Quad } from '../../core/scan/homography';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import type { ScanSheet } from './store';

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

/** A photo with the four corners of its sheet, to be dragged or moved by arrows, and the sheet's size. */
export function CornersView({ scan, sheet }: { scan: Scan; sheet: ScanSheet }) {
  const { setSheet, read } = useStore(scan);
  const [url, setUrl] = useState('');
  const [held, setHeld] = useState<number | null>(null);
  useEffect(() => {
    const made = URL.createObjectURL(sheet.file);
    setUrl(made); // eslint-disable-line react-hooks/set-state-in-effect -- an address that must be given back
    return () => URL.revokeObjectURL(made);
  }, [sheet.file]);
  const { opened, corners } = sheet;
  if (!opened || !corners) return null;
  const { width, height } = opened;
  const move = (i: number, x: number, y: number) =>
    setSheet(sheet.id, {
      corners: corners.map((c, k) =>
        k === i ? { x: Math.max(0, Math.min(width, x)), y: Math.max(0, Math.min(height, y)) } : c,
      ) as unknown as Quad,
    });
  const big = Math.max(width, height);
  const sized = (label: string, field: 'width' | 'height') => (
    <TextField
      size="small"
      label={label}
      type="number"
      value={sheet[field] || ''}
      onChange={(e) => setSheet(sheet.id, { [field]: Number(e.target.value) })}
      slotProps={{ htmlInput: { min: 20, max: 1000, step: 0.5 } }}
      sx={{ width: 130 }}
    />
  );
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
          move(held, p.x, p.y);
        }}
        onPointerUp={() => setHeld(null)}
        onPointerLeave={() => setHeld(null)}
      >
        {url && <image href={url} width={width} height={height} />}
        <polygon
          points={corners.map((c) => `${c.x},${c.y}`).join(' ')}
          fill="none"
          stroke={GLASS.amber}
          strokeWidth={big / 300}
        />
        {corners.map((c, i) => (
          <circle
            key={NAMES[i]}
            cx={c.x}
            cy={c.y}
            r={big / 55}
            fill={GLASS.paper}
            fillOpacity=".6"
            stroke={GLASS.cobalt}
            strokeWidth={big / 260}
            tabIndex={0}
            role="button"
            aria-label={`Corner ${NAMES[i]}`}
            style={{ cursor: 'grab' }}
            onPointerDown={(e) => {
              e.currentTarget.releasePointerCapture?.(e.pointerId);
              setHeld(i);
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
              move(i, c.x + (to[0] as number), c.y + (to[1] as number));
            }}
          />
        ))}
      </svg>
      <Box sx={{ width: 250, flexShrink: 0, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Typography variant="h3">How large is the sheet?</Typography>
        <Typography color="text.secondary">
          The picture does not say. Measure the backing from edge to edge, and drag the four corners to its own if they
          are not there yet.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1 }}>
          {sized('Width, mm', 'width')}
          {sized('Height, mm', 'height')}
        </Box>
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
