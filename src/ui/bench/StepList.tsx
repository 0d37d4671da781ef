'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import type { Step } from '../../core/bench/step';
import type { Unit } from '../../core/measure/fraction';
import { reeled } from '../../core/measure/fraction';
import { GLASS } from '../theme';

/** What the steps are headed by; taking and laying go together. */
type Group = 'lay' | Exclude<Step['do'], 'place' | 'stack'>;

interface StepListProps {
  readonly steps: readonly Step[];
  readonly done: ReadonlySet<string>;
  readonly at: number;
  readonly onGo: (at: number) => void;
  readonly onTick: (key: string, on: boolean) => void;
  /** a step in words */
  readonly say: (step: Step) => string;
  readonly facts: { readonly tape: number; readonly cuts: number; readonly unit: Unit };
}

/** All steps in their order, under the kind of work they are. */
export function StepList({ steps, done, at, onGo, onTick, say, facts }: StepListProps) {
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => {
    here.current?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const heads: Readonly<Record<Group, string>> = {
    'white-out': `White-out · ${reeled(facts.tape, facts.unit)} of tape`,
    cut: `Knife · ${facts.cuts} to cut`,
    lay: 'Order of work',
    write: 'Ink, last',
  };
  const lastLaid = steps.findLastIndex((s) => s.do === 'place' || s.do === 'stack');
  const groupOf = (s: Step): Group =>
    // what is written first belongs to the laying
    s.do === 'place' || s.do === 'stack' || (s.do === 'write' && s.n <= lastLaid) ? 'lay' : s.do;
  return (
    <Box
      component="nav"
      aria-label="Steps"
      sx={{
        width: { xs: 250, lg: 340 },
        flexShrink: 0,
        borderRight: `1px solid ${GLASS.edge}`,
        background: GLASS.paper,
        overflowY: 'auto',
        py: 1,
      }}
    >
      {steps.map((step, i) => {
        const head = i === 0 || groupOf(steps[i - 1] as Step) !== groupOf(step);
        const { key } = step;
        return (
          <Box key={key} ref={i === at ? here : undefined}>
            {head && (
              <Typography variant="h3" component="h2" sx={{ px: 2, pt: 1.5, pb: 0.5 }}>
                {heads[groupOf(step)]}
              </Typography>
            )}
            <Box
              sx={{
                display: 'flex',
                alignItems: 'flex-start',
                px: 0.75,
                background: i === at ? GLASS.bottleSoft : 'transparent',
                borderLeft: `4px solid ${i === at ? GLASS.amber : 'transparent'}`,
              }}
            >
              <Checkbox
                size="small"
                checked={done.has(key)}
                onChange={(e) => onTick(key, e.target.checked)}
                slotProps={{ input: { 'aria-label': `Step ${step.n} done` } }}
              />
              <ButtonBase
                onClick={() => onGo(i)}
                aria-current={i === at ? 'step' : undefined}
                sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left', py: 1 }}
              >
                <Typography variant="body2" sx={{ color: done.has(key) ? GLASS.quiet : GLASS.ink }}>
                  {step.n}. {say(step)}
                </Typography>
              </ButtonBase>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
