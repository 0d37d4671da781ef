import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';

const MOST_SHOWN = 8;

/** What is wrong, the first of it in words. */
export function Faults({ faults }: { faults: readonly string[] }) {
  return (
    <>
      {faults.slice(0, MOST_SHOWN).map((m) => (
        <Alert key={m} severity="error">
          {m}
        </Alert>
      ))}
      {faults.length > MOST_SHOWN && <Typography color="error">… and {faults.length - MOST_SHOWN} more.</Typography>}
    </>
  );
}
