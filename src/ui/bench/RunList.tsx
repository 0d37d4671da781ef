'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import type { DragEndEvent, DragStartEvent } from '@dnd-kit/core';
import { DndContext, pointerWithin, useDraggable, useDroppable } from '@dnd-kit/core';
import { IconGripVertical } from '../icons';
import type { KeyboardEvent } from 'react';
import { useEffect, useRef, useState } from 'react';
import type { StepRun } from '../../core/bench/groups';
import { WORK_ORDERS } from '../../core/bench/orders/registry';
import { alikeRuns, sayAlike, sayNumbers } from '../../core/bench/alike';
import { sayGroup } from '../../core/bench/say-group';
import { measuresOf } from '../../core/bench/measures';
import type { Step } from '../../core/bench/step';
import { sentence } from '../../core/spread/voice';
import { InHand } from '../drag/InHand';
import { useDragSensors } from '../drag/sensors';
import { GLASS, PHONE } from '../theme';
import type { AtBench } from './use-bench';
import { Choice } from '../fields/Choice';

/** What is dragged by its grip: the steps' keys, and what it is called. */
interface Dragged {
  readonly keys: readonly string[];
  readonly label: string;
}

/** What is dropped there goes before the step with this key; null: to the end. */
interface DropPlace {
  readonly before: string | null;
}

/**
 * All steps in their order, by what is done together; a group or a step is dragged by its grip, with the mouse or by a
 * finger that rests on it, or moved by keys.
 */
export function RunList({ at: atBench }: { at: AtBench }) {
  const { runs, plan, setPlan, step, drag, bench } = atBench;
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const sensors = useDragSensors();
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
  const drop = (e: DragEndEvent) => {
    setDragged(null);
    const { keys } = e.active.data.current as Dragged;
    const place = e.over?.data.current as DropPlace | undefined;
    if (place && !(place.before !== null && keys.includes(place.before))) drag(keys, place.before);
  };
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
        [PHONE]: { order: 1, flex: '0 0 auto' },
      }}
    >
      <Box sx={{ px: 2, pt: 0.75, pb: 1 }}>
        <Choice
          label="Order of work"
          value={moved ? null : plan.order}
          shown={(order) => (order === null ? 'Your own' : sentence(order))}
          options={WORK_ORDERS.map((o) => [o.name, sentence(o.name)] as const)}
          onChange={(chosen) => chosen && void setPlan({ ...plan, order: chosen, sequence: [] })}
          fullWidth
          helperText={
            moved ? 'As you dragged it; choose one to go back' : WORK_ORDERS.find((o) => o.name === plan.order)?.says
          }
        />
      </Box>
      <DndContext
        id="bench"
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragStart={(e: DragStartEvent) => setDragged(e.active.data.current as Dragged)}
        onDragEnd={drop}
        onDragCancel={() => setDragged(null)}
      >
        {runs.map((run, i) => (
          <Run
            key={(run.steps[0] as Step).key}
            run={run}
            atBench={atBench}
            open={step !== undefined && run.steps.includes(step)}
            onKey={(e) => byKeys(e, i)}
          />
        ))}
        <LastPlace />
        <InHand label={dragged?.label ?? null} />
      </DndContext>
    </Box>
  );
}

function useDropBefore(id: string, before: string | null) {
  const place: DropPlace = { before };
  const { setNodeRef, isOver } = useDroppable({ id, data: place });
  return { setNodeRef, line: `2px solid ${isOver ? GLASS.amber : 'transparent'}` };
}

function LastPlace() {
  const { setNodeRef, line } = useDropBefore('the end', null);
  return <Box ref={setNodeRef} sx={{ height: 24, borderTop: line }} />;
}

interface RunProps {
  readonly run: StepRun;
  readonly atBench: AtBench;
  readonly open: boolean;
  readonly onKey: (e: KeyboardEvent) => void;
}

function Run({ run, atBench, open, onKey }: RunProps) {
  const { voice, done, bench, go, showWhole, tick, tickRun, fresh } = atBench;
  const [first] = run.steps as readonly [Step];
  const ticked = run.steps.filter((s) => done.has(s.key)).length;
  const whole = ticked === run.steps.length;
  const name = sayGroup(voice, run.group);
  const { setNodeRef, line } = useDropBefore(`group of ${first.key}`, first.key);
  const marked = run.steps.some((s) => fresh.has(s.key) && !done.has(s.key));
  return (
    <Box>
      <Box ref={setNodeRef} sx={{ display: 'flex', alignItems: 'center', px: 0.75, borderTop: line }}>
        <Grip id={`grip of group ${first.key}`} dragged={{ keys: run.steps.map((s) => s.key), label: name }} />
        <Checkbox
          size="small"
          checked={whole}
          indeterminate={ticked > 0 && !whole}
          onChange={() => {
            if (!whole) return tickRun(run);
            void tick(
              run.steps.map((s) => s.key),
              false,
            );
          }}
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
      {open &&
        alikeRuns(run.steps, voice).map((set) => <StepRow key={(set[0] as Step).key} steps={set} atBench={atBench} />)}
    </Box>
  );
}

/** A step, or several that are alike and done in one go. */
function StepRow({ steps, atBench }: { steps: readonly Step[]; atBench: AtBench }) {
  const [step] = steps as readonly [Step];
  const keys = steps.map((s) => s.key);
  const { voice, done, bench, go, showWhole, tick, fresh, step: hand, drag } = atBench;
  const here = useRef<HTMLDivElement | null>(null);
  const { setNodeRef, line } = useDropBefore(step.key, step.key);
  const isHere = hand !== undefined && steps.includes(hand);
  const ticked = keys.filter((key) => done.has(key)).length;
  const isDone = ticked === keys.length;
  const isNew = steps.some((s) => fresh.has(s.key) && !done.has(s.key));
  useEffect(() => {
    // on a phone the list scrolls with the step at hand, which stays in sight
    if (isHere && !matchMedia(PHONE.replace('@media ', '')).matches) here.current?.scrollIntoView({ block: 'nearest' });
  }, [isHere]);
  const i = bench.steps.indexOf(step);
  const said = sayAlike(steps, voice, measuresOf(voice.context, bench));
  return (
    <Box
      ref={(node: HTMLDivElement | null) => {
        here.current = node;
        setNodeRef(node);
      }}
      sx={{
        display: 'flex',
        alignItems: 'flex-start',
        pl: 1.25,
        pr: 0.75,
        background: isHere ? GLASS.bottleSoft : 'transparent',
        borderLeft: `4px solid ${isHere ? GLASS.amber : 'transparent'}`,
        borderTop: line,
      }}
    >
      <Grip id={`grip of ${step.key}`} dragged={{ keys, label: said }} />
      <Checkbox
        size="small"
        checked={isDone}
        indeterminate={ticked > 0 && !isDone}
        onChange={(e) => void tick(keys, e.target.checked)}
        slotProps={{ input: { 'aria-label': `${steps.length > 1 ? 'Steps' : 'Step'} ${sayNumbers(steps)} done` } }}
      />
      <ButtonBase
        onClick={() => {
          go(bench.steps.indexOf(steps.find((s) => !done.has(s.key)) ?? step));
          showWhole(false);
        }}
        onKeyDown={(e) => {
          if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
          e.preventDefault();
          e.stopPropagation();
          const before = bench.steps[e.key === 'ArrowUp' ? i - 1 : i + steps.length + 1]?.key ?? null;
          if (e.key === 'ArrowUp' ? i > 0 : i + steps.length < bench.steps.length) drag(keys, before);
        }}
        aria-current={isHere ? 'step' : undefined}
        sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left', py: 1 }}
      >
        <Typography variant="body2" sx={{ color: isDone ? GLASS.quiet : GLASS.ink }}>
          {sayNumbers(steps)}. {said}
          {isNew ? ' (new)' : ''}
        </Typography>
      </ButtonBase>
    </Box>
  );
}

function Grip({ id, dragged }: { id: string; dragged: Dragged }) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id, data: dragged });
  return (
    <Box
      ref={setNodeRef}
      {...listeners}
      aria-hidden
      data-testid="grip"
      sx={{
        color: isDragging ? GLASS.amber : GLASS.edge,
        cursor: 'grab',
        alignSelf: 'stretch',
        display: 'flex',
        alignItems: 'center',
        px: 0.5,
        mx: -0.5,
        touchAction: 'none',
        '&:hover': { color: GLASS.quiet },
      }}
    >
      <IconGripVertical size={16} />
    </Box>
  );
}
