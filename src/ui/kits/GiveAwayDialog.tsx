'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useKitName } from '../kit-names';
import { useOwnWays } from '../own-ways';
import { FormDialog } from '../screen/FormDialog';

/** A kit as a file for somebody else, with a word to go with it, and its card to print. */
export function GiveAwayDialog({ name, onClose }: { name: string; onClose: () => void }) {
  const called = useKitName();
  const { unit } = useOwnWays();
  const [note, setNote] = useState('');
  const kit = `/kits/${encodeURIComponent(name)}`;
  return (
    <FormDialog plain title={<>Give {called(name)} away</>} size="sm" onClose={onClose} cancel="Close">
      <Typography>
        One file with its list, its pictures and its colors, for another Hobnail: “Add a kit”, “From a file” reads it
        there. Nothing goes along of what you used, paid or wrote of it.
      </Typography>
      <TextField
        label="A note to go with it"
        multiline
        minRows={2}
        value={note}
        onChange={(e) => setNote(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          component="a"
          variant="contained"
          color="secondary"
          download=""
          href={`${kit}/give?note=${encodeURIComponent(note.trim())}`}
        >
          Save the file
        </Button>
        <Button
          component="a"
          variant="outlined"
          target="_blank"
          href={`${kit}/print?paper=${unit === 'in' ? 'Letter' : 'A4'}`}
        >
          Print its card
        </Button>
      </Box>
    </FormDialog>
  );
}
