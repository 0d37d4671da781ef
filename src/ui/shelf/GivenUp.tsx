import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { Shelf } from '../../server/shelf';
import { takeUpSpread } from '../../server/bench-actions';
import { useRun } from '../use-run';

/** A week that was given up last, and the way back to it. */
export function GivenUp({ weeks }: { weeks: Shelf['givenUp'] }) {
  const { run, busy, messages } = useRun();
  const [last] = weeks;
  if (!last) return null;
  return (
    <Alert
      severity={messages.length ? 'error' : 'info'}
      sx={{ mb: 2 }}
      action={
        <Button
          color="inherit"
          size="small"
          disabled={busy}
          onClick={() => void run(() => takeUpSpread({ id: last.id }))}
        >
          Take it up again
        </Button>
      }
    >
      {messages.length ? messages.join(' ') : `${last.title} was given up.`}
    </Alert>
  );
}
