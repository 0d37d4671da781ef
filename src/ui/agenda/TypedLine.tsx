'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import { blankEntry } from '../../core/week/agenda-entry';
import { readTypedLine, spokenEntry } from '../../core/week/typed-line';
import { GLASS } from '../theme';

/** One line that becomes an item; what was understood is said before it is saved. */
export function TypedLine({
  from,
  busy,
  onSave,
  onForm,
}: {
  from: string;
  busy: boolean;
  onSave: (entry: AgendaEntry) => Promise<boolean>;
  onForm: (entry: AgendaEntry) => void;
}) {
  const [text, setText] = useState('');
  const entry = text.trim() ? readTypedLine(text, from) : null;
  const add = async () => {
    if (entry && !busy && (await onSave(entry))) setText('');
  };
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
      sx={{ flex: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <TextField
          fullWidth
          size="small"
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder="vet thu 16:30 for 45 min"
          slotProps={{ htmlInput: { 'aria-label': 'New item', maxLength: 400 } }}
        />
        <Button type="submit" variant="contained" color="secondary" disabled={!entry || busy}>
          Add
        </Button>
        <Button sx={{ whiteSpace: 'nowrap', flexShrink: 0 }} onClick={() => onForm(entry ?? blankEntry(from))}>
          By form
        </Button>
      </Box>
      <Typography
        variant="body2"
        aria-live="polite"
        data-testid="understood"
        sx={{ mt: 0.5, minHeight: 20, color: entry ? GLASS.bottle : GLASS.quiet }}
      >
        {entry
          ? spokenEntry(entry)
          : text.trim()
            ? 'That has a time but no words yet.'
            : 'bins every mon evening · rent due 1st, 2 days before · camp fri-sun · soap list to buy'}
      </Typography>
    </Box>
  );
}
