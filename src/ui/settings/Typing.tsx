'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import NativeSelect from '@mui/material/NativeSelect';
import OutlinedInput from '@mui/material/OutlinedInput';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { imageOf } from '../../core/format/image-of';
import type { TypingHabits } from '../../core/week/typed/habits';
import { saveTyping } from '../../server/settings-actions';
import type { Run } from '../use-run';

const HOURS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11];

/** How a typed line is read where it can be read two ways. */
export function Typing({ typing, run, busy }: { typing: TypingHabits; run: Run; busy: boolean }) {
  const [habits, setHabits] = useState(typing);
  const same = imageOf(habits) === imageOf(typing);
  const hour = (label: string, which: 'from' | 'to') => (
    <FormControl size="small" sx={{ width: 110 }}>
      <InputLabel htmlFor={`hour-${which}`}>{label}</InputLabel>
      <NativeSelect
        input={<OutlinedInput id={`hour-${which}`} label={label} />}
        value={habits.afterNoon[which]}
        onChange={(e) => setHabits({ ...habits, afterNoon: { ...habits.afterNoon, [which]: Number(e.target.value) } })}
      >
        {HOURS.map((h) => (
          <option key={h} value={h}>
            {h}
          </option>
        ))}
      </NativeSelect>
    </FormControl>
  );
  return (
    <Paper
      component="section"
      aria-label="How you type"
      sx={{ p: 3, display: 'flex', flexDirection: 'column', gap: 2 }}
    >
      <Box>
        <Typography variant="h2">How you type</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          “piano at 4” is after noon, “swim at 8” before it, unless you say otherwise here. Dinner is always in the
          evening.
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <FormControl size="small" sx={{ width: 230 }}>
          <InputLabel htmlFor="date-order">11/02 is</InputLabel>
          <NativeSelect
            input={<OutlinedInput id="date-order" label="11/02 is" />}
            value={habits.dateOrder}
            onChange={(e) => setHabits({ ...habits, dateOrder: e.target.value as TypingHabits['dateOrder'] })}
          >
            <option value="month first">November 2 (month first)</option>
            <option value="day first">11 February (day first)</option>
          </NativeSelect>
        </FormControl>
        {hour('After noon from', 'from')}
        {hour('to', 'to')}
        <Button
          variant="outlined"
          disabled={busy || same}
          onClick={() =>
            void run(
              () => saveTyping({ ...habits, seen: imageOf(typing) }),
              () => saveTyping({ ...habits }),
            )
          }
        >
          Save
        </Button>
      </Box>
    </Paper>
  );
}
