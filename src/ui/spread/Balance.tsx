'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { colorName } from '../../core/color/color-name';
import { spokenName } from '../../core/kit/kit';
import { colorAreas, weightOf, whiteSpace } from '../../core/review/balance';
import { givenUp, sayGivenUp } from '../../core/review/given-up';
import { dayColumn } from '../../core/book/columns';
import { longDay, shortDay } from '../../core/week/day-names';
import { GLASS } from '../theme';
import { WeekColors } from './WeekColors';
import { useReview } from './review-context';

const TALL = 96;

/** Color and white space by day, and the weight of both pages, measured and drawn. */
export function Balance() {
  const { view } = useReview();
  const { week, book } = view.context;
  const [left, right] = [weightOf(view, 'left'), weightOf(view, 'right')];
  const share = Math.round((left / Math.max(1, left + right)) * 100);
  return (
    <Box sx={{ display: 'flex', gap: 2, py: 0.5, alignItems: 'flex-start' }} data-testid="balance">
      <Box sx={{ display: 'flex', gap: 1 }}>
        {week.days.map((iso, day) => {
          const column = dayColumn(book, day);
          const white = whiteSpace(view, day);
          const colors = colorAreas(
            view,
            view.placements.filter((p) => p.day === day),
          );
          const sum = colors.reduce((n, c) => n + c.area, 0) || 1;
          const said = `${longDay(iso)}: ${Math.round(white * 100)} of 100 white${colors
            .slice(0, 3)
            .map((c) => `, ${Math.round((c.area / sum) * 100)} of the rest ${colorName(c.color)}`)
            .join('')}`;
          return (
            <Box key={iso} sx={{ textAlign: 'center' }}>
              <svg width={44} height={TALL} role="img" aria-label={said}>
                <title>{said}</title>
                <rect x={0.5} y={0.5} width={43} height={TALL - 1} rx={3} fill="#fff" stroke={GLASS.edge} />
                {
                  colors.reduce<{ y: number; bars: React.ReactNode[] }>(
                    ({ y, bars }, c) => {
                      const h = column ? Math.max(0.5, (c.area / sum) * (1 - white) * (TALL - 2)) : 0;
                      return {
                        y: y - h,
                        bars: [...bars, <rect key={c.color} x={1} y={y - h} width={42} height={h} fill={c.color} />],
                      };
                    },
                    { y: TALL - 1, bars: [] },
                  ).bars
                }
              </svg>
              <Typography variant="caption" component="div">
                {shortDay(iso)}
              </Typography>
              <Typography variant="caption" component="div" color="text.secondary">
                {Math.round(white * 100)}
              </Typography>
            </Box>
          );
        })}
      </Box>
      <WeekColors />
      <Box sx={{ flex: 1, minWidth: 128 }}>
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          Weight of the pages
        </Typography>
        <svg
          width="100%"
          height={26}
          viewBox="0 0 100 26"
          preserveAspectRatio="none"
          role="img"
          aria-label={`Left ${share} of 100, right ${100 - share}`}
        >
          <rect y={6} width={Math.max(0, share - 0.5)} height={14} fill={GLASS.bottle} />
          <rect x={share + 0.5} y={6} width={Math.max(0, 99.5 - share)} height={14} fill={GLASS.cobalt} />
          <rect x={49.8} y={0} width={0.4} height={26} fill={GLASS.ink} />
        </svg>
        <Typography variant="caption" color="text.secondary" component="div">
          left {share}, right {100 - share} of 100, by area and boldness
        </Typography>
        <Typography variant="caption" color="text.secondary" component="div" sx={{ mt: 0.5 }}>
          Under each day: what stays white, of 100.
        </Typography>
        <School />
      </Box>
    </Box>
  );
}

/** Which of its habits the school gave up this week, and why. */
function School() {
  const { view } = useReview();
  const lost = givenUp(view);
  if (!lost.length) return null;
  return (
    <Box component="section" aria-label="Habits given up" sx={{ mt: 0.75 }} data-testid="given-up">
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {spokenName(view.context.manner.name)}, as far as it goes
      </Typography>
      {lost.map((g) => (
        <Typography key={g.habit} variant="caption" component="p" color="text.secondary">
          {sayGivenUp(g, view)}
        </Typography>
      ))}
    </Box>
  );
}
