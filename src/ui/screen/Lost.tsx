'use client';

import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { GLASS } from '../theme';
import { Screen, ScreenMain } from './Screen';

/** An address under which nothing lies. */
export function Lost() {
  return (
    <Screen>
      <ScreenMain width={720}>
        <Typography variant="h1">There is no such page</Typography>
        <Typography sx={{ my: 2 }}>There is nothing at this address. A deleted week has no page any more.</Typography>
        <Link href="/" style={{ color: GLASS.bottle }}>
          To the shelf
        </Link>
      </ScreenMain>
    </Screen>
  );
}
