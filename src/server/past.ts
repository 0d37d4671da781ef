import 'server-only';
import type { Database } from '../db/database';
import { spokenWeek } from '../core/week/day-names';
import type { IsoDay } from '../core/week/week';
import { weekOfDay, weekStartOf } from './week-start';
import { daysOfWeek, isWeekName } from '../core/week/week';
import type { PastSpread } from '../db/past';
import { pastSpreads } from '../db/past';
import type { WeekField } from '../db/week-text';
import { FOUND, WEEK_FIELDS, findWeeks, wordsOf } from '../db/week-text';
import { keepPastWeeks } from './past-weeks';
import { store } from './store';
import { today } from './today';

/** A part of what was found, and whether it is what was looked for. */
export interface FoundPart {
  readonly text: string;
  readonly hit: boolean;
}

export interface LogEntry {
  readonly week: string;
  readonly title: string;
  /** null: a week of which something is written down, and that has no spread */
  readonly spread: PastSpread | null;
  /** where a word that was looked for stands; empty where nothing was */
  readonly found: readonly FoundPart[];
}

export interface Log {
  readonly entries: readonly LogEntry[];
  /** the week that earlier ones are asked for with; null: there are none */
  readonly earlier: string | null;
}

/** What is looked for; each part may be missing. */
export interface LogSearch {
  readonly words?: string;
  readonly field?: WeekField | null;
  /** days */
  readonly first?: IsoDay | null;
  readonly last?: IsoDay | null;
  readonly before?: string | null;
}

/** As many on one page; and as many weeks looked through: twenty years. */
const MOST = 48;
const MOST_FOUND = 1044;
const MOST_WORDS = 8;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** What an address asks the log for; what is no day, week or field is passed over. */
export const readLogSearch = (asked: {
  readonly q?: string;
  readonly in?: string;
  readonly from?: string;
  readonly to?: string;
  readonly before?: string;
}): LogSearch => ({
  words: (asked.q ?? '').slice(0, 200),
  field: WEEK_FIELDS.find((f) => f === asked.in) ?? null,
  first: asked.from && DAY.test(asked.from) ? asked.from : null,
  last: asked.to && DAY.test(asked.to) ? asked.to : null,
  before: asked.before && isWeekName(asked.before) ? asked.before : null,
});

/**
 * Past and coming weeks as pictures, the latest first: those that hold every word that is looked for, in a span of
 * days.
 */
export async function loadLog({ words = '', field = null, first, last, before }: LogSearch): Promise<Log> {
  const db = await store();
  const wanted = wordsOf(words).slice(0, MOST_WORDS);
  const span = {
    first: first ? await weekOfDay(db, first) : null,
    last: last ? await weekOfDay(db, last) : null,
    before: before ?? null,
  };
  if (!wanted.length) {
    const spreads = await pastSpreads(db, { ...span, most: MOST + 1 });
    return pageOf(
      await Promise.all(spreads.map(async (s) => ({ ...(await titled(db, s.week)), spread: s, found: [] }))),
    );
  }
  await keepPastWeeks(db, await today());
  const found = (await findWeeks(db, { words: wanted, field, most: MOST_FOUND }, weekStartOf))
    .filter(({ week }) => (!span.first || week >= span.first) && (!span.last || week <= span.last))
    .filter(({ week }) => !span.before || week < span.before)
    .slice(0, MOST + 1);
  const spreads = await pastSpreads(db, { weeks: found.map((f) => f.week), most: MOST + 1 });
  const byWeek = new Map(spreads.map((s) => [s.week, s]));
  return pageOf(
    await Promise.all(
      found.map(async ({ week, snippet }) => ({
        ...(await titled(db, week)),
        spread: byWeek.get(week) ?? null,
        found: partsOf(snippet),
      })),
    ),
  );
}

/** A week by the days that are really on its pages. */
const titled = async (db: Database, week: string) => ({
  week,
  title: spokenWeek(daysOfWeek(week, await weekStartOf(db, week))),
});

const pageOf = (entries: readonly LogEntry[]): Log => ({
  entries: entries.slice(0, MOST),
  earlier: entries.length > MOST ? (entries[MOST - 1]?.week ?? null) : null,
});

/** The words round what was found, in parts. */
export function partsOf(snippet: string): FoundPart[] {
  return snippet
    .replace(/\n/g, ' · ')
    .split(FOUND.from)
    .flatMap((part, i): FoundPart[] => {
      const [hit, rest] = i ? part.split(FOUND.to) : ['', part];
      return [
        { text: hit ?? '', hit: true },
        { text: rest ?? '', hit: false },
      ];
    })
    .filter((p) => p.text !== '');
}
