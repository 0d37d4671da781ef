'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { startTransition } from 'react';
import { saidOfDigest } from '../server/say-trouble';

/** An error as the framework hands it on: of one on the server only its digest. */
type Fault = Error & { readonly digest?: string };

interface Way {
  readonly to: string;
  readonly label: string;
}

/** A screen that could not be shown: what it was, what is said of it, and the ways on that do not need it. */
function Trouble(props: { what: string; error: Fault; reset: () => void; ways?: readonly Way[] }) {
  const { what, error, reset, ways = [] } = props;
  const ofStore = saidOfDigest(error.digest);
  const router = useRouter();
  const again = () =>
    startTransition(() => {
      router.refresh(); // what failed on the server is asked for once more
      reset();
    });
  return (
    <Box component="main" sx={{ p: 6, maxWidth: 720 }}>
      <Typography variant="h1">{what} cannot be shown</Typography>
      <Typography sx={{ my: 2, overflowWrap: 'anywhere' }}>
        {ofStore ? ofStore.what : 'Something in what it shows could not be worked out.'}
      </Typography>
      <Typography color="text.secondary" sx={{ mb: 3 }}>
        {ofStore ? ofStore.way : 'Only this screen stopped; nothing was changed by it.'}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        <Button variant="contained" color="secondary" onClick={again}>
          Try again
        </Button>
        {(ofStore ? [] : [...ways, { to: '/', label: 'To the shelf' }]).map(({ to, label }) => (
          <Button key={to} component={Link} href={to} variant="outlined">
            {label}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

/** The error page of a screen: by what it is called, and where else to go. */
export const troublePage = (what: string, ways: readonly Way[]) =>
  function ErrorPage({ error, reset }: { error: Fault; reset: () => void }) {
    return <Trouble what={what} error={error} reset={reset} ways={ways} />;
  };
