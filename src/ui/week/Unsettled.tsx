import Button from '@mui/material/Button';
import { counted } from '../../core/spread/voice';
import { longDate, longDay } from '../../core/week/day-names';
import { bringOver, endRoutine, keepRoutine, markItem } from '../../server/agenda-actions';
import type { ThisWeek } from '../../server/this-week';
import { Asked } from '../agenda/Asked';
import { occurrenceOf } from '../agenda/occurrence-of';
import { SmallButton } from '../SmallButton';
import type { Run } from '../use-run';
import { Part } from './Part';

/** What was not done last week is carried over when its owner says so; routines that are skipped are asked about. */
export function Unsettled({ data, run, busy }: { data: ThisWeek; run: Run; busy: boolean }) {
  const { undone, skipped, today, week } = data;
  if (!undone.length && !skipped.length) return null;
  const to = week.days.includes(today) ? today : (week.days[0] as string);
  const toName = to === today ? 'today' : longDay(to);
  return (
    <Part
      name="Not settled yet"
      side={
        undone.length > 1 ? (
          <Button
            size="small"
            disabled={busy}
            onClick={() => void run(() => bringOver({ items: undone.map(occurrenceOf), to }))}
          >
            Bring all {undone.length} to {toName}
          </Button>
        ) : undefined
      }
    >
      {undone.map((d) => (
        <Asked key={d.key} title={d.title} note={`not done on ${longDay(d.on)}`}>
          <SmallButton disabled={busy} onClick={() => void run(() => bringOver({ items: [occurrenceOf(d)], to }))}>
            Bring to {toName}
          </SmallButton>
          <SmallButton disabled={busy} onClick={() => void run(() => markItem({ ...occurrenceOf(d), mark: 'done' }))}>
            It is done
          </SmallButton>
          <SmallButton disabled={busy} onClick={() => void run(() => markItem({ ...occurrenceOf(d), mark: 'let go' }))}>
            Let it go
          </SmallButton>
        </Asked>
      ))}
      {skipped.map((s) => (
        <Asked
          key={s.uid}
          title={s.title}
          note={`skipped ${counted(s.times, 'time')} in a row, the last time on ${longDate(s.on)}`}
        >
          <SmallButton disabled={busy} onClick={() => void run(() => keepRoutine({ uid: s.uid, on: s.on }))}>
            It stays
          </SmallButton>
          <SmallButton disabled={busy} onClick={() => void run(() => endRoutine({ uid: s.uid, on: today }))}>
            End it
          </SmallButton>
        </Asked>
      ))}
    </Part>
  );
}
