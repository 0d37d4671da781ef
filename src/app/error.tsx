'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: 48 }}>
      <Typography variant="h1">Something gave way</Typography>
      <Typography sx={{ my: 2 }}>What you saved is safe. The page says: {error.message}</Typography>
      <Button variant="contained" onClick={reset}>
        Try again
      </Button>{' '}
      <Button href="/">Back to the shelf</Button>
    </main>
  );
}
