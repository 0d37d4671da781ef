'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { useState } from 'react';
import { plannedCopies, sayPlanned } from '../../core/kit/planned';
import { tableKits } from '../../core/kit/is-of';
import { copyKey } from '../../core/kit/ledger';
import { totalsOf } from '../../core/bench/totals';
import { isWriting } from '../../core/spread/placement';
import { counted } from '../../core/spread/voice';
import { removePhoto } from '../../server/bench-actions';
import { takePhotoBack } from '../../server/keep-actions';
import type { Outcome } from '../../server/outcome';
import type { SpreadData } from '../../server/spread-data';
import { useKitName } from '../kit-names';
import { GLASS } from '../theme';
import { useRun } from '../use-run';
import { later } from '../later';
import { KeepNote } from './KeepNote';
import { LayoutTaste } from './LayoutTaste';
import { Leftovers } from './Leftovers';
import { Memories } from './Memories';
import { Rating } from './Rating';
import { Taste } from './Taste';
import type { AtBench } from './use-bench';

const StraightenDialog = later(() => import('./StraightenDialog').then((m) => m.StraightenDialog));

/** The end: the spread is on paper, what it looks like, what was loved, what is left, and the next week. */
export function EndCard({
  at,
  spread,
  next,
}: {
  at: AtBench;
  spread: SpreadData;
  next: { readonly week: string; readonly spreadId: number | null };
}) {
  const { bench, done, busy, finished, setFinished, go } = at;
  const open = bench.steps.filter((s) => !done.has(s.key)).length;
  if (!finished)
    return (
      <Box sx={{ maxWidth: 700 }}>
        <Typography variant="h1" component="h2" data-testid="say">
          {open ? `${counted(open, 'step is', 'steps are')} not done yet` : 'Every step is done'}
        </Typography>
        <Typography sx={{ my: 2, fontSize: 16 }}>
          {open
            ? 'Go back to them, or say that the spread is on paper as it is: many write the rest during the week.'
            : 'Is the spread on paper?'}
        </Typography>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          {open > 0 && (
            <Button
              variant="contained"
              color="secondary"
              size="large"
              onClick={() => go(bench.steps.findIndex((s) => !done.has(s.key)))}
            >
              To the next open step
            </Button>
          )}
          <Button
            size="large"
            variant={open ? 'outlined' : 'contained'}
            color={open ? 'primary' : 'secondary'}
            disabled={busy}
            onClick={() => void setFinished(true)}
          >
            It is on paper
          </Button>
        </Box>
      </Box>
    );
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography variant="h1" component="h2" data-testid="say">
          The week is on paper
        </Typography>
        <Button disabled={busy} onClick={() => void setFinished(false)}>
          Not yet
        </Button>
        <Button component={Link} href={`/spreads/${spread.id}/share`}>
          Share
        </Button>
        <Button
          sx={{ ml: 'auto' }}
          component={Link}
          variant="contained"
          color="secondary"
          href={next.spreadId === null ? '/' : `/spreads/${next.spreadId}`}
        >
          {next.spreadId === null ? 'Plan the next week' : 'To the next week'}
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', lg: '1.2fr 1fr' }, alignItems: 'start' }}>
        <Photo spread={spread} />
        <Part name="How did it come out?">
          <Rating spread={spread} />
          <KeepNote spread={spread} />
        </Part>
        <Part name="What did you love, what bothered you?">
          <Taste spread={spread} context={at.context} placements={bench.placements} />
          <Box sx={{ mt: 2 }}>
            <LayoutTaste spread={spread} />
          </Box>
        </Part>
        <Part name="Is this what’s left?">
          <Leftovers context={at.context} placements={bench.placements} />
        </Part>
        <Part name="Empty places, and leftovers for them">
          <Memories key={spread.history.revision} spread={spread} context={at.context} />
        </Part>
        <Part name="What went where">
          <WentWhere at={at} />
        </Part>
      </Box>
    </>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Paper component="section" aria-label={name} sx={{ p: 2 }}>
      <Typography variant="h2" component="h3" sx={{ mb: 1 }}>
        {name}
      </Typography>
      {children}
    </Paper>
  );
}

/** The spread as it was planned, or as it became. */
function Photo({ spread }: { spread: SpreadData }) {
  const { run, busy, messages } = useRun();
  const photo = spread.keep?.photo ?? '';
  const [straightening, setStraightening] = useState(false);
  // the photo as it was before it was straightened
  const [before, setBefore] = useState<string | null>(null);
  const send = async (file: File): Promise<Outcome<unknown>> => {
    const form = new FormData();
    form.set('photo', file);
    return (await (
      await fetch(`/spreads/${spread.id}/photo`, { method: 'POST', body: form })
    ).json()) as Outcome<unknown>;
  };
  return (
    <Part name={photo ? 'How it turned out' : 'As it was planned'}>
      <img
        src={photo ? `/pictures/${photo}` : `/spreads/${spread.id}/picture?v=${spread.history.revision}`}
        alt={photo ? 'A photo of the finished spread' : 'The spread as it was planned'}
        style={{
          width: '100%',
          maxHeight: 380,
          objectFit: 'contain',
          display: 'block',
          background: '#EFEBE1',
          borderRadius: 8,
        }}
      />
      {messages.map((m) => (
        <Typography key={m} role="alert" sx={{ color: GLASS.cranberry, mt: 1 }}>
          {m}
        </Typography>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
        <Button component="label" variant="outlined" disabled={busy}>
          {busy ? 'Keeping it…' : photo ? 'Another photo' : 'Add a photo'}
          <input
            type="file"
            hidden
            accept="image/jpeg,image/png,image/webp"
            data-testid="photo-file"
            onChange={(e) => {
              const [file] = e.target.files ?? [];
              if (file) void run(() => send(file));
              e.target.value = '';
            }}
          />
        </Button>
        {photo && (
          <Button disabled={busy} onClick={() => setStraightening(true)}>
            Straighten
          </Button>
        )}
        {before && photo && (
          <Button
            disabled={busy}
            onClick={() =>
              void run(() => takePhotoBack({ spreadId: spread.id, photo: before })).then(
                (done) => done && setBefore(null),
              )
            }
          >
            As it was
          </Button>
        )}
        {photo && (
          <Button disabled={busy} onClick={() => void run(() => removePhoto({ spreadId: spread.id }))}>
            Remove the photo
          </Button>
        )}
      </Box>
      {straightening && (
        <StraightenDialog
          spreadId={spread.id}
          photo={photo}
          run={run}
          busy={busy}
          onDone={(was) => {
            setBefore(was);
            setStraightening(false);
          }}
          onClose={() => setStraightening(false)}
        />
      )}
    </Part>
  );
}

function WentWhere({ at: { context, bench } }: { at: AtBench }) {
  const called = useKitName();
  const t = totalsOf(context, bench);
  const stickers = bench.placements.filter((p) => !isWriting(p));
  const kits = tableKits(context).filter((k) => stickers.some((p) => p.kit === k.name));
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5, '& li': { mb: 0.5 } }}>
      {kits.map((kit) => {
        const elsewhere = context.usedElsewhere.filter((u) => u.kit === kit.name);
        const gone = new Set(
          [...stickers.filter((p) => p.kit === kit.name), ...elsewhere.filter((u) => !u.plannedFor)].map(copyKey),
        ).size;
        const planned = sayPlanned(plannedCopies(elsewhere));
        const all = kit.pieces.reduce((n, p) => n + p.count, 0);
        const here = new Set(stickers.filter((p) => p.kit === kit.name).map(copyKey)).size;
        return (
          <li key={kit.name}>
            <Link href={`/kits?kit=${encodeURIComponent(kit.name)}`} style={{ color: GLASS.bottle }}>
              {called(kit.name)}
            </Link>
            : {here} on this spread, {Math.max(0, all - gone)} still whole{planned && `, ${planned}`}
          </li>
        );
      })}
      <li>
        {t.kept
          ? `${counted(t.kept, 'leftover')} of what was cut ${t.kept === 1 ? 'is' : 'are'} kept with its kit`
          : 'No leftover worth keeping'}
      </li>
    </Box>
  );
}
