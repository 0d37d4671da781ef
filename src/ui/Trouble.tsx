'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { startTransition, useState } from 'react';
import type { Outcome } from '../server/outcome';
import { saidOfDigest } from '../server/say-trouble';
import { Screen, ScreenMain } from './screen/Screen';
import { GLASS } from './theme';

/** An error as the framework hands it on: of one on the server only its digest. */
type Fault = Error & { readonly digest?: string };

/** Something that can be taken back, and may be what stopped the screen. */
interface Back {
  readonly label: string;
  readonly run: () => Promise<Outcome<unknown>>;
}

interface Way {
  readonly to: string;
  readonly label: string;
}

/** A screen that could not be shown: what it was, what is said of it, and the ways on that do not need it. */
function Trouble(props: {
  what: string;
  error: Fault;
  reset: () => void;
  ways: readonly Way[];
  back: Back | undefined;
}) {
  const { what, error, reset, ways, back } = props;
  const [said, setSaid] = useState<readonly string[]>([]);
  const ofStore = saidOfDigest(error.digest);
  const router = useRouter();
  const again = () =>
    startTransition(() => {
      router.refresh(); // what failed on the server is asked for once more
      reset();
    });
  const takeBack = async ({ run }: Back) => {
    const done = await run().catch(() => null);
    if (done?.ok) again();
    else setSaid(done?.messages ?? ['The server could not be reached.']);
  };
  return (
    <Screen>
      <ScreenMain width={720}>
        <Typography variant="h1">{what} cannot be shown</Typography>
        <Typography sx={{ my: 2, overflowWrap: 'anywhere' }}>
          {ofStore ? ofStore.what : 'Something in what it shows could not be worked out.'}
        </Typography>
        <Typography color="text.secondary" sx={{ mb: 3 }}>
          {ofStore ? ofStore.way : 'Only this screen stopped; nothing was changed by it.'}
        </Typography>
        {said.map((m) => (
          <Typography key={m} role="alert" sx={{ mb: 2, color: GLASS.cranberry }}>
            {m}
          </Typography>
        ))}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
          <Button variant="contained" color="secondary" onClick={again}>
            Try again
          </Button>
          {back && !ofStore && (
            <Button variant="outlined" onClick={() => void takeBack(back)}>
              {back.label}
            </Button>
          )}
          {(ofStore ? [] : [...ways, { to: '/', label: 'To the shelf' }]).map(({ to, label }) => (
            <Button key={to} component={Link} href={to} variant="outlined">
              {label}
            </Button>
          ))}
        </Box>
      </ScreenMain>
    </Screen>
  );
}

/** The error page of a screen: by what it is called, where else to go, and what could be taken back. */
export const troublePage = (what: string, ways: readonly Way[], back?: Back) =>
  function ErrorPage({ error, reset }: { error: Fault; reset: () => void }) {
    return <Trouble what={what} error={error} reset={reset} ways={ways} back={back} />;
  };
