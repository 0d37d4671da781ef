'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { serve, wishesFor } from '../../../core/edit/serve';
import type { Placement } from '../../../core/spread/placement';
import { writtenText } from '../../../core/week/demand';
import { shortDay } from '../../../core/week/day-names';
import { useSpread } from '../store';
import { Choice } from './Choice';

const MOST = 4;

/** A base that carries nothing yet is asked what it is for. */
export function Wishes({ placement: p }: { placement: Placement }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const wishes = useMemo(() => wishesFor(context, placements, p.id).slice(0, MOST), [context, placements, p.id]);
  if (!wishes.length || p.locked) return null;
  return (
    <Box role="group" aria-label="What is it for?" data-testid="wishes">
      <Typography variant="body2" sx={{ fontWeight: 600, mb: 0.5 }}>
        What is it for?
      </Typography>
      {wishes.map(({ demand }) => {
        const change = serve(context, placements, p.id, demand.key);
        return (
          <Choice key={demand.key} onTake={() => edit(change)} change={change} testId="wish">
            {demand.day === p.day ? '' : `${shortDay(context.week.days[demand.day] as string)}: `}
            {writtenText(demand).slice(0, 60)}
          </Choice>
        );
      })}
    </Box>
  );
}
