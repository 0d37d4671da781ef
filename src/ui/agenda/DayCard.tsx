'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Checkbox from '@mui/material/Checkbox';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { fine } from '../../core/measure/fraction';
import { IconGripVertical } from '../icons';
import { useState } from 'react';
import type { Relief } from '../../core/arrange/counting/relief';
import { GATHERED } from '../../core/arrange/counting/relief';
import type { Demand } from '../../core/week/demand';
import { writtenTime } from '../../core/week/demand';
import { isTicked, markKey } from '../../core/week/undone';
import { longDay } from '../../core/week/day-names';
import { weekAfter, daysOfWeek } from '../../core/week/week';
import type { Agenda } from '../../server/agenda';
import { gatherItems, markItem, moveItems } from '../../server/agenda-actions';
import { Dots } from '../Dots';
import { GLASS } from '../theme';
import { canMove, type Dragged } from './drag';
import type { Run } from '../use-run';
import { occurrenceOf } from './occurrence-of';

const STUDS = 10;

interface DayCardProps {
  readonly agenda: Agenda;
  readonly day: number;
  readonly items: readonly Demand[];
  readonly run: Run;
  readonly busy: boolean;
  readonly onOpen: (d: Demand) => void;
}

/**
 * A day: how its column would fill, its items by time, its lists as a whole; things are dropped on it to move them
 * here.
 */
export function DayCard({ agenda, day, items, run, busy, onOpen }: DayCardProps) {
  const iso = agenda.week.days[day] as string;
  const { wanted, there } = agenda.fills[day] as Agenda['fills'][number];
  const { setNodeRef, isOver } = useDroppable({ id: iso });
  const said = `${fine(wanted, agenda.unit)} of ${fine(there, agenda.unit)} wanted`;
  const full = there ? wanted / there : 0;
  const raised = Math.min(STUDS, Math.round(full * STUDS));
  const lists = [...new Set(items.flatMap((d) => (d.list ? [d.list] : [])))];
  const shared = { agenda, run, busy, onOpen };
  return (
    <Paper
      ref={setNodeRef}
      component="section"
      aria-label={longDay(iso)}
      sx={{
        p: 1.5,
        outline: isOver ? `2px solid ${GLASS.amber}` : 'none',
        borderColor: iso === agenda.today ? GLASS.amber : undefined,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          {longDay(iso)} {Number(iso.slice(8))}
        </Typography>
        <Dots
          raised={raised}
          hollow={STUDS - raised}
          size={6}
          color={full > 1 ? GLASS.cranberry : GLASS.bottle}
          label={said}
        />
      </Box>
      <Typography variant="caption" component="p" sx={{ color: full > 1 ? GLASS.cranberry : GLASS.quiet, mb: 0.5 }}>
        {there ? `${said}${full > 1 ? ': too full' : ''}` : 'no book yet'}
      </Typography>
      <WaysOut agenda={agenda} day={day} run={run} busy={busy} />
      {items.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          Nothing on this day
        </Typography>
      )}
      {items
        .filter((d) => !d.list)
        .map((d) => (
          <Item key={d.key} demand={d} {...shared} />
        ))}
      {lists.map((list) => (
        <List key={list} list={list} rows={items.filter((d) => d.list === list)} {...shared} />
      ))}
    </Paper>
  );
}

/** The cheapest ways out of a day that will not hold, each with what it comes to (handbook D5). */
function WaysOut({ agenda, day, run, busy }: Pick<DayCardProps, 'agenda' | 'day' | 'run' | 'busy'>) {
  const [open, setOpen] = useState(false);
  const ways = agenda.relief[day] as readonly Relief[];
  if (!ways.length) return null;
  const of = (r: Relief): Demand[] => agenda.week.demands.filter((d) => r.keys.includes(d.key));
  const names = (r: Relief): string => {
    const ds = of(r);
    return ds[0]?.list && r.way !== 'list'
      ? `the list “${ds[0].list}”`
      : ds.length > 2
        ? `${ds.length} items`
        : ds.map((d) => `“${d.title}”`).join(' and ');
  };
  const say = (r: Relief): string =>
    r.way === 'list'
      ? `Make ${names(r)} one list`
      : r.way === 'move'
        ? `Move ${names(r)} to ${longDay(agenda.week.days[r.to as number] as string)}`
        : `Carry ${names(r)} to next week`;
  const take = (r: Relief) => {
    const items = of(r).map(occurrenceOf);
    if (r.way === 'list') return run(() => gatherItems({ items, list: GATHERED }));
    const to =
      r.way === 'move'
        ? (agenda.week.days[r.to as number] as string)
        : (daysOfWeek(weekAfter(agenda.week.week, 1))[0] as string);
    return run(() => moveItems({ items, to }));
  };
  if (!open)
    return (
      <Button size="small" onClick={() => setOpen(true)} sx={{ px: 1, py: 0, ml: -1, color: GLASS.cranberry }}>
        Ways out
      </Button>
    );
  return (
    <Box role="group" aria-label="Ways out" sx={{ display: 'flex', flexDirection: 'column', gap: 0.5, my: 0.5 }}>
      {ways.map((r) => (
        <Button
          key={`${r.way} ${r.keys.join()}`}
          size="small"
          variant="outlined"
          disabled={busy || of(r).some((d) => !canMove(d, agenda.fromFeed))}
          onClick={() => take(r)}
          sx={{ justifyContent: 'flex-start', textAlign: 'left', lineHeight: 1.3, py: 0.5, fontSize: 12 }}
        >
          {say(r)}: {fine(r.wanted, agenda.unit)}
          {r.holds ? ', then it fits' : ', not quite enough'}
        </Button>
      ))}
    </Box>
  );
}

type ItemProps = Pick<DayCardProps, 'agenda' | 'run' | 'busy' | 'onOpen'>;

/** A list under its name, which can be dragged as a whole. */
function List({ list, rows, ...shared }: { list: string; rows: readonly Demand[] } & ItemProps) {
  const movable = rows.every((d) => canMove(d, shared.agenda.fromFeed));
  const dragged: Dragged = { demands: rows, label: `${list}, ${rows.length}` };
  const { setNodeRef, listeners, isDragging } = useDraggable({
    id: `list ${rows[0]?.day} ${list}`,
    data: dragged,
    disabled: !movable,
  });
  return (
    <Box sx={{ mt: 0.5, opacity: isDragging ? 0.4 : 1 }}>
      <Box
        ref={setNodeRef}
        {...listeners}
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 0.25,
          color: GLASS.bottle,
          cursor: movable ? 'grab' : 'default',
        }}
      >
        <IconGripVertical size={13} aria-hidden />
        <Typography variant="caption" sx={{ fontWeight: 600 }}>
          {list}
        </Typography>
      </Box>
      {rows.map((d) => (
        <Item key={d.key} demand={d} {...shared} />
      ))}
    </Box>
  );
}

const WHEN: Partial<Record<Demand['aspect'], string>> = {
  due: 'due',
  reminder: 'before',
  countdown: 'count',
  clock: 'clocks',
};
const whenOf = (d: Demand): string =>
  d.start !== null ? writtenTime(d) : (WHEN[d.aspect] ?? (d.kind === 'band' ? 'days' : d.list ? '' : d.part));

function Item({ demand: d, agenda, run, busy, onOpen }: { demand: Demand } & ItemProps) {
  const movable = canMove(d, agenda.fromFeed);
  const dragged: Dragged = { demands: [d], label: d.title };
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: d.key, data: dragged, disabled: !movable });
  const kept = agenda.done.includes(markKey(d.uid, d.on));
  // shown at once; what the server then says counts
  const [ticked, setTicked] = useState<{ was: boolean; is: boolean } | null>(null);
  const done = ticked?.was === kept ? ticked.is : kept;
  const tick = async () => {
    setTicked({ was: kept, is: !done });
    if (!(await run(() => markItem({ ...occurrenceOf(d), mark: done ? null : 'done' })))) setTicked(null);
  };
  const feed = agenda.fromFeed.get(d.uid);
  const more = [d.list, d.from ? `from ${d.from}` : '', feed ? `feed: ${feed}` : ''].filter(Boolean).join(', ');
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', opacity: isDragging ? 0.4 : 1 }}>
      {isTicked(d) ? (
        <Checkbox
          size="small"
          checked={done}
          disabled={busy}
          onChange={tick}
          slotProps={{ input: { 'aria-label': `${d.title}: done` } }}
          sx={{ p: 0.25, '& svg': { fontSize: 16 } }}
        />
      ) : (
        <Box sx={{ width: 20 }} />
      )}
      <ButtonBase
        ref={setNodeRef}
        {...listeners}
        onClick={() => onOpen(d)}
        data-testid="agenda-item"
        title={[d.title, more].filter(Boolean).join(' · ')}
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'flex',
          gap: 1,
          justifyContent: 'flex-start',
          textAlign: 'left',
          py: 0.3,
          minHeight: 26,
          px: 0.5,
          borderRadius: 1,
          touchAction: 'manipulation',
          '&:hover': { background: GLASS.bottleSoft },
        }}
      >
        {!d.list && (
          <Typography variant="caption" color="text.secondary" sx={{ width: 46, flexShrink: 0 }}>
            {whenOf(d)}
          </Typography>
        )}
        <Typography
          variant="body2"
          noWrap
          sx={{
            textDecoration: done ? 'line-through' : 'none',
            color: done || d.aspect !== 'item' ? GLASS.quiet : GLASS.ink,
            fontWeight: d.aspect === 'item' ? 400 : 500,
          }}
        >
          {d.title}
          {d.tentative ? ' ?' : ''}
        </Typography>
      </ButtonBase>
    </Box>
  );
}
