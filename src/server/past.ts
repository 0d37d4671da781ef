import 'server-only';
import { spokenWeek } from '../core/week/day-names';
import { daysOfWeek, isWeekName } from '../core/week/week';
import type { PastSpread } from '../db/past';
import { pastSpreads } from '../db/past';
import { store } from './store';

export interface LogEntry extends PastSpread {
  readonly title: string;
}

export interface Log {
  readonly entries: readonly LogEntry[];
  /** the week that earlier ones are asked for with; null: there are none */
  readonly earlier: string | null;
}

/** As many on one page. */
const MOST = 48;
const MOST_WORDS = 8;

/** Past and coming spreads as pictures, the latest first; those that hold every word that is looked for. */
export async function loadLog(search: string, before: string | undefined): Promise<Log> {
  const words = search.slice(0, 200).split(/\s+/).filter(Boolean).slice(0, MOST_WORDS);
  const from = before !== undefined && isWeekName(before) ? before : null;
  const found = await pastSpreads(await store(), { words, before: from, most: MOST + 1 });
  const entries = found.slice(0, MOST).map((s) => ({ ...s, title: spokenWeek(daysOfWeek(s.week)) }));
  return { entries, earlier: found.length > MOST ? (entries.at(-1)?.week ?? null) : null };
}
