import 'server-only';
import { spokenWeek } from '../../core/week/day-names';
import { daysOfWeek, isWeekName } from '../../core/week/week';
import type { DayRecord } from '../../core/keep/day-record';
import type { PastSpread } from '../../db/past';
import { pastSpreads } from '../../db/past';
import { pastItems } from '../../db/past-items';
import { recordsBetween } from '../../db/records';
import { keepPastWeeks } from '../past-weeks';
import { store } from '../store';
import { today } from '../today';
import { weekOfDay, weekStartOf } from '../week-start';

/** What is known of one week of one year. */
export interface WeekOfYear {
  readonly week: string;
  readonly title: string;
  readonly spread: PastSpread | null;
  readonly records: readonly DayRecord[];
  /** what was on, without what comes round */
  readonly items: readonly string[];
}

const MOST_YEARS = 20;
const MOST_ITEMS = 12;

/** The same week of every year of which something is known, the latest first. @param wanted ISO week */
export async function loadYears(wanted: string | undefined): Promise<readonly WeekOfYear[]> {
  const db = await store();
  await keepPastWeeks(db, await today());
  const week = wanted && isWeekName(wanted) ? wanted : await weekOfDay(db, await today());
  const latest = Math.max(Number(week.slice(0, 4)), Number((await today()).slice(0, 4)));
  const names = Array.from({ length: MOST_YEARS }, (_, i) => `${latest - i}-${week.slice(5)}`).filter(isWeekName);
  const spreads = new Map((await pastSpreads(db, { weeks: names, most: MOST_YEARS })).map((s) => [s.week, s]));
  const found: WeekOfYear[] = [];
  for (const name of names) {
    const days = daysOfWeek(name, await weekStartOf(db, name));
    const records = await recordsBetween(db, days[0] as string, days[6] as string);
    const items = (await pastItems(db, name, name)).filter((i) => !i.repeated).map((i) => i.title);
    const spread = spreads.get(name) ?? null;
    if (spread || records.length || items.length)
      found.push({ week: name, title: spokenWeek(days), spread, records, items: items.slice(0, MOST_ITEMS) });
  }
  return found;
}
