import 'server-only';
import { contextFrom } from '../core/arrange/context';
import { leastHeight } from '../core/arrange/day-blocks';
import { Draft } from '../core/arrange/draft';
import { dayColumn } from '../core/book/columns';
import { readCalendar } from '../core/format/calendar';
import { entryOf } from '../core/format/calendar-edit';
import type { AgendaEntry } from '../core/week/agenda-entry';
import type { WeekDemands } from '../core/week/demand';
import type { IsoDay } from '../core/week/week';
import { daysOfWeek, isWeekName, weekAfter, weekOf } from '../core/week/week';
import type { AgendaHistory } from '../db/agenda-edits';
import { agendaHistory } from '../db/agenda-edits';
import { findBook, usualBook } from '../db/books';
import { listCalendars } from '../db/calendars';
import type { Database } from '../db/database';
import { findSpreadOfWeek } from '../db/spreads';
import { calendarsOf, weekDemands } from './spread-data';
import { store, today } from './store';
import { usualSizes } from './usual-sizes';

export interface MonthDay {
  readonly day: IsoDay;
  readonly week: string;
  readonly items: number;
}

/** How a day's column would fill, before any kit is chosen. mm */
export interface Room {
  readonly wanted: number;
  readonly there: number;
}

export interface Agenda {
  readonly today: IsoDay;
  readonly week: WeekDemands;
  readonly spreadId: number | null;
  readonly rooms: readonly Room[];
  /** six weeks, from the one that holds the first of the month on */
  readonly month: readonly MonthDay[];
  readonly entries: Readonly<Record<string, AgendaEntry>>;
  readonly history: AgendaHistory;
}

const WEEKS_SHOWN = 6;

/** One week of the agenda beside its month. @param wanted ISO week; this week when it is none */
export async function loadAgenda(wanted: string | undefined): Promise<Agenda> {
  const db = await store();
  const name = wanted && isWeekName(wanted) ? wanted : weekOf(today());
  const spread = await findSpreadOfWeek(db, name);
  const bookId = spread?.book_id ?? (await usualBook(db));
  const book = bookId ? await findBook(db, bookId) : null;
  const week = await weekDemands(db, name, book?.weekStart ?? 'monday');
  const middle = daysOfWeek(name)[3] as IsoDay;
  const first = weekOf(`${middle.slice(0, 7)}-01`);
  const month = await Promise.all(Array.from({ length: WEEKS_SHOWN }, async (_, i) => {
    const shown = await weekDemands(db, weekAfter(first, i), 'monday');
    return shown.days.map((day, d): MonthDay => ({ day, week: shown.week, items: shown.demands.filter((x) => x.day <= d && x.lastDay >= d).length }));
  }));
  const context = book && contextFrom({ book, kit: usualSizes, stash: [], week, manner: 'scattered', options: {}, seed: 1, usedElsewhere: [] });
  const draft = context && Draft.begin(context, []);
  const rooms = week.days.map((_, day): Room => ({ wanted: context && draft ? leastHeight(draft, context, day) : 0, there: book ? (dayColumn(book, day)?.h ?? 0) : 0 }));
  const calendars = await calendarsOf(db);
  const entries = Object.fromEntries([...new Set(week.demands.map((d) => d.uid))].flatMap((uid) => {
    const entry = calendars.map((c) => entryOf(c, uid)).find((e) => e !== null);
    return entry ? [[uid, entry] as const] : [];
  }));
  return { today: today(), week, spreadId: spread?.id ?? null, rooms, month: month.flat(), entries, history: await agendaHistory(db) };
}

/** The owner's zone: what the first calendar says. */
export async function ownerZone(db: Database): Promise<string> {
  for (const { ics, name } of await listCalendars(db)) {
    const { zone } = readCalendar(ics, name);
    if (zone) return zone;
  }
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** The name of the calendar that an item is in. */
export async function calendarOf(db: Database, uid: string): Promise<string | null> {
  const found = (await listCalendars(db)).find((c) => entryOf(readCalendar(c.ics, c.name), uid) !== null);
  return found?.name ?? null;
}
