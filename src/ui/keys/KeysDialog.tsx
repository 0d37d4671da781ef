'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { keysOf } from './keys';

/** What the keyboard does on a screen. */
export function KeysDialog({ address, onClose }: { address: string; onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="the-keys">
      <DialogTitle id="the-keys">The keys</DialogTitle>
      <DialogContent>
        <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, rowGap: 0.75, m: 0 }}>
          {keysOf(address).map(([key, does]) => [
            <Box component="dt" key={key} sx={{ fontWeight: 600 }}>
              {key}
            </Box>,
            <Box component="dd" key={`${key}-`} sx={{ m: 0 }}>
              {does}
            </Box>,
          ])}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
