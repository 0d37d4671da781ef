import type { DemandKind } from '../week/demand';
import { DEMAND_KINDS } from '../week/demand';
import { DAYS, weekdayOf } from '../week/typed/calendar-days';
import type { LogTable } from './log-table';

/** An item that is past, as far as it is counted. */
export interface CountedItem {
  readonly week: string;
  readonly day: string;
  readonly kind: DemandKind;
  readonly ticked: boolean;
  readonly from: string | null;
  readonly mark: string | null;
}

const NOTHING = 'No week with items is over yet.';

/** Items by kind and weekday, and what became of them: done, moved, let go, left open. */
export function tablesOfItems(items: readonly CountedItem[]): LogTable[] {
  const weeks = [...new Set(items.map((i) => i.week))].sort();
  const kinds = DEMAND_KINDS.filter((k) => items.some((i) => i.kind === k));
  const count = (test: (i: CountedItem) => boolean, among = items): number => among.filter(test).length;
  const fates = (among: readonly CountedItem[]) => [
    among.length,
    count((i) => i.ticked && i.mark === 'done', among),
    count((i) => i.mark === 'brought' || i.from !== null, among),
    count((i) => i.mark === 'let go', among),
    count((i) => i.ticked && (i.mark === null || i.mark === 'kept'), among),
  ];
  const fateNames = ['items', 'done', 'moved', 'let go', 'open'];
  return [
    {
      name: 'items-by-day',
      title: 'By kind and day',
      columns: ['kind', ...DAYS, 'in all'],
      rows: kinds.map((kind) => {
        const of = DAYS.map((_, d) => count((i) => i.kind === kind && weekdayOf(i.day) === d));
        return [kind, ...of, of.reduce((a, b) => a + b, 0)];
      }),
      nothing: NOTHING,
    },
    {
      name: 'items-by-kind',
      title: 'What became of them',
      columns: ['kind', ...fateNames],
      rows: kinds.map((kind) => [kind, ...fates(items.filter((i) => i.kind === kind))]),
      nothing: NOTHING,
    },
    {
      name: 'items-by-week',
      title: 'Week by week',
      columns: ['week', ...fateNames],
      rows: weeks.map((week) => [week, ...fates(items.filter((i) => i.week === week))]),
      nothing: NOTHING,
    },
  ];
}
