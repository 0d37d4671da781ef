'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { traits } from '../../core/kit/kinds';
import type { ReadItem, ReadPiece } from '../../core/spread/reading';
import { readingOf } from '../../core/spread/reading';
import { longDay } from '../../core/week/day-names';
import { writtenTime } from '../../core/week/demand';
import { GLASS } from '../theme';
import { useSpread } from './store';
import { FormDialog } from '../screen/FormDialog';

const name = ({ kind, words, locked }: ReadPiece): string =>
  `${kind ? traits(kind).label : 'ink on the paper'}${words ? ` “${words}”` : ''}${locked ? ', locked' : ''}`;

const carried = ({ carriers }: ReadItem): string =>
  carriers.length
    ? `on ${carriers.map((c) => (c.kind ? traits(c.kind).label : 'the paper, in ink')).join(', with ')}`
    : 'no place yet';

/** The spread in words, day by day: for who listens to it, and for who would rather read than look. */
export function ReadingDialog({ onClose }: { onClose: () => void }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const select = useSpread((s) => s.select);
  const show = (id: string | undefined) => {
    if (id === undefined) return;
    select(id);
    onClose();
  };
  return (
    <FormDialog plain title="The week as a list" onClose={onClose}>
      {readingOf(context, placements).map(({ day, items, others }) => (
        <Box component="section" key={day ?? 'beside'} aria-label={day === null ? 'Beside the days' : undefined}>
          <Typography variant="h3" component="h3" sx={{ mt: 2, mb: 0.5 }}>
            {day === null ? 'Beside the days' : longDay(context.week.days[day] as string)}
          </Typography>
          {day !== null && items.length === 0 && <Typography color="text.secondary">Nothing to do.</Typography>}
          <Box component="ul" sx={{ m: 0, pl: 2.5, '& li': { py: 0.25 } }}>
            {items.map((item) => (
              <li key={item.demand.key}>
                <Box
                  component={item.carriers.length ? 'button' : 'span'}
                  type={item.carriers.length ? 'button' : undefined}
                  onClick={() => show(item.carriers[0]?.id)}
                  sx={{
                    all: 'unset',
                    cursor: item.carriers.length ? 'pointer' : 'default',
                    '&:focus-visible': { outline: `2px solid ${GLASS.cobalt}`, borderRadius: 0.5 },
                  }}
                >
                  {`${writtenTime(item.demand)} `.trimStart()}
                  <strong>{item.demand.title}</strong>
                  <Box component="span" sx={{ color: item.carriers.length ? GLASS.quiet : GLASS.cranberry }}>
                    {' '}
                    · {carried(item)}
                  </Box>
                </Box>
              </li>
            ))}
          </Box>
          {others.length > 0 && (
            <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5, overflowWrap: 'anywhere' }}>
              {day === null ? '' : 'Beside them: '}
              {others.map(name).join('; ')}.
            </Typography>
          )}
        </Box>
      ))}
    </FormDialog>
  );
}
