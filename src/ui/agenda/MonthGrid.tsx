'use client';

import { useDroppable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { IconChevronDown } from '../icons';
import Link from 'next/link';
import { useState } from 'react';
import { counted } from '../../core/spread/voice';
import { longDate, longDay } from '../../core/week/day-names';
import { weekAfter } from '../../core/week/week';
import type { Agenda, MonthDay } from '../../server/agenda';
import { Dots } from '../Dots';
import { GLASS } from '../theme';

const MOST_DOTS = 5;

/** On a narrow window the month is closed, and shows its week alone. */
const narrow = (shown: boolean) => ({ display: { xs: shown ? undefined : 'none', md: 'none' } }) as const;
const WIDE = { display: { xs: 'none', md: 'inline-flex' } } as const;

/**
 * The month: a raised dot for each item of a day; a day leads to its week. On a narrow window it is that week alone,
 * until it is opened.
 * @param asked how many things are to settle
 */
export function MonthGrid({ agenda, asked, onAsked }: { agenda: Agenda; asked: number; onAsked: () => void }) {
  const { week, month, today } = agenda;
  const [open, setOpen] = useState(false);
  const shown = (week.days[3] as string).slice(0, 7);
  const name = new Date(`${shown}-15T12:00:00Z`).toLocaleDateString('en-US', {
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
  const way = (label: string, weeks: number, sx: object) => (
    <Button
      size="small"
      sx={{ px: 1, minWidth: 0, ...sx }}
      component={Link}
      href={weeks ? `/agenda?week=${weekAfter(week.week, weeks)}` : '/agenda'}
    >
      {label}
    </Button>
  );
  return (
    <Box component="nav" aria-label="Month" sx={{ p: 2, pb: 1, width: '100%', background: GLASS.paper }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: { xs: 0, md: 0.5 }, mb: 1, flexWrap: 'wrap' }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1, whiteSpace: 'nowrap' }}>
          {name}
        </Typography>
        {asked > 0 && (
          <Button size="small" color="secondary" onClick={onAsked} sx={{ px: 1, minWidth: 0, ...narrow(true) }}>
            {asked} to settle
          </Button>
        )}
        {way('Before', -1, narrow(!open))}
        {way('Before', -4, open ? {} : WIDE)}
        {way('Today', 0, {})}
        {way('After', 1, narrow(!open))}
        {way('After', 4, open ? {} : WIDE)}
        <IconButton
          size="small"
          aria-expanded={open}
          aria-label={open ? 'This week alone' : 'The whole month'}
          onClick={() => setOpen(!open)}
          sx={{ ...narrow(true), transform: open ? 'rotate(180deg)' : undefined }}
        >
          <IconChevronDown size={20} />
        </IconButton>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(7, 1fr)', gap: '2px' }}>
        {week.days.map((day) => (
          <Typography key={day} variant="caption" color="text.secondary" sx={{ textAlign: 'center' }}>
            {longDay(day).charAt(0)}
          </Typography>
        ))}
        {month.map((m) => (
          <MonthCell
            key={m.day}
            cell={m}
            chosen={m.week === week.week}
            closed={!open && m.week !== week.week}
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
  closed,
  outside,
  today,
}: {
  cell: MonthDay;
  chosen: boolean;
  /** not shown on a narrow window */
  closed: boolean;
  outside: boolean;
  today: string;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `month ${day}` });
  return (
    <Box
      ref={setNodeRef}
      component={Link}
      href={`/agenda?week=${week}`}
      aria-label={`${longDate(day)}, ${counted(items, 'item')}`}
      aria-current={day === today ? 'date' : undefined}
      sx={{
        display: { xs: closed ? 'none' : 'block', md: 'block' },
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
