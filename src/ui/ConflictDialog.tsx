import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Question } from './Conflict';
import { FormDialog } from './screen/FormDialog';

/** Another window wrote where this one was about to: nothing is written over it unasked. */
export function ConflictDialog({ messages, decide }: Question) {
  return (
    <FormDialog
      plain
      title="Changed in another window"
      cancel="Back to mine"
      onClose={() => decide('neither')}
      others={
        <Button variant="outlined" onClick={() => decide('theirs')}>
          Keep the other
        </Button>
      }
      act={{ label: 'Write mine over it', run: () => decide('mine') }}
    >
      {messages.map((m) => (
        <Typography key={m} sx={{ overflowWrap: 'anywhere' }}>
          {m}
        </Typography>
      ))}
      <Typography color="text.secondary">What you wrote is still here and not saved.</Typography>
    </FormDialog>
  );
}
