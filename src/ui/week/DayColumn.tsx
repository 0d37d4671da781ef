import Box from '@mui/material/Box';
import Link from 'next/link';
import { longDay } from '../../core/week/day-names';
import type { SpreadOfWeek } from '../../server/this-week';
import { GLASS } from '../theme';

/** A day of the spread as it looks on paper, cut out of its picture; it leads to the book. */
export function DayColumn({ spread, day, iso }: { spread: SpreadOfWeek; day: number; iso: string }) {
  const column = spread.columns[day];
  if (!column || !spread.laid[day]) return null;
  const share = (mm: number, of: number): string => `${(100 * mm) / of}%`;
  return (
    <Box
      component={Link}
      href={`/spreads/${spread.id}`}
      aria-label={`${longDay(iso)} in the book`}
      data-testid="day-column"
      sx={{
        position: 'relative',
        display: 'block',
        flexShrink: 0,
        width: { xs: 96, sm: 132 },
        aspectRatio: `${column.w} / ${column.h}`,
        overflow: 'hidden',
        borderRadius: 1,
        boxShadow: '0 1px 5px #0003',
        background: GLASS.paper,
      }}
    >
      <img
        src={`/spreads/${spread.id}/picture?v=${spread.revision}`}
        alt=""
        decoding="async"
        style={{
          position: 'absolute',
          width: share(spread.whole.w, column.w),
          height: share(spread.whole.h, column.h),
          left: share(-column.x, column.w),
          top: share(-column.y, column.h),
          maxWidth: 'none',
        }}
      />
    </Box>
  );
}
