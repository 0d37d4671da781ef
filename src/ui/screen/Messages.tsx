import type { AlertColor } from '@mui/material/Alert';
import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';

const MOST_SHOWN = 8;

interface MessagesProps {
  readonly of: readonly string[];
  /** takes them all away; left out: they go with what caused them */
  readonly onClose?: () => void;
  readonly severity?: AlertColor;
  /** right across a screen, under its bar */
  readonly across?: boolean;
}

/** What went wrong, or was done: a bar each, the first of many. */
export function Messages({ of, onClose, severity = 'error', across = false }: MessagesProps) {
  return (
    <>
      {of.slice(0, MOST_SHOWN).map((m) => (
        <Alert
          key={m}
          severity={severity}
          {...(onClose && { onClose })}
          sx={{ overflowWrap: 'anywhere', ...(across && { borderRadius: 0 }) }}
        >
          {m}
        </Alert>
      ))}
      {of.length > MOST_SHOWN && <Typography color="error">… and {of.length - MOST_SHOWN} more.</Typography>}
    </>
  );
}
