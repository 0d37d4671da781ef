'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { spokenName } from '../../core/kit/kit';
import { counted } from '../../core/spread/voice';
import type { Outcome } from '../../server/outcome';
import type { TriedWeek } from '../../server/plan-week';
import { useKitName } from '../kit-names';
import { Swatches } from '../Swatches';
import { GLASS } from '../theme';
import type { Offer } from './sort-tried';

/** What the eye minds is said from so many points on. From memory: a blank or two. */
const MINDED = 30;
/** A desk under the pages. */
const DESK = '#EFEBE1';

interface PlanCardProps {
  readonly offer: Offer;
  /** undefined: it is being laid out */
  readonly tried: Outcome<TriedWeek> | undefined;
  readonly best: boolean;
  readonly busy: boolean;
  readonly onTake: () => void;
  /** opens it with nothing laid */
  readonly onBegin: () => void;
}

/** What is shown is the same: what is done with it hangs on the offer alone. */
const isSame = (a: PlanCardProps, b: PlanCardProps): boolean =>
  a.offer === b.offer && a.tried === b.tried && a.best === b.best && a.busy === b.busy;

/** One way to lay the week out, to be taken as it is. */
export const PlanCard = memo(function PlanCard({ offer, tried, best, busy, onTake, onBegin }: PlanCardProps) {
  const called = useKitName();
  const { of: kit } = offer;
  const laid = tried?.ok ? tried.value : null;
  const manner = spokenName(offer.manner);
  const name = `${called(kit.id)}, ${manner}`;
  return (
    <Paper
      component="section"
      aria-label={name}
      data-testid="plan-card"
      sx={{
        p: 1.5,
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 420px',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        borderColor: best ? GLASS.amber : GLASS.edge,
        outline: best ? `1px solid ${GLASS.amber}` : 'none',
      }}
    >
      <Box sx={{ background: DESK, borderRadius: 1.5, p: 0.75 }}>
        {laid ? (
          <img src={laid.picture} alt={`The week with ${name}`} style={{ width: '100%', display: 'block' }} />
        ) : (
          <Skeleton variant="rounded" animation={false} sx={{ width: '100%', height: 'auto', aspectRatio: '1.55' }} />
        )}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minWidth: 0 }}>
        <Typography variant="h3" component="h2" noWrap sx={{ minWidth: 0 }}>
          {called(kit.id)}
        </Typography>
        <Typography variant="body2" color="text.secondary" noWrap sx={{ flex: 1 }}>
          {manner.toLowerCase()}
        </Typography>
        <Swatches colors={kit.swatches} />
      </Box>
      {laid && <Carried {...laid.figures} />}
      {tried && !tried.ok && (
        <Typography variant="body2" color="error">
          {tried.messages.join(' ')}
        </Typography>
      )}
      {!tried && (
        <Typography variant="body2" color="text.secondary">
          Being laid out…
        </Typography>
      )}
      <Typography variant="caption" color="text.secondary" sx={{ minHeight: 34 }}>
        {[
          kit.why,
          laid && `leaves ${Math.max(0, kit.left - laid.figures.taken)} of ${counted(kit.total, 'sticker')}`,
          kit.plannedFor && `meant for ${kit.plannedFor}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Typography>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 'auto' }}>
        {best && (
          <Typography variant="caption" sx={{ color: GLASS.amberDeep, fontWeight: 600 }}>
            Suits best
          </Typography>
        )}
        <Button
          size="small"
          sx={{ ml: 'auto' }}
          aria-label={`Open it empty, with ${name}`}
          disabled={busy}
          onClick={onBegin}
        >
          Open it empty
        </Button>
        <Button
          size="small"
          variant={best ? 'contained' : 'outlined'}
          color={best ? 'secondary' : 'primary'}
          aria-label={`Plan it so, with ${name}`}
          disabled={busy || !laid}
          onClick={onTake}
        >
          Plan it so
        </Button>
      </Box>
    </Paper>
  );
}, isSame);

/** How the items are carried, and what the eye minds. */
function Carried({ items, onStickers, unplaced, boxes, stickers, fromStash, eye, minds }: TriedWeek['figures']) {
  const ink = items - onStickers - unplaced;
  return (
    <>
      <Typography variant="body2" sx={{ color: unplaced ? GLASS.cranberry : GLASS.ink }}>
        {ink || unplaced
          ? [
              `${onStickers} of ${counted(items, 'item')} on stickers`,
              ink && `${ink} in ink`,
              unplaced && `${unplaced} without a place`,
            ]
              .filter(Boolean)
              .join(', ')
          : `All ${counted(items, 'item')} on stickers`}
      </Typography>
      <Typography variant="caption" color="text.secondary">
        {counted(boxes, 'full box', 'full boxes')}, {counted(stickers, 'sticker')}
        {fromStash ? `, ${fromStash} of them from the stash` : ''}
        {eye >= MINDED && minds[0] ? `; ${minds[0]}` : ''}
      </Typography>
    </>
  );
}
