import type { Someday } from '../../core/format/someday';
import { longDay } from '../../core/week/day-names';
import { markItem, takeUpSomeday } from '../../server/agenda-actions';
import { SmallButton } from '../SmallButton';
import type { Run } from '../use-run';
import { Asked } from './Asked';

/** Tasks without a date, each with the ways on: to a day, done, or gone. */
export function SomedayItems({
  items,
  today,
  days,
  run,
  busy,
}: {
  items: readonly Someday[];
  today: string;
  days: readonly string[];
  run: Run;
  busy: boolean;
}) {
  const to = days.includes(today) ? today : (days[0] as string);
  const toName = to === today ? 'today' : longDay(to);
  return items.map(({ uid, title, list }) => (
    <Asked key={uid} title={title} note={list ? `no date yet, ${list}` : 'no date yet'}>
      <SmallButton disabled={busy} onClick={() => void run(() => takeUpSomeday({ uid, to }))}>
        Bring to {toName}
      </SmallButton>
      <SmallButton disabled={busy} onClick={() => void run(() => markItem({ uid, on: today, mark: 'done' }))}>
        It is done
      </SmallButton>
      <SmallButton disabled={busy} onClick={() => void run(() => markItem({ uid, on: today, mark: 'let go' }))}>
        Let it go
      </SmallButton>
    </Asked>
  ));
}
