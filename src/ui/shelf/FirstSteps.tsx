'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconCircleCheckFilled } from '../icons';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { useState } from 'react';
import type { Shelf } from '../../server/shelf';
import { GLASS } from '../theme';
import { later } from '../later';

const TakeKitDialog = later(() => import('../kits/TakeKitDialog').then((m) => m.TakeKitDialog));

/** From an empty house to a week that can be planned: a book, a kit, the week's items. None needs a file. */
export function FirstSteps({ shelf, onImport }: { shelf: Shelf; onImport: () => void }) {
  const router = useRouter();
  const [adding, setAdding] = useState(false);
  const coming = shelf.weeks.filter((w) => w.away === 1 || w.away === 0).sort((a, b) => b.away - a.away);
  const next = coming.find((w) => w.items > 0) ?? coming[0];
  const has = { kit: shelf.kits > 0, items: (next?.items ?? 0) > 0 };
  return (
    <Box component="section" aria-label="First steps" sx={{ mb: 3 }} data-testid="first-steps">
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fit, minmax(260px, 1fr))' }}>
        <Step n={1} name="Your book" done>
          <Typography variant="body2">
            {shelf.books.length} planners are measured already, from a B6 book to 7 × 9 in. Is yours another one? A
            dozen measures make it.
          </Typography>
          <Button component={Link} href="/books" variant="outlined" size="small">
            Look through the books
          </Button>
        </Step>
        <Step n={2} name="Your kit" done={has.kit}>
          <Typography variant="body2">
            A scan or a photo of its sheets brings every sticker with its size and picture. Or begin with what such a
            kit usually has, in its colors, and correct it.
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Button
              component={Link}
              href="/scan"
              size="small"
              variant={has.kit ? 'outlined' : 'contained'}
              color={has.kit ? 'primary' : 'secondary'}
            >
              Scan a kit
            </Button>
            <Button size="small" variant="outlined" onClick={() => setAdding(true)}>
              From a list
            </Button>
            <Button size="small" onClick={onImport}>
              Import a file
            </Button>
          </Box>
        </Step>
        <Step n={3} name="The week’s items" done={has.items}>
          <Typography variant="body2">
            {has.items
              ? `${next?.items} ${next?.items === 1 ? 'item' : 'items'} to place in the week of ${next?.title}.`
              : 'Type them, a line each: “vet thu 16:30”, “laundry every mon”. A calendar can be followed, too.'}
          </Typography>
          <Button
            component={Link}
            href={next ? `/agenda?week=${next.week}` : '/agenda'}
            size="small"
            variant={has.kit && !has.items ? 'contained' : 'outlined'}
            color={has.kit && !has.items ? 'secondary' : 'primary'}
          >
            To the agenda
          </Button>
        </Step>
      </Box>
      {has.kit && next && (
        <Button component={Link} href={`/plan?week=${next.week}`} variant="contained" color="secondary" sx={{ mt: 2 }}>
          Plan {next.away === 1 ? 'next week' : 'this week'}, {next.title}
        </Button>
      )}
      {adding && (
        <TakeKitDialog
          onClose={() => setAdding(false)}
          onStored={() => {
            setAdding(false);
            router.refresh();
          }}
        />
      )}
    </Box>
  );
}

function Step({ n, name, done, children }: { n: number; name: string; done: boolean; children: ReactNode }) {
  return (
    <Box
      sx={{
        p: 2,
        borderRadius: 1,
        border: `1px solid ${GLASS.edge}`,
        background: GLASS.paper,
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'flex-start',
        gap: 1,
      }}
    >
      <Typography variant="h2" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        {n}. {name}
        {done && <IconCircleCheckFilled size={20} color={GLASS.bottle} role="img" aria-label="done" />}
      </Typography>
      {children}
    </Box>
  );
}
