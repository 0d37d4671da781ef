import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { IconCalendarShare } from '../icons';
import { useState } from 'react';
import { longDay } from '../../core/week/day-names';
import type { Demand } from '../../core/week/demand';
import { writtenTime } from '../../core/week/demand';
import { plus } from '../../core/week/typed/calendar-days';
import { isTicked, markKey } from '../../core/week/undone';
import { markItem, moveItems } from '../../server/agenda-actions';
import type { ThisWeek } from '../../server/this-week';
import { occurrenceOf } from '../agenda/occurrence-of';
import { GLASS } from '../theme';
import type { Run } from '../use-run';

interface DayItemsProps {
  readonly data: ThisWeek;
  readonly day: number;
  readonly run: Run;
  /** an item that has no place on the spread is to find one */
  readonly onFind: (d: Demand) => void;
  readonly large?: boolean;
}

/** What is on a day: a tap ticks, two move it to another day. */
export function DayItems({ data, day, run, onFind, large = false }: DayItemsProps) {
  const items = data.week.demands.filter((d) => d.day <= day && d.lastDay >= day);
  if (!items.length)
    return (
      <Typography variant="body2" color="text.secondary">
        Nothing on this day
      </Typography>
    );
  return (
    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {items.map((d) => (
        <Item key={d.key} demand={d} data={data} run={run} onFind={onFind} large={large} />
      ))}
    </Box>
  );
}

function Item({ demand: d, data, run, onFind, large = false }: Omit<DayItemsProps, 'day'> & { demand: Demand }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const mark = data.marks.find(([key]) => key === markKey(d.uid, d.on))?.[1] ?? null;
  const [ticked, setTicked] = useState<{ readonly was: boolean; readonly is: boolean } | null>(null);
  const kept = mark === 'done';
  const done = ticked?.was === kept ? ticked.is : kept;
  const gone = mark === 'let go' || mark === 'brought';
  const tick = async () => {
    setTicked({ was: kept, is: !done });
    if (!(await run(() => markItem({ ...occurrenceOf(d), mark: done ? null : 'done' })))) setTicked(null);
  };
  const movable = d.aspect === 'item' && !data.fromFeed.has(d.uid);
  const lacks = data.spread !== null && !data.spread.placed.includes(d.key) && !gone && d.aspect === 'item';
  const size = large ? 24 : 19;
  return (
    <Box
      component="li"
      data-testid="day-item"
      sx={{ display: 'flex', alignItems: 'center', minHeight: large ? 40 : 32 }}
    >
      {isTicked(d) ? (
        <Checkbox
          checked={done}
          disabled={gone}
          onChange={() => void tick()}
          slotProps={{ input: { 'aria-label': `${d.title}: done` } }}
          sx={{ p: large ? 0.75 : 0.5, ml: -0.75, '& svg': { fontSize: size } }}
        />
      ) : (
        <Box sx={{ width: size + (large ? 6 : 2), flexShrink: 0 }} />
      )}
      <Typography
        variant={large ? 'body1' : 'body2'}
        sx={{
          flex: 1,
          minWidth: 0,
          overflowWrap: 'anywhere',
          color: done || gone ? GLASS.quiet : GLASS.ink,
          textDecoration: done || gone ? 'line-through' : 'none',
        }}
      >
        {writtenTime(d) && (
          <Box component="span" sx={{ color: GLASS.quiet, mr: 1, fontVariantNumeric: 'tabular-nums' }}>
            {writtenTime(d)}
          </Box>
        )}
        {d.title}
        {d.tentative ? ' ?' : ''}
        {mark === 'brought' && ' (brought over)'}
        {mark === 'let go' && ' (let go)'}
      </Typography>
      {lacks && (
        <Button size="small" onClick={() => onFind(d)} sx={{ whiteSpace: 'nowrap', py: 0.25 }}>
          Find a place
        </Button>
      )}
      {movable && !done && !gone && (
        <IconButton
          size="small"
          aria-label={`Move ${d.title}`}
          aria-haspopup="menu"
          onClick={(e) => setAnchor(e.currentTarget)}
        >
          <IconCalendarShare size={large ? 20 : 17} />
        </IconButton>
      )}
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {targets(data, d).map(({ iso, name }) => (
          <MenuItem
            key={iso}
            onClick={() => {
              setAnchor(null);
              void run(() => moveItems({ items: [occurrenceOf(d)], to: iso }));
            }}
          >
            {name}
          </MenuItem>
        ))}
        {isTicked(d) && (
          <MenuItem
            onClick={() => {
              setAnchor(null);
              void run(() => markItem({ ...occurrenceOf(d), mark: 'let go' }));
            }}
          >
            Let it go
          </MenuItem>
        )}
      </Menu>
    </Box>
  );
}

/** Days that an item may move to: those of the week that are not over, and the next week's first. */
function targets({ week, today }: ThisWeek, d: Demand): { readonly iso: string; readonly name: string }[] {
  const own = week.days[d.day];
  const here = week.days
    .filter((iso) => iso !== own && iso >= today)
    .map((iso) => ({ iso, name: iso === today ? 'Today' : iso === plus(today, 1) ? 'Tomorrow' : longDay(iso) }));
  const next = plus(week.days[6] as string, 1);
  return [...here, { iso: next, name: `Next ${longDay(next)}` }];
}
