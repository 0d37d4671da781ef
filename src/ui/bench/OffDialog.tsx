import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { parseLength } from '../../core/measure/parse-length';
import type { AtBench } from './use-bench';
import { FormDialog } from '../screen/FormDialog';

const MOST = 30;

/** How far off a piece was stuck, as its owner measures it: it stays there, and what is not down yet makes way. */
export function OffDialog({ at: { voice, mishap }, onClose }: { at: AtBench; onClose: () => void }) {
  const [down, setDown] = useState<-1 | 1>(1);
  const [across, setAcross] = useState<-1 | 1>(1);
  const [typed, setTyped] = useState({ down: '', across: '' });
  const length = (text: string): number | null => (text.trim() ? parseLength(text, voice.unit) : 0);
  const [dy, dx] = [length(typed.down), length(typed.across)];
  const fits = dy !== null && dx !== null && Math.abs(dy) <= MOST && Math.abs(dx) <= MOST && (dy !== 0 || dx !== 0);
  const hint = voice.unit === 'mm' ? 'such as 2 mm' : 'such as 1/16 in';
  return (
    <FormDialog
      plain
      title="How far off is it stuck?"
      onClose={onClose}
      act={{
        label: 'It stays there',
        disabled: !fits,
        run: () => {
          onClose();
          void mishap('off', { dx: (dx ?? 0) * across, dy: (dy ?? 0) * down });
        },
      }}
    >
      <Typography color="text.secondary">
        It stays where it is. What is not down yet makes way with the fewest moves.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', pt: 1 }}>
        <TextField
          autoFocus
          size="small"
          label="Up or down"
          placeholder={hint}
          value={typed.down}
          error={dy === null || Math.abs(dy) > MOST}
          onChange={(e) => setTyped({ ...typed, down: e.target.value })}
          sx={{ width: 150 }}
        />
        <ToggleButtonGroup exclusive size="small" value={down} onChange={(_, v: -1 | 1 | null) => v && setDown(v)}>
          <ToggleButton value={1}>too low</ToggleButton>
          <ToggleButton value={-1}>too high</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        <TextField
          size="small"
          label="To a side"
          placeholder={hint}
          value={typed.across}
          error={dx === null || Math.abs(dx) > MOST}
          onChange={(e) => setTyped({ ...typed, across: e.target.value })}
          sx={{ width: 150 }}
        />
        <ToggleButtonGroup exclusive size="small" value={across} onChange={(_, v: -1 | 1 | null) => v && setAcross(v)}>
          <ToggleButton value={1}>too far right</ToggleButton>
          <ToggleButton value={-1}>too far left</ToggleButton>
        </ToggleButtonGroup>
      </Box>
    </FormDialog>
  );
}
