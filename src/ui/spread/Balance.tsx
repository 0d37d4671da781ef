'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import { colorName } from '../../core/color/color-name';
import { sayEye } from '../../core/eye/say-eye';
import { sightOf } from '../../core/eye/sight';
import { pieceKey, spokenName } from '../../core/kit/kit';
import { colorsByDay, weightOf, whiteSpace } from '../../core/review/balance';
import { givenUp, sayGivenUp } from '../../core/review/given-up';
import { byReason, leftOnSheets } from '../../core/review/left-on-sheets';
import { looksName } from '../../core/spread/looks-name';
import { longDay, shortDay } from '../../core/week/day-names';
import { Chart } from '../Chart';
import { GLASS } from '../theme';
import { WeekColors } from './WeekColors';
import { useReview } from './review-context';

/** Color and white space by day, and the weight of both pages, measured and drawn. */
export function Balance() {
  const { view } = useReview();
  const { week } = view.context;
  const [left, right] = [weightOf(view, 'left'), weightOf(view, 'right')];
  const share = Math.round((left / Math.max(1, left + right)) * 100);
  const white = useMemo(() => week.days.map((_, day) => Math.round(whiteSpace(view, day) * 100)), [view, week]);
  const colors = useMemo(() => colorsByDay(view), [view]);
  const days = useMemo(() => week.days.map(shortDay), [week]);
  const whiteChart = useMemo<ApexOptions>(
    () => ({
      chart: { type: 'bar', height: 110 },
      series: [{ name: 'white, %', data: white }],
      colors: [GLASS.bottle],
      plotOptions: { bar: { columnWidth: '64%', borderRadius: 2 } },
      xaxis: { categories: days, labels: { style: { fontSize: '11px' } }, axisTicks: { show: false } },
      yaxis: { max: 100, min: 0, tickAmount: 2, labels: { style: { fontSize: '10px' } } },
    }),
    [white, days],
  );
  const colorChart = useMemo<ApexOptions>(
    () => ({
      chart: { type: 'bar', height: 150, stacked: true, stackType: '100%' },
      series: colors.map((c) => ({ name: colorName(c.color), data: c.areas.map((a) => Math.round(a)) })),
      colors: colors.map((c) => c.color),
      stroke: { width: 0.6, colors: ['#fff'] },
      plotOptions: { bar: { columnWidth: '76%' } },
      xaxis: { categories: days, labels: { style: { fontSize: '11px' } }, axisTicks: { show: false } },
      yaxis: { show: false },
      tooltip: { y: { formatter: (v: number) => `${Math.round(v / 100)} cm²` } },
    }),
    [colors, days],
  );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }} data-testid="balance">
      <Head>White space by day, %</Head>
      <Chart options={whiteChart} label={week.days.map((d, i) => `${longDay(d)} ${white[i]}`).join(', ')} />
      <Head>Colors by day</Head>
      <Chart
        options={colorChart}
        label={colors.map((c) => `${colorName(c.color)} ${Math.round(c.area / 100)} cm²`).join(', ')}
      />
      <WeekColors />
      <Head>Weight of the pages</Head>
      <svg
        width="100%"
        height={22}
        viewBox="0 0 100 22"
        preserveAspectRatio="none"
        role="img"
        aria-label={`Left ${share} %, right ${100 - share} %`}
      >
        <rect y={4} width={Math.max(0, share - 0.5)} height={14} fill={GLASS.bottle} />
        <rect x={share + 0.5} y={4} width={Math.max(0, 99.5 - share)} height={14} fill={GLASS.cobalt} />
        <rect x={49.8} y={0} width={0.4} height={22} fill={GLASS.ink} />
      </svg>
      <Typography variant="caption" color="text.secondary">
        left {share} %, right {100 - share} %, by area and boldness
      </Typography>
      <School />
      <Left />
    </Box>
  );
}

const Head = ({ children }: { children: React.ReactNode }) => (
  <Typography variant="body2" component="h3" sx={{ fontWeight: 600 }}>
    {children}
  </Typography>
);

/** What the eye minds, and what stays on the sheets, piece by piece with the reason. */
function Left() {
  const { view } = useReview();
  const minded = useMemo(() => sayEye(sightOf(view.context, view.placements)), [view]);
  const reasons = useMemo(() => (view.placements.length ? byReason(leftOnSheets(view)) : []), [view]);
  return (
    <>
      {view.placements.length > 0 && (
        <Typography variant="caption" component="p" color="text.secondary" data-testid="eye">
          {minded.length ? `What the eye still minds: ${minded.join('; ')}.` : 'The eye minds nothing here.'}
        </Typography>
      )}
      {reasons.length > 0 && (
        <Box component="section" aria-label="Left on the sheets" data-testid="left-on-sheets">
          <Head>Left on the sheets</Head>
          {reasons.map(({ why, says, left }) => (
            <Box key={why} component="details" sx={{ '& summary': { cursor: 'pointer' } }}>
              <Typography variant="caption" component="summary">
                {says}
              </Typography>
              <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: 12, color: 'text.secondary' }}>
                {left.map(({ piece, copies }) => (
                  <li key={pieceKey(piece)} title={piece.code}>
                    {looksName(piece)}
                    {copies > 1 ? `, ${copies} of them` : ''}
                  </li>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
      )}
    </>
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
