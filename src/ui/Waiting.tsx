import LinearProgress from '@mui/material/LinearProgress';

export function Waiting() {
  return <LinearProgress color="primary" aria-label="Loading" />;
}
