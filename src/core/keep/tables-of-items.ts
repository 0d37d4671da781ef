import type { DemandKind } from '../week/demand';
import { DEMAND_KINDS } from '../week/demand';
import { DAYS } from '../week/typed/calendar-days';
import type { LogTable } from './log-table';

/** What became of some items: done, moved to another day, let go, left open. What passes by itself is only an item. */
export interface Fates {
  readonly items: number;
  readonly done: number;
  readonly moved: number;
  readonly letGo: number;
  readonly open: number;
}

/** Items of weeks that are over, counted. */
export interface ItemCounts {
  readonly weeks: readonly (Fates & { readonly week: string })[];
  readonly kinds: readonly (Fates & { readonly kind: DemandKind })[];
  /** 0 for Monday */
  readonly days: readonly { readonly kind: DemandKind; readonly day: number; readonly items: number }[];
}

const NOTHING = 'No week with items is over yet.';
const NAMES = ['items', 'done', 'moved', 'let go', 'open'];
const row = (f: Fates | undefined): number[] => (f ? [f.items, f.done, f.moved, f.letGo, f.open] : [0, 0, 0, 0, 0]);

/** Items by kind and weekday, and what became of them, by kind and by week. */
export function tablesOfItems({ weeks, kinds, days }: ItemCounts): LogTable[] {
  const there = DEMAND_KINDS.filter((k) => kinds.some((r) => r.kind === k));
  return [
    {
      name: 'items-by-day',
      title: 'By kind and day',
      columns: ['kind', ...DAYS, 'in all'],
      rows: there.map((kind) => {
        const of = DAYS.map((_, d) => days.find((r) => r.kind === kind && r.day === d)?.items ?? 0);
        return [kind, ...of, of.reduce((a, b) => a + b, 0)];
      }),
      nothing: NOTHING,
    },
    {
      name: 'items-by-kind',
      title: 'What became of them',
      columns: ['kind', ...NAMES],
      rows: there.map((kind) => [kind, ...row(kinds.find((r) => r.kind === kind))]),
      nothing: NOTHING,
    },
    {
      name: 'items-by-week',
      title: 'Week by week',
      columns: ['week', ...NAMES],
      rows: weeks.map((w) => [w.week, ...row(w)]),
      nothing: NOTHING,
    },
  ];
}
