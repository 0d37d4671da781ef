import type { Demand, WeekDemands } from './demand';
import type { IsoDay } from './week';

/** What became of an item on its day. */
export type Mark = 'done' | 'brought' | 'let go';

/** Names one item on one day, for its mark. */
export const markKey = (uid: string, on: IsoDay): string => `${on} ${uid}`;

const CAN_WAIT: readonly Demand['kind'][] = ['to-do', 'chore', 'deadline', 'reminder'];

/** What is ticked when it is done; an appointment or an occasion passes by itself. */
export const isTicked = (d: Demand): boolean => d.aspect === 'item' && CAN_WAIT.includes(d.kind);

/**
 * What was not done in the week before and does not come round again this week by itself: each offered once, until
 * its owner says what became of it. A day that is not over yet may still see it done.
 */
export function undone(last: WeekDemands, now: WeekDemands, marks: ReadonlyMap<string, Mark>, today: IsoDay): Demand[] {
  const coming = new Set(now.demands.filter((d) => d.aspect === 'item').map((d) => d.uid));
  const seen = new Set<string>();
  return last.demands.filter((d) => {
    if (!isTicked(d) || d.on >= today || marks.has(markKey(d.uid, d.on)) || coming.has(d.uid) || seen.has(d.uid))
      return false;
    seen.add(d.uid);
    return true;
  });
}
