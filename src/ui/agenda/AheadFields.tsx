'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { IconX } from '../icons';
import { useState } from 'react';
import { isCounted } from '../../core/week/age';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import { wholeOf } from './clock';

const MOST_DAYS = 366;

/** What an item asks of the days before it, and of other items. */
export function AheadFields({
  entry,
  routines,
  set,
}: {
  entry: AgendaEntry;
  routines: readonly string[];
  set: (change: Partial<AgendaEntry>) => void;
}) {
  const [counted, setCounted] = useState(entry.countdown.join(', '));
  const others = routines.filter((r) => r !== entry.title);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2, alignItems: 'center' }}>
      <TextField
        label="Planned days before"
        type="number"
        value={entry.leadDays}
        onChange={(e) => set({ leadDays: wholeOf(e.target.value, 0, MOST_DAYS) })}
      />
      <FormControlLabel
        disabled={entry.leadDays === 0}
        control={<Switch checked={entry.dueShown} onChange={(e) => set({ dueShown: e.target.checked })} />}
        label="Show on its day as due, too"
      />
      <TextField
        label="Count the days left"
        placeholder="30, 7, 1"
        value={counted}
        helperText="days before, with commas between"
        onChange={(e) => {
          setCounted(e.target.value);
          set({
            countdown: [
              ...new Set(
                e.target.value
                  .split(/[^\d]+/)
                  .map(Number)
                  .filter((n) => n > 0 && n <= MOST_DAYS),
              ),
            ]
              .sort((a, b) => b - a)
              .slice(0, 20),
          });
        }}
      />
      {isCounted(entry.title, []) ? (
        <TextField
          label="Counted from the year"
          type="number"
          value={entry.since || ''}
          onChange={(e) => set({ since: wholeOf(e.target.value, 0, 9999) })}
          helperText={entry.since ? ' ' : 'its number is shown once this is known'}
        />
      ) : (
        <Autocomplete
          freeSolo
          options={others}
          value={entry.onlyWith ?? ''}
          onInputChange={(_, value) => set({ onlyWith: value.trim() || null })}
          renderInput={(params) => (
            <TextField
              {...params}
              label="Only in weeks with"
              placeholder="payday"
              helperText="the title of another item"
            />
          )}
        />
      )}
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column', gap: 1 }}>
        {entry.reminders.map((r, i) => {
          const change = (to: Partial<typeof r>) =>
            set({ reminders: entry.reminders.map((x, j) => (j === i ? { ...x, ...to } : x)) });
          return (
            <Box key={i} sx={{ display: 'flex', gap: 1 }}>
              <TextField
                size="small"
                label="Days before"
                type="number"
                value={r.days}
                onChange={(e) => change({ days: wholeOf(e.target.value, 1, MOST_DAYS) })}
                sx={{ width: 120 }}
              />
              <TextField
                size="small"
                fullWidth
                label="Write then"
                placeholder="post the parcel"
                value={r.text}
                onChange={(e) => change({ text: e.target.value })}
                slotProps={{ htmlInput: { maxLength: 300 } }}
              />
              <IconButton
                aria-label={`Remove reminder ${i + 1}`}
                onClick={() => set({ reminders: entry.reminders.filter((_, j) => j !== i) })}
              >
                <IconX size={16} />
              </IconButton>
            </Box>
          );
        })}
        <Button
          size="small"
          sx={{ alignSelf: 'flex-start' }}
          onClick={() => set({ reminders: [...entry.reminders, { days: 5, text: '' }] })}
        >
          Add a reminder before it
        </Button>
      </Box>
      {entry.days > 1 && entry.start === null && (
        <Autocomplete
          multiple
          freeSolo
          sx={{ gridColumn: '1 / -1' }}
          options={['chores', 'routines', ...others]}
          value={[...entry.quiet]}
          onChange={(_, quiet) => set({ quiet: quiet.map((q) => q.replaceAll(',', ' ').trim()).filter(Boolean) })}
          renderInput={(params) => (
            <TextField
              {...params}
              label="While it lasts, these rest"
              helperText="“chores” are all chores and lists that come round, “routines” all that comes round but birthdays"
            />
          )}
        />
      )}
    </Box>
  );
}
