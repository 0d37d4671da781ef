'use client';
import { counted } from '../../core/spread/voice';
import { sayCarried, sayWanted } from '../../core/arrange/counting/say-enough';
import { saySubstitute } from '../../core/kit/substitutes';
import type { Unit } from '../../core/measure/fraction';
import { looksName } from '../../core/spread/looks-name';
import { sayMakeshift } from '../../core/arrange/counting/say-makeshift';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import type { Enough } from '../../core/arrange/counting/enough';
import { choosePlanned, saveOrder } from '../../server/kit-actions';
import type { KitWeek, KitsPage } from '../../server/kits';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { useKitName } from '../kit-names';
import { Choice } from '../fields/Choice';
import { money } from '../../core/manner/own-ways';
import { useOwnWays } from '../own-ways';

const USUAL_DAYS = 7;

/** Which kit for which week, and whether it is enough; suggestions where none is chosen. */
export function WeeksAhead({ page, run, busy }: { page: KitsPage; run: Run; busy: boolean }) {
  const called = useKitName();
  if (!page.weeks.length)
    return <Typography color="text.secondary">Add a book first; then you can plan weeks.</Typography>;
  const kits = page.kits.filter((k) => k.role === 'kit');
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, pb: 2 }}>
      {page.pairs.map((p) => (
        <Typography key={p.one + p.other} variant="body2" sx={{ color: GLASS.cobalt }}>
          {called(p.one)} and {called(p.other)} are both begun and go together: between them they may make a week.
        </Typography>
      ))}
      {page.weeks.map((w) => (
        <Week key={w.week} week={w} kits={kits.map((k) => k.name)} unit={page.unit} run={run} busy={busy} />
      ))}
    </Box>
  );
}

/** Kind by kind, what is there against what is needed. */
function AllKinds({ enough }: { enough: readonly Enough[] }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(190px, 1fr))', columnGap: 2, mt: 1 }}>
      {enough.map((e) => (
        <Typography key={e.what} variant="caption" sx={{ color: e.there < e.needed ? GLASS.cranberry : GLASS.quiet }}>
          {sayWanted(e.what)}: {e.needed} needed, {e.there} there
        </Typography>
      ))}
    </Box>
  );
}

interface WeekProps {
  readonly week: KitWeek;
  readonly kits: readonly string[];
  readonly unit: Unit;
  readonly run: Run;
  readonly busy: boolean;
}

function Week({ week: w, kits, unit, run, busy }: WeekProps) {
  const called = useKitName();
  const lacking = w.enough.filter((e) => e.there < e.needed);
  const { currency } = useOwnWays();
  const [open, setOpen] = useState(false);
  const plan = (kit: string | null) => run(() => choosePlanned({ week: w.week, kit }));
  return (
    <Paper component="section" aria-label={w.title} sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ width: 150 }}>
          <Typography variant="h3" component="h2">
            {w.title}
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {counted(w.items, 'item')}
          </Typography>
        </Box>
        {w.spreadId !== null ? (
          <Button component={Link} href={`/spreads/${w.spreadId}`} variant="outlined" size="small">
            {called(w.kit ?? '')}, begun
          </Button>
        ) : (
          <Choice
            label="Kit"
            value={w.kit}
            options={[[null, 'none yet'], ...kits.map((k) => [k, called(k)] as const)]}
            onChange={(chosen) => plan(chosen || null)}
            disabled={busy}
            sx={{ width: 190 }}
          />
        )}
        {w.suggestions.map((s) => (
          <Button key={s.kit} size="small" variant="outlined" disabled={busy} onClick={() => plan(s.kit)}>
            {called(s.kit)}: {s.why}
          </Button>
        ))}
        {w.share > 0 && (
          <Typography variant="body2" color="text.secondary">
            {Math.round(w.share * 100)} % of the kit used
            {w.cost === null ? '' : `, ${money(currency, w.cost)} of its price`}
          </Typography>
        )}
        {w.kit && w.share === 0 && (
          <Button
            size="small"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            sx={{ color: lacking.length ? GLASS.cranberry : GLASS.bottle }}
          >
            {lacking.length
              ? `${lacking.length} of ${w.enough.length} kinds are short`
              : `enough: all ${w.enough.length} kinds are there`}
          </Button>
        )}
      </Box>
      {open && <AllKinds enough={w.enough} />}
      {lacking.map((e) => (
        <Lacking key={e.what} enough={e} days={w.days} unit={unit} run={run} busy={busy} />
      ))}
    </Paper>
  );
}

interface LackingProps {
  readonly enough: Enough;
  readonly days: readonly string[];
  readonly unit: Unit;
  readonly run: Run;
  readonly busy: boolean;
}

function Lacking({ enough: e, days, unit, run, busy }: LackingProps) {
  const called = useKitName();
  const [ordered, setOrdered] = useState(false);
  // what the pen would carry is what a sheet more would save; all that lacks where nothing carries it
  const count = e.carried?.onPaper.reduce((a, b) => a + b, 0) || e.needed - e.there;
  const order = async () => {
    if (
      await run(() =>
        saveOrder({
          id: null,
          order: {
            what: sayWanted(e.what),
            count,
            shop: '',
            days: USUAL_DAYS,
            neededBy: days[0] as string,
            state: 'to order',
          },
        }),
      )
    )
      setOrdered(true);
  };
  return (
    <Box
      role="group"
      aria-label={sayWanted(e.what)}
      sx={{ mt: 1.25, pl: 1.5, borderLeft: `3px solid ${GLASS.cranberry}` }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          {sayWanted(e.what)}: {e.there} of {e.needed}
        </Typography>
        <Button size="small" disabled={busy || ordered} onClick={order} sx={{ py: 0 }}>
          {ordered ? 'on the order list' : `Put ${count} on the order list`}
        </Button>
      </Box>
      {e.carried && (
        <Typography variant="body2" data-testid="carried">
          {sayCarried(e, e.carried, days)}
        </Typography>
      )}
      {e.substitutes.map((s) => (
        <Typography key={`${s.piece.kit}/${s.piece.code}`} variant="caption" component="p" color="text.secondary">
          <Box
            component="span"
            sx={{
              display: 'inline-block',
              width: 10,
              height: 10,
              borderRadius: '50%',
              background: s.piece.color,
              border: '1px solid #0002',
              mr: 0.75,
            }}
          />
          {called(s.piece.kit)}, {looksName(s.piece)}, {s.piece.count}: {saySubstitute(s, unit)}
        </Typography>
      ))}
      {e.makeshift && (
        <Typography variant="caption" component="p" color="text.secondary">
          or {sayMakeshift(e.makeshift)}
        </Typography>
      )}
    </Box>
  );
}
