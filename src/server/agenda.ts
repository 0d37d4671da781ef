import 'server-only';
import { isolateErrors, troublesOf } from '../core/week/troubles';
import { contextFrom } from '../core/spread/context';
import type { Fill, Relief } from '../core/arrange/counting/relief';
import { fillOfDays, reliefOf } from '../core/arrange/counting/relief';
import { dayColumn } from '../core/book/columns';
import { routinesOf } from '../core/format/calendar-edit';
import type { CalendarChanges } from '../core/format/calendar-changes';
import type { Unit } from '../core/measure/fraction';
import type { Hand } from '../core/measure/hand';
import type { AgendaEntry } from '../core/week/agenda-entry';
import type { Demand, WeekDemands } from '../core/week/demand';
import type { Round } from '../core/week/round';
import type { TypingHabits } from '../core/week/typed/habits';
import type { LookAlike } from '../core/week/twice';
import { lookAlikes, pairKey } from '../core/week/twice';
import type { Mark } from '../core/week/undone';
import { markKey, undone } from '../core/week/undone';
import type { IsoDay, WeekStart } from '../core/week/week';
import { daysOfWeek, isWeekName, weekAfter, weekHolding } from '../core/week/week';
import type { AgendaHistory } from '../db/agenda-edits';
import { agendaHistory } from '../db/agenda-edits';
import { findBook, usualBook } from '../db/books';
import { houseWeekStart, weekStartOf } from './week-start';
import { marksBetween } from '../db/marks';
import { asObject } from '../db/json';
import { findSpreadOfWeek } from '../db/spreads';
import type { KeptCalendar } from './calendars';
import { calendarsOf, countItems, findEntry, roundsIn, ownerZone } from './calendars';
import { ownerHand, typingHabits } from './settings';
import { weekDemands } from './week-demands';
import { ownUnit } from './own-ways';
import type { Someday } from '../core/format/someday';
import { someday } from './someday';
import { store } from './store';
import { today } from './today';
import { usualSizes } from './usual-sizes';

export interface MonthDay {
  readonly day: IsoDay;
  readonly week: string;
  readonly items: number;
}

/** A calendar as the list of calendars shows it. */
export interface CalendarLine {
  readonly name: string;
  readonly items: number;
  /** of a feed; null for one that is written here */
  readonly address: string | null;
  readonly checkedAt: string | null;
  readonly readAt: string | null;
  readonly trouble: string | null;
  readonly changes: CalendarChanges | null;
  readonly notes: readonly string[];
}

export interface Agenda {
  readonly today: IsoDay;
  /** the owner's clock */
  readonly zone: string;
  readonly week: WeekDemands;
  readonly spreadId: number | null;
  /** how each day's column would fill before any kit is chosen */
  readonly fills: readonly Fill[];
  /** ways out for each day that will not hold */
  readonly relief: readonly (readonly Relief[])[];
  /** pairs that may be one thing */
  readonly twice: readonly LookAlike[];
  /** last week's, not done and not yet said what became of */
  readonly undone: readonly Demand[];
  /** tasks without a date */
  readonly someday: readonly Someday[];
  /** keys (`markKey`) of what is done */
  readonly done: readonly string[];
  /** six weeks, from the one that holds the first of the month on */
  readonly month: readonly MonthDay[];
  /** by uid */
  readonly entries: ReadonlyMap<string, AgendaEntry>;
  /** the feed that an item comes from, by uid; those that can be changed here are not in it */
  readonly fromFeed: ReadonlyMap<string, string>;
  readonly calendars: readonly CalendarLine[];
  readonly rounds: readonly Round[];
  /** titles of what comes round, to be chosen from */
  readonly routines: readonly string[];
  readonly hand: Hand;
  /** how a typed line is read */
  readonly typing: TypingHabits;
  /** mm of a day's column; null where no book is */
  readonly columnWidth: number | null;
  /** the book's; inches where no book is */
  readonly unit: Unit;
  readonly history: AgendaHistory;
}

const WEEKS_SHOWN = 6;
const MOST_ROUTINES = 300;

/** One week of the agenda beside its month. @param wanted ISO week; this week when it is none */
export async function loadAgenda(wanted: string | undefined): Promise<Agenda> {
  const db = await store();
  const name = wanted && isWeekName(wanted) ? wanted : weekHolding(await today(), await houseWeekStart(db));
  const spread = await findSpreadOfWeek(db, name);
  const bookId = spread?.book_id ?? (await usualBook(db));
  const book = bookId ? await findBook(db, bookId) : null;
  const weekStart = await weekStartOf(db, name);
  const [week, lastWeek, hand, calendars] = await Promise.all([
    weekDemands(db, name, weekStart),
    weekDemands(db, weekAfter(name, -1), weekStart),
    ownerHand(db),
    calendarsOf(db),
  ]);
  const marks = await marksBetween(db, lastWeek.days[0] as IsoDay, week.days[6] as IsoDay);
  const dayMarks = new Map(marks.filter((m) => m.day).map((m) => [markKey(m.uid, m.day), m.mark as Mark]));
  const context =
    book &&
    contextFrom({
      book,
      kit: usualSizes,
      stash: [],
      week,
      manner: 'scattered',
      options: { hand },
      seed: 1,
      usedElsewhere: [],
    });
  const fills = context ? fillOfDays(context) : week.days.map(() => ({ wanted: 0, there: 0 }));
  const left = undone(lastWeek, week, dayMarks, await today());
  const uids = [...new Set([...week.demands, ...left].map((d) => d.uid))];
  return {
    today: await today(),
    zone: await ownerZone(db),
    week,
    spreadId: spread?.id ?? null,
    hand,
    typing: await typingHabits(db),
    fills,
    undone: left,
    someday: await someday(db, calendars),
    relief: week.days.map((_, day) => (context ? reliefOf(context, day, fills) : [])),
    twice: lookAlikes(week.demands).filter(({ one, other }) => !week.bothMeant?.includes(pairKey(one.uid, other.uid))),
    done: [...dayMarks].filter(([, mark]) => mark === 'done').map(([key]) => key),
    month: await monthOf(name, weekStart),
    ...entriesOf(calendars, uids),
    calendars: calendars.map(lineOf),
    rounds: calendars.filter((c) => !c.address).flatMap(roundsIn),
    routines: [
      ...new Set(
        calendars
          .flatMap((c) => c.bundles.flatMap((b) => isolateErrors(b, b.root, () => routinesOf(b))))
          .map((r) => r.title),
      ),
    ]
      .sort()
      .slice(0, MOST_ROUTINES),
    columnWidth: (book && dayColumn(book, 0)?.w) ?? null,
    unit: await ownUnit(db),
    history: await agendaHistory(db),
  };
}

/** Six weeks around the month that most of the week is in. */
async function monthOf(week: string, weekStart: WeekStart): Promise<MonthDay[]> {
  const db = await store();
  const first = weekHolding(`${(daysOfWeek(week, weekStart)[3] as IsoDay).slice(0, 7)}-01`, weekStart);
  const weeks = await Promise.all(
    Array.from({ length: WEEKS_SHOWN }, (_, i) => weekDemands(db, weekAfter(first, i), weekStart)),
  );
  return weeks.flatMap((w) =>
    w.days.map((day, d): MonthDay => ({
      day,
      week: w.week,
      items: w.demands.filter((x) => x.day <= d && x.lastDay >= d).length,
    })),
  );
}

function entriesOf(calendars: readonly KeptCalendar[], uids: readonly string[]): Pick<Agenda, 'entries' | 'fromFeed'> {
  const entries = new Map<string, AgendaEntry>();
  const fromFeed = new Map<string, string>();
  for (const uid of uids) {
    const found = findEntry(calendars, uid);
    if (found) entries.set(uid, found.entry);
    if (found?.calendar.address) fromFeed.set(uid, found.calendar.name);
  }
  return { entries, fromFeed };
}

function lineOf(c: KeptCalendar): CalendarLine {
  return {
    name: c.name,
    items: countItems(c),
    address: c.address,
    checkedAt: c.checked_at,
    readAt: c.read_at,
    trouble: c.trouble,
    changes: c.changes ? (asObject(c.changes) as CalendarChanges) : null,
    notes: c.bundles.flatMap((b) => [...b.notes, ...troublesOf(b)]),
  };
}
