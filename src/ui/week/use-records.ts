import { useState } from 'react';
import type { DayRecord, RecordSort } from '../../core/keep/day-record';
import { writeDown } from '../../server/agenda-actions';
import type { Run } from '../use-run';

const keyOf = (r: Pick<DayRecord, 'day' | 'what' | 'name'>): string => `${r.day} ${r.what} ${r.name}`;
const says = (r: DayRecord | undefined): string => (r ? `${r.amount} ${r.text}` : '0 ');

/** What is written down of the days that are shown. */
export interface Records {
  readonly all: readonly DayRecord[];
  readonly of: (day: string, what: RecordSort, name?: string) => DayRecord | undefined;
  /** shown at once; what the server then says counts */
  readonly put: (record: DayRecord) => Promise<boolean>;
}

export function useRecords(kept: readonly DayRecord[], run: Run): Records {
  const [put, setPut] = useState<ReadonlyMap<string, { readonly was: string; readonly is: DayRecord }>>(new Map());
  const byKey = new Map(kept.map((r) => [keyOf(r), r]));
  for (const [key, { was, is }] of put) if (says(byKey.get(key)) === was) byKey.set(key, is);
  const drop = (key: string) => setPut((before) => new Map([...before].filter(([k]) => k !== key)));
  return {
    all: [...byKey.values()],
    of: (day, what, name = '') => byKey.get(keyOf({ day, what, name })),
    put: async (record) => {
      const key = keyOf(record);
      const was = says(kept.find((r) => keyOf(r) === key));
      setPut((before) => new Map(before).set(key, { was, is: record }));
      const done = await run(() => writeDown({ records: [record] }));
      if (!done) drop(key);
      return done;
    },
  };
}
