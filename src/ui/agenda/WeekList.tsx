'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import type { Demand } from '../../core/week/demand';
import { spokenTime } from '../../core/week/demand';
import { longDay } from '../../core/week/week';
import type { Agenda } from '../../server/agenda';
import { Dots } from '../Dots';
import { GLASS } from '../theme';

const STUDS = 10;

/** The week day by day, each with how its column would fill; an item opens to be changed. */
export function WeekList({ agenda, search, onOpen }: { agenda: Agenda; search: string; onOpen: (demand: Demand) => void }) {
  const { week, rooms } = agenda;
  const words = search.trim().toLowerCase();
  const shown = week.demands.filter((d) => [d.title, d.list, d.kind, ...d.categories].join(' ').toLowerCase().includes(words));
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflowY: 'auto', display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(250px, 1fr))', gap: 1.5, alignContent: 'start', pb: 2 }}>
      {words && shown.length === 0 && <Typography color="text.secondary">No item of this week has these words.</Typography>}
      {week.days.map((iso, day) => {
        const here = shown.filter((d) => d.day <= day && d.lastDay >= day);
        const { wanted, there } = rooms[day] as { wanted: number; there: number };
        const full = there ? wanted / there : 0;
        const raised = Math.min(STUDS, Math.round(full * STUDS));
        return (
          <Paper key={iso} component="section" aria-label={longDay(iso)} sx={{ p: 1.5 }}>
            <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
              <Typography variant="h3" component="h2" sx={{ flex: 1 }}>{longDay(iso)} {Number(iso.slice(8))}</Typography>
              <Dots raised={raised} hollow={STUDS - raised} size={6} color={full > 1 ? GLASS.cranberry : GLASS.bottle} label={`${Math.round(wanted)} of ${Math.round(there)} mm wanted`} />
            </Box>
            <Typography variant="caption" sx={{ color: full > 1 ? GLASS.cranberry : GLASS.quiet }}>
              {there ? `${Math.round(wanted)} of ${Math.round(there)} mm wanted${full > 1 ? ': it will not hold. Make some of it one list, or move what has no fixed day.' : ''}` : 'no book yet'}
            </Typography>
            {here.length === 0 && <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>nothing</Typography>}
            {here.map((d) => (
              <ButtonBase key={d.key} onClick={() => onOpen(d)} data-testid="agenda-item" sx={{ width: '100%', display: 'flex', gap: 1, justifyContent: 'flex-start', textAlign: 'left', py: 0.35, px: 0.5, borderRadius: 1, '&:hover': { background: GLASS.bottleSoft } }}>
                <Typography variant="caption" color="text.secondary" sx={{ width: 44, flexShrink: 0 }}>{d.start !== null ? spokenTime(d.start) : d.kind === 'band' ? 'days' : d.list ? 'list' : d.part}</Typography>
                <Typography variant="body2" noWrap title={d.title}>{d.title}{d.tentative ? ' ?' : ''}</Typography>
              </ButtonBase>
            ))}
          </Paper>
        );
      })}
    </Box>
  );
}
