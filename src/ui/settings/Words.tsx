import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { TaughtWord } from '../../core/week/taught';
import { forgetWord, teachWord } from '../../server/settings-actions';
import { IconField } from '../fields/IconField';
import type { Run } from '../use-run';

/** Words of the owner's own and the icons they mean: “Juniper” is a dog. */
export function Words({
  taught,
  meanings,
  run,
  busy,
}: {
  taught: readonly TaughtWord[];
  meanings: readonly string[];
  run: Run;
  busy: boolean;
}) {
  const [word, setWord] = useState('');
  const [means, setMeans] = useState('');
  const add = async () => {
    if (!word.trim() || !means) return;
    if (await run(() => teachWord({ word: word.trim(), means }))) setWord('');
  };
  return (
    <Paper component="section" aria-label="Your words" sx={{ p: 3, display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box>
        <Typography variant="h2">Your words</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          Hobnail meets usual words with their icons. Teach it yours: a name, a place, a word of the family’s.
        </Typography>
      </Box>
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
        sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
      >
        <TextField
          size="small"
          label="When an item says"
          value={word}
          onChange={(e) => setWord(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
        <IconField
          label="it gets the icon"
          names={meanings}
          free={false}
          value={means}
          onSay={setMeans}
          sx={{ width: 220 }}
        />
        <Button type="submit" variant="outlined" disabled={busy || !word.trim() || !means}>
          Teach it
        </Button>
      </Box>
      {meanings.length === 0 && <Alert severity="info">No kit has icons yet.</Alert>}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {taught.map((t) => (
          <Chip
            key={t.word}
            label={`${t.word}: ${t.means}`}
            onDelete={() => {
              void run(() => forgetWord({ word: t.word }));
            }}
            disabled={busy}
          />
        ))}
      </Box>
    </Paper>
  );
}
