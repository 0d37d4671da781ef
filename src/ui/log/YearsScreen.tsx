'use client';

import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { shortDay } from '../../core/week/day-names';
import type { WeekOfYear } from '../../server/log/years';
import { SpreadPicture } from '../SpreadPicture';
import { GLASS } from '../theme';

/** One week beside the same week of other years. */
export function YearsScreen({ weeks }: { weeks: readonly WeekOfYear[] }) {
  return (
    <>
      <Typography variant="h1" component="h2" sx={{ mb: 2 }}>
        The same week of every year
      </Typography>
      {weeks.length === 0 && <Typography>Nothing is known of this week in any year.</Typography>}
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(300px, 1fr))' }}>
        {weeks.map((w) => (
          <Paper key={w.week} component="section" aria-label={`${w.title}, ${w.week.slice(0, 4)}`} sx={{ p: 2 }}>
            <Typography variant="h2">
              {w.week.slice(0, 4)}{' '}
              <Typography component="span" color="text.secondary">
                {w.title}
              </Typography>
            </Typography>
            <Box sx={{ my: 1 }}>
              {w.spread && (
                <Link href={`/spreads/${w.spread.id}`} aria-label={`Open ${w.title}, ${w.week.slice(0, 4)}`}>
                  <SpreadPicture spread={w.spread} title={w.title} />
                </Link>
              )}
            </Box>
            <Lines name="Dinners" lines={of(w, 'dinner')} />
            <Lines name="Moments" lines={of(w, 'moment')} />
            <Lines name="It was on" lines={w.items} />
            {w.spread?.note && <Lines name="A word about it" lines={[w.spread.note]} />}
          </Paper>
        ))}
      </Box>
    </>
  );
}

const of = (w: WeekOfYear, what: 'dinner' | 'moment'): string[] =>
  w.records.filter((r) => r.what === what).map((r) => `${shortDay(r.day)}: ${r.text}`);

function Lines({ name, lines }: { name: string; lines: readonly string[] }) {
  if (!lines.length) return null;
  return (
    <>
      <Typography variant="caption" sx={{ color: GLASS.bottle, fontWeight: 600 }}>
        {name}
      </Typography>
      <Typography variant="body2" sx={{ mb: 0.75, overflowWrap: 'anywhere' }}>
        {lines.join(' · ')}
      </Typography>
    </>
  );
}
