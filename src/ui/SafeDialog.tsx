import Button from '@mui/material/Button';
import type { DialogProps } from '@mui/material/Dialog';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';

export interface SafeDialogProps extends Omit<DialogProps, 'onClose' | 'open'> {
  readonly onClose: () => void;
  /** what was brought in and is not stored, beside what was typed; left out: nothing */
  readonly unsaved?: boolean;
  /** it cannot be closed now */
  readonly held?: boolean;
}

/** A dialog with something to fill in: Escape, or a click beside it, asks before what was written is thrown away. */
export function SafeDialog({ onClose, unsaved = false, held = false, children, ...rest }: SafeDialogProps) {
  const touched = useRef(false);
  const [asking, setAsking] = useState(false);
  const touch = () => (touched.current = true);
  const close = () => {
    if (held) return;
    if (unsaved || touched.current) setAsking(true);
    else onClose();
  };
  return (
    <Dialog open onClose={close} onInput={touch} onChange={touch} {...rest}>
      {children}
      {asking && (
        <Dialog open onClose={() => setAsking(false)} maxWidth="xs" aria-labelledby="close-unsaved">
          <DialogTitle id="close-unsaved">Close without saving?</DialogTitle>
          <DialogContent>
            <Typography>What you wrote here is not saved yet.</Typography>
          </DialogContent>
          <DialogActions sx={{ px: 3, pb: 2.5 }}>
            <Button color="error" onClick={onClose}>
              Close, and lose it
            </Button>
            <Button variant="contained" color="secondary" autoFocus onClick={() => setAsking(false)}>
              Go on writing
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </Dialog>
  );
}
