import { timesOf } from '../bench/pace';
import { WORKS, workOfStep } from '../bench/step-key';
import { median } from '../measure/median';
import type { LogTable } from './log-table';
import { rounded } from './log-table';

/** A step that was ticked: in which week's spread, and when, ms. */
export interface Ticked {
  readonly week: string;
  readonly step: string;
  readonly at: number;
}

const NOTHING = 'No step of a bench was ticked yet.';

/** Minutes at the bench by week and sort of step, and how long one step takes. */
export function tablesOfBench(ticks: readonly Ticked[]): LogTable[] {
  const byWeek = new Map<string, Ticked[]>();
  for (const t of ticks) listIn(byWeek, t.week).push(t);
  const times = new Map<string, number[]>();
  const rows = [...byWeek]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([week, all]) => {
      const minutes = new Map<string, number>();
      const told = all.flatMap(({ step, at }) => {
        const work = workOfStep(step);
        return work ? [{ ...work, at }] : [];
      });
      for (const { do: work, seconds } of timesOf(told)) {
        minutes.set(work, (minutes.get(work) ?? 0) + seconds / 60);
        listIn(times, work).push(seconds);
      }
      const each = WORKS.map((w) => rounded(minutes.get(w) ?? 0));
      return [week, ...each, rounded(each.reduce((a, b) => a + b, 0))];
    });
  return [
    {
      name: 'bench-minutes',
      title: 'Minutes at the bench',
      columns: ['week', ...WORKS, 'in all'],
      rows,
      nothing: NOTHING,
    },
    {
      name: 'bench-pace',
      title: 'How long one step takes, seconds',
      columns: ['step', 'median', 'steps measured'],
      rows: WORKS.filter((w) => times.has(w)).map((w) => [
        w,
        rounded(median(times.get(w) ?? []), 0),
        times.get(w)?.length ?? 0,
      ]),
      nothing: 'Steps that are ticked one by one tell how long they take.',
    },
  ];
}

/** The list under a word, begun where there is none. */
function listIn<T>(lists: Map<string, T[]>, word: string): T[] {
  const list = lists.get(word) ?? [];
  lists.set(word, list);
  return list;
}
