import 'server-only';
import type { DayRecord, RecordHabits } from '../core/keep/day-record';
import type { Dinner } from '../core/keep/dinners';
import { dinnersOf, notForLong } from '../core/keep/dinners';
import type { SkippedRoutine } from '../core/keep/skipped';
import { skippedRoutines } from '../core/keep/skipped';
import { matchDemands } from '../core/spread/placement';
import type { Demand, WeekDemands } from '../core/week/demand';
import type { TypingHabits } from '../core/week/typed/habits';
import { plus } from '../core/week/typed/calendar-days';
import type { Mark } from '../core/week/undone';
import { markKey, undone } from '../core/week/undone';
import type { IsoDay } from '../core/week/week';
import { isWeekName, weekAfter, weekHolding, weekOf } from '../core/week/week';
import type { AgendaHistory } from '../db/agenda-edits';
import { agendaHistory } from '../db/agenda-edits';
import { houseWeekStart, weekStartOf } from './week-start';
import { marksBetween } from '../db/marks';
import { pastItems } from '../db/past-items';
import { recordsBetween } from '../db/records';
import { findSpreadOfWeek } from '../db/spreads';
import { calendarsOf, findEntry } from './calendars';
import { keepPastWeeks } from './past-weeks';
import { recordHabits, typingHabits } from './settings';
import { loadSpread } from './spread-data';
import { weekDemands } from './week-demands';
import type { Someday } from '../core/format/someday';
import { someday } from './someday';
import type { Rect } from '../core/measure/rect';
import { columnInBook, openBook } from '../core/book/open-book';
import { store } from './store';
import { today } from './today';

/** The spread of the week that is shown, as far as the days need it. */
export interface SpreadOfWeek {
  readonly id: number;
  readonly revision: number;
  readonly kit: string;
  readonly finished: boolean;
  /** keys of items that have a place on it */
  readonly placed: readonly string[];
  /** of each day, how many stickers lie on it */
  readonly laid: readonly number[];
  /** each day's column with its header, mm of the open book; null where the book has none */
  readonly columns: readonly (Rect | null)[];
  /** all pages beside each other, mm */
  readonly whole: { readonly w: number; readonly h: number };
}

export interface ThisWeek {
  readonly today: IsoDay;
  readonly week: WeekDemands;
  readonly spread: SpreadOfWeek | null;
  /** keys (`markKey`) of items by what became of them */
  readonly marks: readonly (readonly [key: string, mark: Mark])[];
  readonly records: readonly DayRecord[];
  readonly habits: RecordHabits;
  /** dinners of all the years, the latest first */
  readonly dinners: readonly Dinner[];
  readonly missed: readonly Dinner[];
  /** last week's, not done and not yet said what became of */
  readonly undone: readonly Demand[];
  readonly skipped: readonly SkippedRoutine[];
  /** tasks without a date */
  readonly someday: readonly Someday[];
  /** the feed that an item comes from, by uid; those that can be changed here are not in it */
  readonly fromFeed: ReadonlyMap<string, string>;
  readonly typing: TypingHabits;
  readonly history: AgendaHistory;
}

/** Weeks looked back over for routines that are skipped. */
const LOOKED_BACK = 26;
const MOST_MISSED = 4;
const MOST_DINNERS = 60;

/** The days of a week, for daily use: what is on, what came of it, what is written down. @param wanted ISO week */
export async function loadThisWeek(wanted: string | undefined): Promise<ThisWeek> {
  const db = await store();
  const now = await today();
  const current = weekHolding(now, await houseWeekStart(db));
  const name = wanted && isWeekName(wanted) ? wanted : current;
  const row = await findSpreadOfWeek(db, name);
  const weekStart = await weekStartOf(db, name);
  await keepPastWeeks(db, now);
  const [week, lastWeek, spread, calendars] = await Promise.all([
    weekDemands(db, name, weekStart),
    weekDemands(db, weekAfter(name, -1), weekStart),
    row ? loadSpread(row.id) : null,
    calendarsOf(db),
  ]);
  const [first, last] = [week.days[0] as IsoDay, week.days[6] as IsoDay];
  const marks = await marksBetween(db, lastWeek.days[0] as IsoDay, last);
  const byKey = new Map(marks.filter((m) => m.day).map((m) => [markKey(m.uid, m.day), m.mark as Mark]));
  const came = await pastItems(db, weekAfter(weekOf(now), -LOOKED_BACK), weekAfter(weekOf(now), -1));
  const dinners = dinnersOf(await recordsBetween(db, '', now, 'dinner'), now);
  const isThis = name === current;
  const left = name <= current ? undone(lastWeek, week, byKey, now) : [];
  const skipped = isThis ? skippedRoutines(came.filter((i) => i.repeated && i.ticked)) : [];
  const fromFeed = new Map<string, string>();
  for (const uid of new Set([...week.demands, ...left, ...skipped].map((d) => d.uid))) {
    const found = findEntry(calendars, uid);
    if (found?.calendar.address) fromFeed.set(uid, found.calendar.name);
  }
  return {
    today: now,
    week,
    spread: spread && {
      id: spread.id,
      revision: spread.history.revision,
      kit: spread.context.kit.name,
      finished: spread.keep !== null,
      placed: [...matchDemands(spread.placements, week.demands).keys()],
      laid: week.days.map((_, day) => spread.placements.filter((p) => p.day === day && p.role !== 'base').length),
      columns: week.days.map((_, day) => columnInBook(spread.context.book, day)),
      whole: openBook(spread.context.book),
    },
    marks: [...byKey],
    records: await recordsBetween(db, first, plus(last, 7)),
    habits: await recordHabits(db),
    dinners: dinners.slice(0, MOST_DINNERS),
    missed: notForLong(dinners, MOST_MISSED),
    undone: left,
    skipped: skipped.filter((s) => !fromFeed.has(s.uid)),
    someday: name >= current ? await someday(db, calendars) : [],
    fromFeed,
    typing: await typingHabits(db),
    history: await agendaHistory(db),
  };
}
