'use client';

import Box from '@mui/material/Box';
import type { Demand } from '../../core/week/demand';
import type { Agenda } from '../../server/agenda';
import { DayCard } from './DayCard';
import type { Run } from '../use-run';

/** The week day by day. @param shows whether an item is wanted by what is searched and filtered for */
export function WeekList({
  agenda,
  shows,
  run,
  busy,
  onOpen,
}: {
  agenda: Agenda;
  shows: (d: Demand) => boolean;
  run: Run;
  busy: boolean;
  onOpen: (demand: Demand) => void;
}) {
  const shown = agenda.week.demands.filter(shows);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fill, minmax(208px, 1fr))',
        gap: 1.5,
        alignContent: 'start',
        pb: 2,
      }}
    >
      {agenda.week.days.map((iso, day) => (
        <DayCard
          key={iso}
          agenda={agenda}
          day={day}
          items={shown.filter((d) => d.day <= day && d.lastDay >= day)}
          run={run}
          busy={busy}
          onOpen={onOpen}
        />
      ))}
    </Box>
  );
}
