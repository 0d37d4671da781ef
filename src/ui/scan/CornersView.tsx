import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useStore } from 'zustand';
import { counted } from '../../core/spread/voice';
import type { Point, Quad } from '../../core/scan/homography';
import type { KnownLength } from '../../core/scan/known-length';
import type { Handle } from '../PointsOn';
import { PointsOn } from '../PointsOn';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import { SizeBy } from './SizeBy';
import type { ScanSheet, Told } from './store';

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

/** The same corners, of which the next one is the sheet's top left. */
const turned = ([a, b, c, d]: Quad): Quad => [b, c, d, a];

type Change = (told: Partial<Told>) => void;

const cornersOf = (name: string, quad: Quad, change: (quad: Quad) => void): Handle[] =>
  quad.map((at, i) => ({
    name: `${name} ${NAMES[i]}`,
    at,
    onMove: (to) => change(quad.map((c, k) => (k === i ? to : c)) as unknown as Quad),
  }));

const endsOf = (rulers: readonly KnownLength[], tell: Change): Handle[] =>
  rulers.flatMap((ruler, i) =>
    (['from', 'to'] as const).map((end) => ({
      name: `Ruler ${i + 1}, ${end === 'from' ? 'start' : 'end'}`,
      at: ruler[end],
      onMove: (to: Point) => tell({ rulers: rulers.map((r, k) => (k === i ? { ...r, [end]: to } : r)) }),
    })),
  );

/** A photo with the four corners of its sheet, to be dragged or moved by arrows, and what tells the sheet's size. */
export function CornersView({ scan, sheet }: { scan: Scan; sheet: ScanSheet }) {
  const { setSheet, backToStickers, read } = useStore(scan);
  const [url, setUrl] = useState('');
  useEffect(() => {
    const made = URL.createObjectURL(sheet.file);
    setUrl(made); // eslint-disable-line react-hooks/set-state-in-effect -- an address that must be given back
    return () => URL.revokeObjectURL(made);
  }, [sheet.file]);
  const { opened, corners, sizeBy, card, rulers } = sheet;
  const back = () => backToStickers(sheet.id);
  useHotkeys('escape', () => sheet.picture && back());
  if (!opened || !corners) return null;
  const { width, height } = opened;
  const byCard = sizeBy === 'card' && card;
  const tell: Change = (told) => setSheet(sheet.id, told);
  const handles = [
    ...cornersOf('Corner', corners, (quad) => tell({ corners: quad })),
    ...(byCard ? cornersOf('Card', card, (quad) => tell({ card: quad })) : []),
    ...(sizeBy === 'ruler' ? endsOf(rulers, tell) : []),
  ];
  const big = Math.max(width, height);
  const corrections = sheet.past.back.length;
  const fits = [sheet.width, sheet.height].every((mm) => mm >= 20 && mm <= 1000);
  return (
    <Box sx={{ display: 'flex', gap: 2, minHeight: 0, minWidth: 0, flex: 1, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      <PointsOn
        url={url}
        width={width}
        height={height}
        label="The picture with the corners of its sheet"
        handles={handles}
      >
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
      </PointsOn>
      <Box sx={{ width: 250, flexShrink: 0, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Typography variant="h3">How large is the sheet?</Typography>
        <SizeBy sheet={sheet} tell={tell} />
        {opened.sure ? null : (
          <Typography color="error">
            Hobnail cannot tell the sheet from what is behind it. Drag the four corners to its own.
          </Typography>
        )}
        <Button
          onClick={() => tell({ corners: turned(corners), width: sheet.height, height: sheet.width })}
          sx={{ alignSelf: 'flex-start' }}
        >
          Turn it by 90°
        </Button>
        <Button variant="contained" color="secondary" disabled={!fits} onClick={() => read(sheet.id)}>
          {corrections ? `Read again, without ${counted(corrections, 'correction')}` : 'Read this sheet'}
        </Button>
        {sheet.picture && <Button onClick={back}>Back to the stickers</Button>}
        <Typography variant="caption" color="text.secondary">
          A size that is a little off can be put right afterwards by one sticker that you measure.
        </Typography>
      </Box>
    </Box>
  );
}
