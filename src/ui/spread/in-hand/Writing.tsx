'use client';

import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useState } from 'react';
import { writeOn } from '../../../core/edit/alter';
import type { Placement } from '../../../core/spread/placement';
import { useSpread } from '../store';

/** What is written on it. */
export function Writing({ placement: p }: { placement: Placement }) {
  const context = useSpread((s) => s.context);
  const edit = useSpread((s) => s.edit);
  const [text, setText] = useState(p.text ?? '');
  const [seen, setSeen] = useState(p.text);
  if (seen !== p.text) {
    setSeen(p.text);
    setText(p.text ?? '');
  }
  const label = p.ink ? `Written with ${p.ink}` : 'To be written';
  return (
    <FormControl size="small" fullWidth disabled={p.locked} sx={{ mt: 0.75 }}>
      <InputLabel htmlFor="written">{label}</InputLabel>
      <OutlinedInput
        id="written"
        label={label}
        multiline
        maxRows={3}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => edit(writeOn(context, p, text))}
        onKeyDown={(e) => {
          e.stopPropagation();
          if (e.key === 'Enter' && !e.shiftKey) {
            e.preventDefault();
            (e.target as HTMLElement).blur();
          }
        }}
        slotProps={{ input: { maxLength: 400 } }}
      />
    </FormControl>
  );
}
