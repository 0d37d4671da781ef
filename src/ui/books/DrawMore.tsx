import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { MarkKind, RegionKind } from '../../core/book/book';
import { Choice } from '../fields/Choice';
import { MARK_KINDS, REGION_KINDS } from './PartFields';

/** What is drawn next: a place, or something printed. */
export type Draw = RegionKind | `mark ${MarkKind}`;

/** Chooses what is drawn onto the page next. */
export function DrawMore({ draw, setDraw }: { draw: Draw | null; setDraw: (draw: Draw | null) => void }) {
  const [kind, setKind] = useState<Draw>('day');
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
        Draw one more
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Choice
          label="What"
          value={kind}
          options={[
            ...REGION_KINDS.map((k) => [k, k.replace('-', ' ')] as const),
            ...MARK_KINDS.map((k) => [`mark ${k}`, <>printed {k}</>] as const),
          ]}
          onChange={setKind}
          sx={{ flex: 1 }}
        />
        <Button
          variant={draw ? 'contained' : 'outlined'}
          onClick={() => setDraw(draw ? null : kind)}
          aria-pressed={draw !== null}
        >
          {draw ? 'Cancel' : 'Draw'}
        </Button>
      </Box>
      <Typography variant="caption" color="text.secondary">
        {draw
          ? 'Drag over the page, from corner to corner.'
          : 'Or choose one on the page: drag it, pull its corner, or type its measures. Arrow keys move it by half a millimeter, with Shift by five.'}
      </Typography>
    </Box>
  );
}
