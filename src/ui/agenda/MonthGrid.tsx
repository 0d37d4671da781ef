'use client';

import { useDroppable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { weekAfter } from '../../core/week/week';
import type { Agenda, MonthDay } from '../../server/agenda';
import { Dots } from '../Dots';
import { GLASS } from '../theme';

const MOST_DOTS = 5;

/** The month: a raised dot for each item of a day; a day leads to its week. */
export function MonthGrid({ agenda }: { agenda: Agenda }) {
  const { week, month, today } = agenda;
  const shown = (week.days[3] as string).slice(0, 7);
  const name = new Date(`${shown}-15T12:00:00Z`).toLocaleDateString('en-US', {
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
  return (
    <Box component="nav" aria-label="Month" sx={{ p: 2, pb: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, mb: 1 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1, whiteSpace: 'nowrap' }}>
          {name}
        </Typography>
        <Button
          size="small"
          sx={{ px: 1, minWidth: 0 }}
          component={Link}
          href={`/agenda?week=${weekAfter(week.week, -4)}`}
        >
          Before
        </Button>
        <Button size="small" sx={{ px: 1, minWidth: 0 }} component={Link} href="/agenda">
          Today
        </Button>
        <Button
          size="small"
          sx={{ px: 1, minWidth: 0 }}
          component={Link}
          href={`/agenda?week=${weekAfter(week.week, 4)}`}
        >
          After
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(7, 1fr)', gap: '2px' }}>
        {['M', 'T', 'W', 'T', 'F', 'S', 'S'].map((d, i) => (
          <Typography key={i} variant="caption" color="text.secondary" sx={{ textAlign: 'center' }}>
            {d}
          </Typography>
        ))}
        {month.map((m) => (
          <MonthCell
            key={m.day}
            cell={m}
            chosen={m.week === week.week}
            outside={!m.day.startsWith(shown)}
            today={today}
          />
        ))}
      </Box>
    </Box>
  );
}

/** A day of the month; what is dropped on it moves there. */
function MonthCell({
  cell: { day, week, items },
  chosen,
  outside,
  today,
}: {
  cell: MonthDay;
  chosen: boolean;
  outside: boolean;
  today: string;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `month ${day}` });
  return (
    <Box
      ref={setNodeRef}
      component={Link}
      href={`/agenda?week=${week}`}
      aria-label={`${Number(day.slice(8))}, ${items} ${items === 1 ? 'item' : 'items'} on ${day}`}
      aria-current={day === today ? 'date' : undefined}
      sx={{
        height: 42,
        p: 0.5,
        textDecoration: 'none',
        color: outside ? GLASS.quiet : GLASS.ink,
        background: chosen || isOver ? GLASS.bottleSoft : 'transparent',
        borderRadius: 1,
        border: `1px solid ${day === today || isOver ? GLASS.amber : 'transparent'}`,
        '&:hover': { background: GLASS.bottleSoft },
      }}
    >
      <Box
        sx={{ display: 'flex', justifyContent: 'space-between', fontSize: 12.5, fontWeight: day === today ? 600 : 500 }}
      >
        {Number(day.slice(8))}
        {items > MOST_DOTS && (
          <Box
            component="span"
            data-count={items}
            sx={{ '&::after': { content: 'attr(data-count)', fontSize: 10.5, color: GLASS.quiet, fontWeight: 500 } }}
          />
        )}
      </Box>
      <Box sx={{ mt: 0.25, lineHeight: 0 }}>
        {items > 0 && <Dots raised={Math.min(items, MOST_DOTS)} size={5} label={`${items}`} />}
      </Box>
    </Box>
  );
}
