'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import { DEMAND_KINDS, PARTS, ROOMS } from '../../core/week/demand';
import { spokenRule } from '../../core/week/typed-line';

interface EntryDialogProps {
  readonly entry: AgendaEntry;
  /** the one day of a series that was opened */
  readonly day: string | null;
  readonly busy: boolean;
  readonly onClose: () => void;
  readonly onSave: (entry: AgendaEntry) => void;
  readonly onRemove: (day: string | null) => void;
}

const clock = (minutes: number | null): string => (minutes === null ? '' : `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`);
const minutesOf = (text: string): number | null => (/^\d{2}:\d{2}$/.test(text) ? Number(text.slice(0, 2)) * 60 + Number(text.slice(3)) : null);

/** All that can be said of an item, by form. */
export function EntryDialog({ entry: given, day, busy, onClose, onSave, onRemove }: EntryDialogProps) {
  const [entry, setEntry] = useState(given);
  const set = (change: Partial<AgendaEntry>) => setEntry((e) => ({ ...e, ...change }));
  const repeats = [null, 'FREQ=DAILY', 'FREQ=WEEKLY', 'FREQ=WEEKLY;INTERVAL=2', 'FREQ=MONTHLY', 'FREQ=YEARLY'];
  const choices = repeats.includes(entry.repeat) ? repeats : [...repeats, entry.repeat];
  const valid = entry.title.trim() !== '' && /^\d{4}-\d{2}-\d{2}$/.test(entry.day);
  const many = given.repeat !== null;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>{given.uid ? (many ? 'Change this series' : 'Change this item') : 'A new item'}</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2, pt: '8px !important' }}>
        <TextField autoFocus label="What" value={entry.title} onChange={(e) => set({ title: e.target.value })} slotProps={{ htmlInput: { maxLength: 400 } }} />
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 2 }}>
          <TextField label={many ? 'First day' : 'Day'} type="date" value={entry.day} onChange={(e) => set({ day: e.target.value })} slotProps={{ inputLabel: { shrink: true } }} />
          <TextField label="Time" type="time" value={clock(entry.start)} onChange={(e) => set({ start: minutesOf(e.target.value) })} slotProps={{ inputLabel: { shrink: true } }} />
          {entry.start === null
            ? <TextField label="Days it lasts" type="number" value={entry.days} onChange={(e) => set({ days: Math.max(1, Math.min(366, Number(e.target.value) || 1)) })} />
            : <TextField label="Minutes" type="number" value={entry.minutes ?? ''} onChange={(e) => set({ minutes: Number(e.target.value) > 0 ? Math.min(1440, Math.round(Number(e.target.value))) : null })} />}
          <TextField select label="Kind" value={entry.kind ?? ''} onChange={(e) => set({ kind: (e.target.value || null) as AgendaEntry['kind'] })}>
            <MenuItem value="">as it seems</MenuItem>
            {DEMAND_KINDS.map((k) => <MenuItem key={k} value={k}>{k}</MenuItem>)}
          </TextField>
          <TextField select label="Part of day" disabled={entry.start !== null} value={entry.part ?? ''} onChange={(e) => set({ part: (e.target.value || null) as AgendaEntry['part'] })}>
            <MenuItem value="">as usual</MenuItem>
            {PARTS.map((p) => <MenuItem key={p} value={p}>{p}</MenuItem>)}
          </TextField>
          <TextField select label="Room it wants" value={entry.room ?? ''} onChange={(e) => set({ room: (e.target.value || null) as AgendaEntry['room'] })}>
            <MenuItem value="">by its text</MenuItem>
            {ROOMS.map((r) => <MenuItem key={r} value={r}>{r}</MenuItem>)}
          </TextField>
          <TextField label="On the list" value={entry.list ?? ''} onChange={(e) => set({ list: e.target.value || null })} slotProps={{ htmlInput: { maxLength: 100 } }} />
          <TextField select label="Comes round" value={entry.repeat ?? ''} onChange={(e) => set({ repeat: e.target.value || null })}>
            {choices.map((r) => <MenuItem key={r ?? 'once'} value={r ?? ''}>{r ? spokenRule(r) : 'once'}</MenuItem>)}
          </TextField>
          <TextField label="Planned days before" type="number" value={entry.leadDays} onChange={(e) => set({ leadDays: Math.max(0, Math.min(60, Math.round(Number(e.target.value) || 0))) })} />
        </Box>
        <Box>
          <FormControlLabel control={<Switch checked={entry.tentative} onChange={(e) => set({ tentative: e.target.checked })} />} label="Not sure yet" />
          <FormControlLabel control={<Switch checked={entry.task} onChange={(e) => set({ task: e.target.checked })} />} label="A task to tick" />
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5 }}>
        {given.uid && day && <Button color="error" disabled={busy} onClick={() => onRemove(day)}>Take this day out</Button>}
        {given.uid && <Button color="error" disabled={busy} onClick={() => onRemove(null)} sx={{ mr: 'auto' }}>{many ? 'Take the series out' : 'Take it out'}</Button>}
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" color="secondary" disabled={!valid || busy} onClick={() => onSave({ ...entry, title: entry.title.trim() })}>Save</Button>
      </DialogActions>
    </Dialog>
  );
}
