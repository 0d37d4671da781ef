'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Paper from '@mui/material/Paper';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import type { SharedTexts } from '../../core/format/share-svg';
import { GLASS } from '../theme';
import { Screen } from '../screen/Screen';

const TEXTS: readonly (readonly [SharedTexts, string, string])[] = [
  ['left out', 'Left out', 'stickers only'],
  ['blurred', 'Blurred', 'waves where you wrote'],
  ['kept', 'Kept', 'everyone can read them'],
];

/** The spread as a picture to be given away: its size, and what becomes of the texts, seen before it is saved. */
export function ShareScreen(props: {
  id: number;
  revision: number;
  title: string;
  widths: readonly number[];
  width: number;
  height: number;
}) {
  const { id, title, widths } = props;
  const [texts, setTexts] = useState<SharedTexts>('left out');
  const [width, setWidth] = useState(widths[1] ?? 2000);
  const file = (as: 'png' | 'svg', w = width) =>
    `/spreads/${id}/shared?${new URLSearchParams({ as, texts, width: String(w), v: String(props.revision) }).toString()}`;
  return (
    <Screen
      title={<>Share · {title}</>}
      acts={
        <Button color="inherit" component={Link} href={`/spreads/${id}`}>
          To the spread
        </Button>
      }
    >
      <Box
        component="main"
        sx={{
          p: { xs: 2, md: 3 },
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 280px' },
          alignItems: 'start',
          maxWidth: 1400,
          width: '100%',
          mx: 'auto',
        }}
      >
        <Box sx={{ background: '#EFEBE1', border: `1px solid ${GLASS.edge}`, borderRadius: 2, p: 2 }}>
          <img
            key={texts}
            src={file('svg')}
            alt="The picture as it will be saved"
            style={{
              width: '100%',
              maxHeight: '72vh',
              aspectRatio: `${props.width} / ${props.height}`,
              objectFit: 'contain',
              display: 'block',
            }}
          />
        </Box>
        <Paper component="section" aria-label="How it is shared" sx={{ p: 2 }}>
          <Typography variant="h2" sx={{ fontSize: 18 }}>
            What you wrote
          </Typography>
          <RadioGroup
            aria-label="What you wrote"
            value={texts}
            onChange={(e) => setTexts(TEXTS.find(([t]) => t === e.target.value)?.[0] ?? 'left out')}
          >
            {TEXTS.map(([value, name, says]) => (
              <FormControlLabel
                key={value}
                value={value}
                control={<Radio size="small" />}
                label={
                  <>
                    {name}{' '}
                    <Typography component="span" variant="caption" color="text.secondary">
                      {says}
                    </Typography>
                  </>
                }
              />
            ))}
          </RadioGroup>
          <Typography variant="h2" sx={{ fontSize: 18, mt: 1 }}>
            Width
          </Typography>
          <RadioGroup aria-label="Width" value={width} onChange={(e) => setWidth(Number(e.target.value))}>
            {widths.map((w) => (
              <FormControlLabel
                key={w}
                value={w}
                control={<Radio size="small" />}
                label={`${w} × ${Math.round((w * props.height) / props.width)} pixels`}
              />
            ))}
          </RadioGroup>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, mt: 1.5 }}>
            <Button variant="contained" color="secondary" href={file('png')} download="spread.png">
              Save as PNG
            </Button>
            <Button variant="outlined" href={file('svg')} download="spread.svg">
              Save as SVG, any size
            </Button>
          </Box>
          <Typography variant="caption" component="p" color="text.secondary" sx={{ mt: 1.5 }}>
            Unless they are kept, none of your words is in the file: not in the picture, not in its name, not in what
            goes with it.
          </Typography>
        </Paper>
      </Box>
    </Screen>
  );
}
