'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { ShelfDay, ShelfWeek } from '../../server/shelf';
import { Dots } from '../Dots';
import { GLASS } from '../theme';
import { Hint } from '../Hint';
import { useKitName } from '../kit-names';
import { SpreadPicture } from '../SpreadPicture';
import { Swatches } from '../Swatches';

const WHEN = (away: number): string =>
  away === 0
    ? 'This week'
    : away === 1
      ? 'Next week'
      : away < 0
        ? away === -1
          ? 'Last week'
          : `${-away} weeks ago`
        : `In ${away} weeks`;
const DAY_NAMES = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const STATE_COLORS = { 'to plan': GLASS.quiet, 'laid out': GLASS.cobalt, 'on paper': GLASS.bottle } as const;
const STUDS = 5;

/** One week on the shelf. */
export function WeekCard({ week, next, canPlan }: { week: ShelfWeek; next: boolean; canPlan: boolean }) {
  const called = useKitName();
  const open = week.spreadId !== null;
  return (
    <Paper
      component="section"
      aria-label={`${WHEN(week.away)}, ${week.title}`}
      sx={{
        p: 2,
        display: 'flex',
        flexDirection: 'column',
        gap: 1.25,
        borderColor: next ? GLASS.amber : GLASS.edge,
        background: week.away < 0 ? 'transparent' : GLASS.paper,
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <Typography variant="h2" component="h2">
          {week.title}
        </Typography>
        <Typography variant="caption" sx={{ color: STATE_COLORS[week.state], fontWeight: 600 }}>
          {week.state}
        </Typography>
      </Box>
      <Typography variant="caption" color="text.secondary" sx={{ mt: -1 }}>
        {WHEN(week.away)} · {week.items} {week.items === 1 ? 'item' : 'items'}
      </Typography>
      <Picture week={week} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(7, 1fr)', gap: 0.5 }}>
        {week.days.map((day) => (
          <DayGauge key={day.name} day={day} />
        ))}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 'auto', minHeight: 34 }}>
        <Swatches colors={week.swatches} />
        <Typography variant="caption" color="text.secondary" noWrap sx={{ flex: 1 }}>
          {week.kit ? called(week.kit) : ''}
        </Typography>
        {open ? (
          <Button
            component={Link}
            href={`/spreads/${week.spreadId}`}
            variant={next ? 'contained' : 'outlined'}
            color={next ? 'secondary' : 'primary'}
            size="small"
          >
            {week.state === 'to plan' ? 'Go on' : 'Open'}
          </Button>
        ) : (
          canPlan && (
            <Button
              component={Link}
              href={`/plan?week=${week.week}`}
              variant={next ? 'contained' : 'outlined'}
              color={next ? 'secondary' : 'primary'}
              size="small"
            >
              Plan this week
            </Button>
          )
        )}
      </Box>
    </Paper>
  );
}

function Picture({ week }: { week: ShelfWeek }) {
  if (week.spreadId === null || week.state === 'to plan') {
    return (
      <Box
        sx={{
          height: 158,
          borderRadius: 1.5,
          border: `1px solid ${GLASS.edge}`,
          display: 'flex',
          alignItems: 'center',
          justifyContent: 'center',
          background: `repeating-linear-gradient(90deg, ${GLASS.milk} 0 12.2%, #EFEBE1 12.2% 12.5%)`,
        }}
      >
        <Typography variant="caption" color="text.secondary" sx={{ background: GLASS.milk, px: 1 }}>
          nothing laid out yet
        </Typography>
      </Box>
    );
  }
  return (
    <Link href={`/spreads/${week.spreadId}`} aria-label={`Open ${week.title}`} tabIndex={-1}>
      <SpreadPicture
        spread={{ id: week.spreadId, revision: week.revision, photo: '' }}
        title={week.title}
        height={158}
      />
    </Link>
  );
}

function DayGauge({ day }: { day: ShelfDay }) {
  const raised = Math.min(STUDS, Math.round(day.full * STUDS));
  const name = DAY_NAMES[new Date(`${day.name}T12:00:00Z`).getUTCDay()] as string;
  const over = day.full > 1;
  return (
    <Hint
      title={`${name} ${day.number}: ${day.items} ${day.items === 1 ? 'item' : 'items'}, ${Math.round(day.full * 100)} % of the column`}
    >
      <Box sx={{ textAlign: 'center' }}>
        <Typography sx={{ fontSize: 11, color: over ? GLASS.cranberry : GLASS.quiet, lineHeight: 1.2 }}>
          {name[0]} {day.number}
        </Typography>
        <Dots
          raised={raised}
          hollow={STUDS - raised}
          size={5}
          color={over ? GLASS.cranberry : GLASS.bottle}
          label={`${name}: ${Math.round(day.full * 100)} % full`}
        />
      </Box>
    </Hint>
  );
}
