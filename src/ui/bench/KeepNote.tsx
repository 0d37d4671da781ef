import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { saveKeepNote } from '../../server/bench-actions';
import type { SpreadData } from '../../server/spread-data';
import { GLASS } from '../theme';
import { useRun } from '../use-run';

/** A word about the week, kept with it: it is saved when the field is left. */
export function KeepNote({ spread }: { spread: SpreadData }) {
  const { run, messages } = useRun();
  const kept = spread.keep?.note ?? '';
  const [note, setNote] = useState(kept);
  return (
    <>
      <TextField
        label="A word about it"
        placeholder="What would you do again, what not?"
        fullWidth
        multiline
        minRows={2}
        value={note}
        onChange={(e) => setNote(e.target.value.slice(0, 2000))}
        onBlur={() => {
          if (note !== kept) void run(() => saveKeepNote({ spreadId: spread.id, note }));
        }}
        helperText={note === kept ? (kept ? 'Kept. The log finds the week by it.' : ' ') : 'It is kept when you go on.'}
        sx={{ mt: 2 }}
      />
      {messages.map((m) => (
        <Typography key={m} role="alert" sx={{ color: GLASS.cranberry }}>
          {m}
        </Typography>
      ))}
    </>
  );
}
