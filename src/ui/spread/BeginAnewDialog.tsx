'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';

/** Whether all that is not locked shall be arranged again, or the week given up. */
export function BeginAnewDialog({
  onClose,
  onGiveUp,
  onArrange,
}: {
  onClose: () => void;
  onGiveUp: () => void;
  onArrange: () => void;
}) {
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>Begin this week anew?</DialogTitle>
      <DialogContent>
        <Typography>Everything that is not locked is lifted and arranged again. Undo brings it back.</Typography>
        <Typography color="text.secondary" sx={{ mt: 1.5 }}>
          To choose another book or kit, delete this spread: it goes for good, and its stickers are free again.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button color="error" onClick={onGiveUp} sx={{ mr: 'auto' }}>
          Delete this spread
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" color="secondary" onClick={onArrange}>
          Arrange anew
        </Button>
      </DialogActions>
    </Dialog>
  );
}
