'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Link from 'next/link';
import { Dots } from '../Dots';
import { GLASS } from '../theme';
import { tapeLength } from '../../core/bench/strokes';
import { reeled } from '../../core/measure/fraction';
import type { Finding } from '../../core/review/finding';
import { withoutPlace } from '../../core/review/review';
import { stepOf, useReview } from './review-context';
import type { StepName } from './store';
import { useSpread } from './store';

const STEPS: readonly StepName[] = ['Week', 'Kit', 'Base', 'Sidebar', 'Boxes', 'Days', 'Finish', 'Bench'];
/** Texts that stand near the binding. */
const textsOf = (ordinary: readonly Finding[]): number =>
  ordinary.reduce((n, f) => n + (f.rule === 'P3' ? f.placements.length : 0), 0);
const MOST_DOTS = 5;
const WORST = { stop: 'it would not work', fix: 'it would show', look: 'good to know' } as const;

/** The order of work, with what is still open at each step as raised dots: cranberry where the week would not work. */
export function Rail() {
  const step = useSpread((s) => s.step);
  const setStep = useSpread((s) => s.setStep);
  const id = useSpread((s) => s.data.id);
  const { findings, ordinary, view } = useReview();
  const { unit } = view.context.book;
  const tape = view.toWhiteOut.reduce((mm, { strokes }) => mm + tapeLength(strokes), 0);
  // totals of what is to be done there, where nothing is amiss
  const totals = new Map<StepName, string>([
    ...(tape > 0 ? [['Base', `tape ${reeled(tape, unit)}`] as const] : []),
    ...ordinary.flatMap((f) => (f.rule === 'P3' ? [['Bench', `${textsOf(ordinary)} written first`] as const] : [])),
  ]);
  return (
    <Box
      component="nav"
      aria-label="Order of work"
      sx={{
        width: { xs: '100%', md: 78 },
        flexShrink: 0,
        py: { xs: 0.25, md: 1.25 },
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        gap: 0.25,
        borderRight: { md: `1px solid ${GLASS.edge}` },
        borderBottom: { xs: `1px solid ${GLASS.edge}`, md: 'none' },
        background: GLASS.paper,
        overflow: 'auto',
      }}
    >
      {STEPS.map((name) => {
        const here = findings.filter((f) => stepOf(f) === name);
        const open = name === 'Week' ? withoutPlace(view) : here.length;
        const worst =
          name === 'Week'
            ? 'stop'
            : here.some((f) => f.severity === 'stop')
              ? 'stop'
              : here.some((f) => f.severity === 'fix')
                ? 'fix'
                : 'look';
        const color = worst === 'stop' ? GLASS.cranberry : worst === 'fix' ? GLASS.amber : GLASS.cobalt;
        const chosen = step === name;
        const total = totals.get(name);
        const content = (
          <>
            <Box
              component="span"
              sx={{ fontWeight: chosen ? 600 : 500, fontSize: 13.5, color: chosen ? GLASS.bottle : GLASS.ink }}
            >
              {name}
            </Box>{' '}
            {total && (
              <Box component="span" sx={{ fontSize: 11, color: GLASS.quiet, lineHeight: 1.2, textAlign: 'left' }}>
                {total}
              </Box>
            )}{' '}
            <Box component="span" sx={{ height: 9, display: 'flex', alignItems: 'center', gap: 0.5 }}>
              {open > 0 && (
                <Dots
                  raised={Math.min(open, MOST_DOTS)}
                  size={6}
                  color={color}
                  label={`${open} open, ${WORST[worst]}`}
                />
              )}
              {open > 0 && worst === 'stop' && (
                <Box component="span" aria-hidden sx={{ fontSize: 12, fontWeight: 700, lineHeight: 1, color }}>
                  !
                </Box>
              )}
              {open > MOST_DOTS && (
                <Box component="span" aria-hidden sx={{ fontSize: 10.5, color }}>
                  {open}
                </Box>
              )}
            </Box>
          </>
        );
        const sx = {
          flexDirection: 'column',
          alignItems: 'flex-start',
          gap: 0.5,
          flexShrink: 0,
          px: 1.25,
          py: 0.9,
          borderLeft: `4px solid ${chosen ? GLASS.amber : 'transparent'}`,
          background: chosen ? GLASS.bottleSoft : 'transparent',
          '&:hover': { background: GLASS.bottleSoft },
        } as const;
        return name === 'Bench' ? (
          <ButtonBase key={name} component={Link} href={`/spreads/${id}/bench`} sx={sx}>
            {content}
          </ButtonBase>
        ) : (
          <ButtonBase key={name} onClick={() => setStep(chosen ? null : name)} aria-pressed={chosen} sx={sx}>
            {content}
          </ButtonBase>
        );
      })}
    </Box>
  );
}
