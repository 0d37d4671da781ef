'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Demand } from '../../core/week/demand';
import { longDate, longDay } from '../../core/week/day-names';
import type { Agenda } from '../../server/agenda';
import { bringOver, dropEntry, keepBoth, markItem } from '../../server/agenda-actions';
import { SmallButton } from '../SmallButton';
import type { Run } from '../use-run';
import { Asked } from './Asked';
import { SomedayItems } from './Someday';
import { occurrenceOf } from './occurrence-of';

/** What the week asks its owner: what was left undone last week, and what may be entered twice. */
export function Settle({ agenda, run, busy }: { agenda: Agenda; run: Run; busy: boolean }) {
  const { undone, twice, someday, week, today, fromFeed } = agenda;
  const to = week.days.includes(today) ? today : (week.days[0] as string);
  if (undone.length + twice.length + someday.length === 0)
    return (
      <Typography variant="body2" color="text.secondary">
        Nothing is left over from the week before, and nothing looks entered twice.
      </Typography>
    );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
      {undone.length > 0 && (
        <Typography variant="caption" color="text.secondary">
          Left over from the week before
        </Typography>
      )}
      {undone.map((d) => (
        <Asked
          key={d.key}
          title={d.title}
          note={`from ${longDay(d.on)}${d.list && d.list !== 'to do' ? `, ${d.list}` : ''}${d.from ? `, put off since ${longDate(d.from)}` : ''}`}
        >
          <SmallButton disabled={busy} onClick={() => run(() => bringOver({ items: [occurrenceOf(d)], to }))}>
            Bring to {longDay(to)}
          </SmallButton>
          <SmallButton disabled={busy} onClick={() => run(() => markItem({ ...occurrenceOf(d), mark: 'done' }))}>
            It is done
          </SmallButton>
          <SmallButton disabled={busy} onClick={() => run(() => markItem({ ...occurrenceOf(d), mark: 'let go' }))}>
            Let it go
          </SmallButton>
        </Asked>
      ))}
      {twice.length > 0 && (
        <Typography variant="caption" color="text.secondary">
          One thing, or two?
        </Typography>
      )}
      {twice.map(({ one, other }) => (
        <Asked
          key={`${one.key} ${other.key}`}
          title={`${one.title} · ${other.title}`}
          note={`${place(one, week.days)} and ${place(other, week.days)}`}
        >
          {[one, other]
            .filter((d) => !fromFeed.has(d.uid))
            .map((d) => (
              <SmallButton
                key={d.key}
                disabled={busy}
                onClick={() => run(() => dropEntry({ uid: d.uid, day: d.repeated ? d.on : null }))}
              >
                Take {longDay(week.days[d.day] as string)}’s out
              </SmallButton>
            ))}
          <SmallButton
            disabled={busy}
            onClick={() => run(() => keepBoth({ pairs: [{ one: one.uid, other: other.uid }] }))}
          >
            Both are meant
          </SmallButton>
        </Asked>
      ))}
      {someday.length > 0 && (
        <Typography variant="caption" color="text.secondary">
          Someday
        </Typography>
      )}
      <SomedayItems items={someday} today={today} days={week.days} run={run} busy={busy} />
    </Box>
  );
}

const place = (d: Demand, days: readonly string[]): string =>
  `${longDay(days[d.day] as string)}${d.list ? `, on “${d.list}”` : ''}`;
