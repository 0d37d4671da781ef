import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';

/** What its owner chose: their own words, those of the other window, or to go on writing. */
export type Choice = 'mine' | 'theirs' | 'neither';

export interface Question {
  readonly messages: readonly string[];
  readonly decide: (choice: Choice) => void;
}

/** Another window wrote where this one was about to: nothing is written over it unasked. */
export function Conflict({ messages, decide }: Question) {
  return (
    <Dialog open onClose={() => decide('neither')} maxWidth="sm" aria-labelledby="meanwhile">
      <DialogTitle id="meanwhile">Changed in another window</DialogTitle>
      <DialogContent>
        {messages.map((m) => (
          <Typography key={m} sx={{ overflowWrap: 'anywhere' }}>
            {m}
          </Typography>
        ))}
        <Typography color="text.secondary" sx={{ mt: 1.5 }}>
          What you wrote is still here and not saved.
        </Typography>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5, flexWrap: 'wrap', gap: 1 }}>
        <Button onClick={() => decide('neither')}>Back to mine</Button>
        <Button variant="outlined" onClick={() => decide('theirs')}>
          Keep the other
        </Button>
        <Button variant="contained" color="secondary" onClick={() => decide('mine')}>
          Write mine over it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
