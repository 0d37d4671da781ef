'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconFileImport } from '../icons';
import Link from 'next/link';
import { useState } from 'react';
import type { Shelf as ShelfData } from '../../server/shelf';
import { GLASS } from '../theme';
import { Screen, ScreenMain } from '../screen/Screen';
import { FirstSteps } from './FirstSteps';
import { GivenUp } from './GivenUp';
import { TakeInDialog } from './TakeInDialog';
import { WeekCard } from './WeekCard';

/** Home: the weeks in a row, what state each is in, and the way into it. */
export function Shelf({ shelf }: { shelf: ShelfData }) {
  const [takingIn, setTakingIn] = useState(false);
  const toPlan = shelf.weeks.find((w) => w.away >= 1 && w.state === 'to plan');
  const ready = shelf.books.length > 0 && shelf.kits > 0;
  const fresh = shelf.weeks.every((w) => w.spreadId === null);
  return (
    <Screen>
      <ScreenMain>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 2 }}>
          <Typography variant="h1">{ready ? 'The weeks ahead' : 'An empty shelf'}</Typography>
          <Button
            startIcon={<IconFileImport size={18} />}
            onClick={() => setTakingIn(true)}
            sx={{ ml: { sm: 'auto' } }}
          >
            Import a file
          </Button>
        </Box>
        <Typography color="text.secondary" sx={{ mt: 0.5, mb: 2.5 }}>
          {ready
            ? toPlan
              ? `${toPlan.title} is the next week to plan, with ${toPlan.items} ${toPlan.items === 1 ? 'item' : 'items'} so far.`
              : 'Every week here is laid out.'
            : 'Three steps, and the first week can be planned. None needs a file.'}
        </Typography>
        {shelf.demo && (
          <Alert severity="info" sx={{ mb: 2 }}>
            This is the demo: the made-up weeks of a ferry deckhand. To begin your own, stop it and run{' '}
            <code>npm start</code>: that opens a shelf of its own, empty.
          </Alert>
        )}
        {shelf.backupOld && !shelf.demo && (
          <Alert
            severity="warning"
            sx={{ mb: 2 }}
            action={
              <Button color="inherit" size="small" component={Link} href="/settings">
                To the backups
              </Button>
            }
          >
            The last backup is more than a week old, or there is none.
          </Alert>
        )}
        <GivenUp weeks={shelf.givenUp} />
        {fresh && <FirstSteps shelf={shelf} onImport={() => setTakingIn(true)} />}
        {shelf.leftovers && (
          <Typography sx={{ mb: 2 }}>
            <Link href="/plan?kits=begun" style={{ color: GLASS.bottle }}>
              A week from what is left of begun kits
            </Link>
          </Typography>
        )}
        <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(272px, 1fr))' }}>
          {shelf.weeks.map((week) => (
            <WeekCard key={week.week} week={week} next={week === toPlan} canPlan={ready} />
          ))}
        </Box>
      </ScreenMain>
      {takingIn && <TakeInDialog onClose={() => setTakingIn(false)} />}
    </Screen>
  );
}
