'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconGripVertical } from '@tabler/icons-react';
import type { DragEvent, KeyboardEvent } from 'react';
import { useEffect, useRef, useState } from 'react';
import type { StepRun } from '../../core/bench/groups';
import { WORK_ORDERS } from '../../core/bench/orders/registry';
import { sayGroup } from '../../core/bench/say-group';
import { downBefore, sayStep } from '../../core/bench/say-step';
import type { Step } from '../../core/bench/step';
import { sentence } from '../../core/spread/voice';
import { GLASS } from '../theme';
import type { AtBench } from './use-bench';

const DRAGGED = 'DRAGGED';

/** All steps in their order, by what is done together; a group or a step is dragged by its grip, or moved by keys. */
export function RunList({ at: atBench }: { at: AtBench }) {
  const { runs, plan, setPlan, step, drag, bench } = atBench;
  const [over, setOver] = useState<string | null>(null);
  const moved = plan.sequence.length > 0;
  const firstAfter = (run: StepRun): string | null => {
    const last = run.steps.at(-1) as Step;
    return bench.steps[bench.steps.indexOf(last) + 1]?.key ?? null;
  };
  /** by keys: before the run that stands before it, or behind the one after it */
  const byKeys = (e: KeyboardEvent, i: number) => {
    if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
    e.preventDefault();
    e.stopPropagation();
    const beside = runs[e.key === 'ArrowUp' ? i - 1 : i + 1];
    const own = (runs[i] as StepRun).steps.map((s) => s.key);
    if (beside) drag(own, e.key === 'ArrowUp' ? (beside.steps[0] as Step).key : firstAfter(beside));
  };
  const dropOn = (before: string | null) => ({
    onDragOver: (e: DragEvent) => {
      e.preventDefault();
      setOver(before);
    },
    onDragLeave: () => setOver(null),
    onDrop: (e: DragEvent) => {
      e.preventDefault();
      setOver(null);
      const keys = e.dataTransfer.getData('text/plain').split('\n');
      if (keys[0] === DRAGGED) drag(keys.slice(1), before);
    },
  });
  return (
    <Box
      component="nav"
      aria-label="Steps"
      sx={{
        width: { xs: '100%', md: 300, lg: 340 },
        flexShrink: 0,
        borderRight: { md: `1px solid ${GLASS.edge}` },
        background: GLASS.paper,
        overflowY: 'auto',
        py: 1,
        '@media (orientation: portrait)': {
          width: '100%',
          flex: '0 0 32%',
          borderRight: 0,
          borderTop: `1px solid ${GLASS.edge}`,
        },
      }}
    >
      <Box sx={{ px: 2, pt: 0.75, pb: 1 }}>
        <TextField
          select
          fullWidth
          size="small"
          label="Order of work"
          value={moved ? '' : plan.order}
          onChange={(e) => void setPlan({ ...plan, order: e.target.value, sequence: [] })}
          helperText={
            moved ? 'As you dragged it; choose one to go back' : WORK_ORDERS.find((o) => o.name === plan.order)?.says
          }
          slotProps={{ select: { displayEmpty: true, renderValue: () => (moved ? 'Your own' : sentence(plan.order)) } }}
        >
          {WORK_ORDERS.map((o) => (
            <MenuItem key={o.name} value={o.name}>
              {sentence(o.name)}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {runs.map((run, i) => (
        <Run
          key={(run.steps[0] as Step).key}
          run={run}
          atBench={atBench}
          open={step !== undefined && run.steps.includes(step)}
          over={over}
          onKey={(e) => byKeys(e, i)}
          dropOn={dropOn}
        />
      ))}
      <Box sx={{ height: 24 }} {...dropOn(null)} />
    </Box>
  );
}

interface RunProps {
  readonly run: StepRun;
  readonly atBench: AtBench;
  readonly open: boolean;
  readonly over: string | null;
  readonly onKey: (e: KeyboardEvent) => void;
  readonly dropOn: (before: string | null) => object;
}

function Run({ run, atBench, open, over, onKey, dropOn }: RunProps) {
  const { voice, done, bench, go, showWhole, tick, fresh } = atBench;
  const [first] = run.steps as readonly [Step];
  const ticked = run.steps.filter((s) => done.has(s.key)).length;
  const whole = ticked === run.steps.length;
  const name = sayGroup(voice, run.group);
  const marked = run.steps.some((s) => fresh.has(s.key) && !done.has(s.key));
  return (
    <Box>
      <Box
        {...dropOn(first.key)}
        sx={{
          display: 'flex',
          alignItems: 'center',
          px: 0.75,
          borderTop: `2px solid ${over === first.key ? GLASS.amber : 'transparent'}`,
        }}
      >
        <Grip keys={run.steps.map((s) => s.key)} />
        <Checkbox
          size="small"
          checked={whole}
          indeterminate={ticked > 0 && !whole}
          onChange={() =>
            void tick(
              run.steps.map((s) => s.key).filter((key) => done.has(key) === whole),
              !whole,
            )
          }
          slotProps={{ input: { 'aria-label': `${name}: all ${run.steps.length} done` } }}
        />
        <ButtonBase
          onClick={() => {
            go(bench.steps.findIndex((s) => s === (run.steps.find((t) => !done.has(t.key)) ?? first)));
            showWhole(true);
          }}
          onKeyDown={onKey}
          aria-expanded={open}
          sx={{ flex: 1, justifyContent: 'space-between', textAlign: 'left', py: 0.75, pr: 1 }}
        >
          <Typography variant="h3" component="span" sx={{ color: whole ? GLASS.quiet : GLASS.ink }}>
            {name}
            {marked ? ' · new' : ''}
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {ticked ? `${ticked} of ${run.steps.length}` : run.steps.length}
          </Typography>
        </ButtonBase>
      </Box>
      {open && run.steps.map((s) => <StepRow key={s.key} step={s} atBench={atBench} over={over} dropOn={dropOn} />)}
    </Box>
  );
}

function StepRow({
  step,
  atBench,
  over,
  dropOn,
}: { step: Step; atBench: AtBench } & Pick<RunProps, 'over' | 'dropOn'>) {
  const { voice, done, bench, go, showWhole, tick, fresh, step: hand, drag } = atBench;
  const here = useRef<HTMLDivElement>(null);
  const isHere = hand === step;
  useEffect(() => {
    if (isHere) here.current?.scrollIntoView({ block: 'nearest' });
  }, [isHere]);
  const i = bench.steps.indexOf(step);
  return (
    <Box
      ref={here}
      {...dropOn(step.key)}
      sx={{
        display: 'flex',
        alignItems: 'flex-start',
        pl: 1.25,
        pr: 0.75,
        background: isHere ? GLASS.bottleSoft : 'transparent',
        borderLeft: `4px solid ${isHere ? GLASS.amber : 'transparent'}`,
        borderTop: `2px solid ${over === step.key ? GLASS.amber : 'transparent'}`,
      }}
    >
      <Grip keys={[step.key]} />
      <Checkbox
        size="small"
        checked={done.has(step.key)}
        onChange={(e) => void tick([step.key], e.target.checked)}
        slotProps={{ input: { 'aria-label': `Step ${step.n} done` } }}
      />
      <ButtonBase
        onClick={() => {
          go(i);
          showWhole(false);
        }}
        onKeyDown={(e) => {
          if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
          e.preventDefault();
          e.stopPropagation();
          const before = bench.steps[e.key === 'ArrowUp' ? i - 1 : i + 2]?.key ?? null;
          if (e.key === 'ArrowUp' ? i > 0 : i < bench.steps.length - 1) drag([step.key], before);
        }}
        aria-current={isHere ? 'step' : undefined}
        sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left', py: 1 }}
      >
        <Typography variant="body2" sx={{ color: done.has(step.key) ? GLASS.quiet : GLASS.ink }}>
          {step.n}. {sayStep(step, voice, downBefore(bench, step.n))}
          {fresh.has(step.key) && !done.has(step.key) ? ' (new)' : ''}
        </Typography>
      </ButtonBase>
    </Box>
  );
}

function Grip({ keys }: { keys: readonly string[] }) {
  return (
    <Box
      draggable
      aria-hidden
      onDragStart={(e: DragEvent) => e.dataTransfer.setData('text/plain', [DRAGGED, ...keys].join('\n'))}
      sx={{
        color: GLASS.edge,
        cursor: 'grab',
        alignSelf: 'center',
        display: 'flex',
        '&:hover': { color: GLASS.quiet },
      }}
    >
      <IconGripVertical size={16} />
    </Box>
  );
}
