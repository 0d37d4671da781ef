import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ShortForm } from '../../core/manner/options/short-forms';
import { addShortForm, dropShortForm } from '../../server/settings-actions';
import type { Run } from '../use-run';

/** Words that the owner writes shorter where the whole word does not fit. None is invented. */
export function ShortForms({ forms, run, busy }: { forms: readonly ShortForm[]; run: Run; busy: boolean }) {
  const [word, setWord] = useState('');
  const [short, setShort] = useState('');
  const given = { word: word.trim(), short: short.trim() };
  const longer = given.word !== '' && given.short.length >= given.word.length;
  const several = /\s/.test(given.word);
  const add = async () => {
    if (!(await run(() => addShortForm(given)))) return;
    setWord('');
    setShort('');
  };
  return (
    <Paper
      component="section"
      aria-label="Your short forms"
      sx={{ p: 3, display: 'flex', flexDirection: 'column', gap: 2 }}
    >
      <Box>
        <Typography variant="h2">Your short forms</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          Where a whole word does not fit, even written smaller, your short form is used. Hobnail invents none.
        </Typography>
      </Box>
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
        sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}
      >
        <TextField
          size="small"
          label="Word"
          placeholder="appointment"
          value={word}
          onChange={(e) => setWord(e.target.value)}
          error={several}
          helperText={several ? 'one word' : ' '}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
        <TextField
          size="small"
          label="Short form"
          placeholder="appt"
          value={short}
          onChange={(e) => setShort(e.target.value)}
          error={longer}
          helperText={longer ? 'shorter than the word' : ' '}
          slotProps={{ htmlInput: { maxLength: 20 } }}
        />
        <Button
          type="submit"
          variant="outlined"
          disabled={busy || !given.word || !given.short || longer || several}
          sx={{ mt: 0.25 }}
        >
          Add
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {forms.map((f) => (
          <Chip
            key={f.word}
            label={`${f.word} → ${f.short}`}
            onDelete={() => {
              void run(() => dropShortForm({ word: f.word }));
            }}
            disabled={busy}
          />
        ))}
      </Box>
    </Paper>
  );
}
