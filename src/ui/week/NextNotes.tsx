import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import TextField from '@mui/material/TextField';
import type { DayRecord } from '../../core/keep/day-record';
import { plus } from '../../core/week/typed/calendar-days';
import { makeNoteAnItem } from '../../server/agenda-actions';
import type { ThisWeek } from '../../server/this-week';
import type { Run } from '../use-run';
import { Part } from './Part';
import type { Records } from './use-records';

/** Notes for the next week, and those that were made for this one: each becomes an item when its owner says so. */
export function NextNotes({ data, records, run }: { data: ThisWeek; records: Records; run: Run }) {
  const [text, setText] = useState('');
  const first = data.week.days[0] as string;
  const next = plus(first, 7);
  const notes = (day: string) => records.all.filter((r) => r.what === 'note' && r.day === day && r.text !== '');
  const now = notes(first);
  const to = data.week.days.includes(data.today) ? data.today : first;
  const remove = (note: DayRecord) => void records.put({ ...note, text: '', amount: 0 });
  return (
    <Part name="Notes">
      {now.map((note) => (
        <Box key={note.name} role="group" aria-label={note.text} sx={{ mb: 1 }}>
          <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
            {note.text}
          </Typography>
          <Button size="small" onClick={() => void run(() => makeNoteAnItem({ note: { ...note }, to }))}>
            Make it an item
          </Button>
          <Button size="small" onClick={() => remove(note)}>
            Remove
          </Button>
        </Box>
      ))}
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          const kept = text.trim();
          if (!kept) return;
          const names = new Set(notes(next).map((n) => n.name));
          let n = 1;
          while (names.has(String(n))) n++;
          void records.put({ day: next, what: 'note', name: String(n), amount: 0, text: kept }).then((done) => {
            if (done) setText('');
          });
        }}
        sx={{ display: 'flex', gap: 1 }}
      >
        <TextField
          fullWidth
          size="small"
          label="For next week"
          value={text}
          onChange={(e) => setText(e.target.value.slice(0, 400))}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Button type="submit" variant="outlined" disabled={!text.trim()}>
          Note
        </Button>
      </Box>
      {notes(next).map((note) => (
        <Box key={note.name} sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
          <Typography variant="body2" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
            {note.text}
          </Typography>
          <Button size="small" aria-label={`Remove ${note.text}`} onClick={() => remove(note)}>
            Remove
          </Button>
        </Box>
      ))}
    </Part>
  );
}
