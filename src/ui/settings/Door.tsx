import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { DoorState } from '../../server/door/keeper';
import { openOrClose } from '../../server/door-actions';
import { SHORTEST_PASSPHRASE } from '../../server/door/shortest';
import type { Run } from '../use-run';

/** Whether the house can be reached from other machines of its network, and under which passphrase. */
export function Door({ door, run, busy }: { door: DoorState; run: Run; busy: boolean }) {
  const [passphrase, setPassphrase] = useState('');
  const given = passphrase.trim();
  const short = given !== '' && given.length < SHORTEST_PASSPHRASE;
  const set = async (open: boolean) => {
    if (await run(() => openOrClose({ open, passphrase: given || null }))) setPassphrase('');
  };
  return (
    <Paper component="section" aria-label="The door" sx={{ p: 3, display: 'flex', flexDirection: 'column', gap: 2 }}>
      <Box>
        <Typography variant="h2">The door</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          {door.open
            ? 'Open: who knows the passphrase can use Hobnail from a tablet or another machine of this network.'
            : 'Closed: Hobnail answers to this machine alone. Opened, a tablet on the table can use it, too.'}
        </Typography>
      </Box>
      {door.trouble && <Alert severity="error">{door.trouble}</Alert>}
      {door.open && (
        <Box data-testid="door-addresses">
          {door.addresses.length === 0 && <Typography>This machine is in no network by now.</Typography>}
          {door.addresses.map((address) => (
            <Typography key={address} sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>
              {address}
            </Typography>
          ))}
        </Box>
      )}
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          void set(true);
        }}
        sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}
      >
        <TextField
          size="small"
          type="password"
          label={door.passphrase ? 'Another passphrase' : 'Passphrase'}
          value={passphrase}
          onChange={(e) => setPassphrase(e.target.value)}
          error={short}
          helperText={short ? `at least ${SHORTEST_PASSPHRASE} letters` : 'some words that only your house knows'}
          autoComplete="new-password"
          slotProps={{ htmlInput: { maxLength: 200 } }}
          sx={{ width: 320 }}
        />
        <Button
          type="submit"
          variant="outlined"
          disabled={busy || short || (door.open ? !given : !given && !door.passphrase)}
          sx={{ mt: 0.25 }}
        >
          {door.open ? 'Change it' : 'Open the door'}
        </Button>
        {door.open && (
          <Button variant="outlined" disabled={busy} onClick={() => void set(false)} sx={{ mt: 0.25 }}>
            Close the door
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary">
        What goes through the door is not encrypted: open it only in a network you trust. Closing it, or another
        passphrase, signs everyone out.
      </Typography>
    </Paper>
  );
}
