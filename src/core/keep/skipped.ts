import type { IsoDay } from '../week/week';

/** One time that a routine came round, and what became of it: a mark, or nothing. */
export interface CameRound {
  readonly uid: string;
  readonly title: string;
  readonly on: IsoDay;
  readonly mark: string | null;
}

/** A routine that was skipped again and again. */
export interface SkippedRoutine {
  readonly uid: string;
  readonly title: string;
  /** times in a row, up to the last one */
  readonly times: number;
  /** the last time that it was skipped */
  readonly on: IsoDay;
}

/** So often in a row, and its owner is asked whether it is still wanted. */
const OFTEN = 3;

/** Marks of what was done, also another day; and of one that was skipped, whose owner said that the routine stays. */
const ENDS_A_ROW: ReadonlySet<string | null> = new Set(['done', 'brought', 'kept']);

/** Routines that were skipped three times in a row or more, the most often first. */
export function skippedRoutines(came: readonly CameRound[]): SkippedRoutine[] {
  const byUid = new Map<string, CameRound[]>();
  for (const c of came) byUid.set(c.uid, [...(byUid.get(c.uid) ?? []), c]);
  return [...byUid.values()]
    .flatMap((all): SkippedRoutine[] => {
      const latest = [...all].sort((a, b) => (a.on < b.on ? 1 : -1));
      const end = latest.findIndex((c) => ENDS_A_ROW.has(c.mark));
      const times = end < 0 ? latest.length : end;
      const [last] = latest;
      return last && times >= OFTEN ? [{ uid: last.uid, title: last.title, times, on: last.on }] : [];
    })
    .sort((a, b) => b.times - a.times || (a.title < b.title ? -1 : 1));
}
