'use server';

import { emptyCalendar, putEntry, removeEntry } from '../core/format/calendar-edit';
import { changeOccurrence, skipOccurrence } from '../core/format/calendar-occurrence';
import { putRound, removeRound } from '../core/format/calendar-round';
import { somedayOf } from '../core/format/someday';
import { BadInput, quoted } from '../core/format/fault';
import type { AgendaEntry } from '../core/week/agenda-entry';
import { blankEntry } from '../core/week/agenda-entry';
import { longDate } from '../core/week/day-names';
import type { HourClock } from '../core/week/demand';
import { spokenTime } from '../core/week/demand';
import { spokenRound } from '../core/week/round';
import type { AgendaDeed } from '../core/week/deed';
import { endBefore } from '../core/week/end-series';
import { pairKey } from '../core/week/twice';
import type { DayRecord } from '../core/keep/day-record';
import type { AgendaHistory, AgendaStep } from '../db/agenda-edits';
import { agendaHistory, editAgenda, stepAgenda } from '../db/agenda-edits';
import { calendarText } from '../db/calendars';
import type { Database } from '../db/database';
import { tieToAgenda } from '../db/spread-edits';
import type { KeptCalendar } from './calendars';
import { calendarsOf, editableCalendarOf, findEntry, ownerZone, roundsIn } from './calendars';
import {
  HistoryStepDto,
  BothMeantDto,
  BringOverDto,
  GatherDto,
  MarkDto,
  MoveDto,
  NameDto,
  OccurrenceDto,
  PutEntryDto,
  PutRoundDto,
  RemoveEntryDto,
  SomedayDto,
} from './dto/agenda.dto';
import { check } from './dto/check';
import { NoteToItemDto, WriteDownDto } from './dto/records.dto';
import { mustBeAsSeen } from './conflict';
import { newUid, ownCalendar, puttingIn, stamp } from './own-calendar';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { ownClock } from './own-ways';

/** Adds an item, or changes the one with its uid. */
export async function saveEntry(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { entry, seen } = check(PutEntryDto, input, 'item');
    const name = entry.uid ? await editableCalendarOf(db, entry.uid) : await ownCalendar(db);
    const zone = await ownerZone(db);
    const kept = await calendarsOf(db);
    if (entry.uid) mustBeAsSeen(seen, findEntry(kept, entry.uid)?.entry ?? null, sayEntry(await ownClock(db)));
    const full = { ...entry, uid: entry.uid || newUid() };
    await editAgenda(db, { do: entry.uid ? 'change item' : 'add item', title: entry.title }, async (trx) => {
      return [text(name, putEntry((await calendarText(trx, name)) ?? emptyCalendar(zone), full, zone, stamp()))];
    });
  });
}

const sayEntry =
  (clock: HourClock) =>
  ({ title, day, start }: AgendaEntry): string =>
    `It is now “${title}”, ${longDate(day)}${start === null ? '' : `, ${spokenTime(start, clock)}`}`;

/** Takes an item out: one day of its series, or all of it. */
export async function dropEntry(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { uid, day } = check(RemoveEntryDto, input, 'item');
    const name = await editableCalendarOf(db, uid);
    const zone = await ownerZone(db);
    const title = await titleOfItem(db, uid);
    const deed: AgendaDeed = day ? { do: 'take a day out', title, day } : { do: 'take item out', title };
    await editAgenda(db, deed, async (trx) => {
      const ics = (await calendarText(trx, name)) ?? '';
      return [text(name, day ? skipOccurrence(ics, uid, day, zone) : removeEntry(ics, uid))];
    });
  });
}

/** Moves items to a day: of a series only the one occurrence; a list moves as a whole. */
export async function moveItems(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { items, to, withSpread } = check(MoveDto, input, 'move');
    const made = await changeEach(db, { do: 'move items', count: items.length, to }, items, { day: to });
    if (withSpread !== undefined) await tieToAgenda(db, withSpread, made);
  });
}

/** Makes items one list. */
export async function gatherItems(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { items, list } = check(GatherDto, input, 'list');
    await changeEach(db, { do: 'make a list', list }, items, { list });
  });
}

async function changeEach(
  db: Database,
  deed: AgendaDeed,
  items: readonly { uid: string; on: string }[],
  change: { day?: string; list?: string },
): Promise<number> {
  const zone = await ownerZone(db);
  const names = await Promise.all(items.map((i) => editableCalendarOf(db, i.uid)));
  return editAgenda(db, deed, async (trx) => {
    const texts = new Map<string, string>();
    for (const [i, { uid, on }] of items.entries()) {
      const name = names[i] as string;
      texts.set(
        name,
        changeOccurrence(texts.get(name) ?? (await calendarText(trx, name)) ?? '', uid, on, change, zone),
      );
    }
    return [...texts].map(([name, ics]) => text(name, ics));
  });
}

/** Ticks an item on its day, lets it go, or takes the mark away. */
export async function markItem(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { uid, on, mark } = check(MarkDto, input, 'mark');
    await editAgenda(db, { do: mark === 'done' ? 'tick' : mark ? 'let go' : 'untick' }, async () => [
      { on: 'mark', uid, day: on, mark },
    ]);
  });
}

/** Brings what was not done to another day, each as an item of its own that knows where it came from. */
export async function bringOver(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { items, to } = check(BringOverDto, input, 'items');
    const kept = await calendarsOf(db);
    const entries = items.map(({ uid, on }) => {
      const entry = findEntry(kept, uid)?.entry;
      if (!entry)
        throw new BadInput([{ file: 'item', where: 'uid', found: quoted(uid), expected: 'an item of your calendars' }]);
      const { title, kind, part, room, list, task, from } = entry;
      return { ...blankEntry(to), uid: newUid(), title, kind, part, room, list, task, from: from ?? on };
    });
    const put = await puttingIn(db, entries);
    const [first] = entries;
    const deed: AgendaDeed =
      entries.length === 1 && first
        ? { do: 'bring over', title: first.title }
        : { do: 'move items', count: entries.length, to };
    await editAgenda(db, deed, async (trx) => [
      await put(trx),
      ...items.map(({ uid, on }): AgendaStep => ({ on: 'mark', uid, day: on, mark: 'brought' })),
    ]);
  });
}

/**
 * Gives a task without a date a day. In a feed, which is changed only where it comes from, it stays as it is, and an
 * item of one's own takes its place.
 */
export async function takeUpSomeday(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { uid, to } = check(SomedayDto, input, 'task');
    const calendars = await calendarsOf(db);
    const found = calendars
      .flatMap((calendar) => calendar.bundles.flatMap((b) => somedayOf(b)).map((task) => ({ calendar, task })))
      .find(({ task }) => task.uid === uid);
    if (!found)
      throw new BadInput([{ file: 'task', where: 'uid', found: quoted(uid), expected: 'a task without a date' }]);
    const { calendar, task } = found;
    const entry = { ...blankEntry(to), title: task.title, list: task.list, task: true };
    const deed: AgendaDeed = { do: 'bring over', title: task.title };
    if (calendar.address) {
      const put = await puttingIn(db, [{ ...entry, uid: newUid() }]);
      await editAgenda(db, deed, async (trx) => [await put(trx), { on: 'mark', uid, day: to, mark: 'brought' }]);
      return;
    }
    const zone = await ownerZone(db);
    await editAgenda(db, deed, async (trx) => [
      text(calendar.name, putEntry((await calendarText(trx, calendar.name)) ?? '', { ...entry, uid }, zone, stamp())),
    ]);
  });
}

/** Ends a routine with the day before one; what was before stays. */
export async function endRoutine(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { uid, on } = check(OccurrenceDto, input, 'routine');
    const name = await editableCalendarOf(db, uid);
    const zone = await ownerZone(db);
    const entry = findEntry(await calendarsOf(db), uid)?.entry;
    if (!entry?.repeat)
      throw new BadInput([{ file: 'routine', where: 'uid', found: quoted(uid), expected: 'an item that comes round' }]);
    const ended = { ...entry, repeat: endBefore(entry.repeat, on) };
    await editAgenda(db, { do: 'end routine', title: entry.title }, async (trx) => [
      text(name, putEntry((await calendarText(trx, name)) ?? '', ended, zone, stamp())),
    ]);
  });
}

/** A routine that was skipped stays: it is asked about anew only when it is skipped again as often. */
export async function keepRoutine(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { uid, on } = check(OccurrenceDto, input, 'routine');
    await editAgenda(db, { do: 'keep routine' }, async () => [{ on: 'mark', uid, day: on, mark: 'kept' }]);
  });
}

/** Writes down what came of a day: a dinner, a habit, hours, money, a moment, a note for next week. */
export async function writeDown(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { records } = check(WriteDownDto, input, 'record');
    const [{ what }] = records as [DayRecord];
    await editAgenda(db, { do: 'write down', what }, async () =>
      records.map((record): AgendaStep => ({ on: 'record', record: { ...record } })),
    );
  });
}

/** A note for the week becomes an item of one of its days. */
export async function makeNoteAnItem(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { note, to } = check(NoteToItemDto, input, 'note');
    const title = note.text.trim();
    if (!title) throw new BadInput([{ file: 'note', where: 'text', found: 'nothing', expected: 'what is to be done' }]);
    const entry = { ...blankEntry(to), uid: newUid(), title: title.slice(0, 500), task: true };
    const put = await puttingIn(db, [entry]);
    await editAgenda(db, { do: 'add item', title }, async (trx) => [
      await put(trx),
      { on: 'record', record: { ...note, text: '', amount: 0 } },
    ]);
  });
}

/** Items that look alike are meant, pair by pair, and are asked about no more. */
export async function keepBoth(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { pairs } = check(BothMeantDto, input, 'pairs');
    await editAgenda(db, { do: 'keep both' }, async () =>
      pairs.map(({ one, other }) => ({ on: 'mark', uid: pairKey(one, other), day: '', mark: 'both meant' })),
    );
  });
}

/** Adds a rota or turns, or changes the one it had the name of. */
export async function saveRound(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const {
      round: { slots, ...given },
      instead,
      seen,
    } = check(PutRoundDto, input, 'round');
    const round = { ...given, turns: slots.map((s) => s.turn) };
    const kept = await calendarsOf(db);
    const rounds = kept.flatMap(roundsIn);
    if (round.name !== instead && rounds.some((r) => r.name === round.name))
      throw new BadInput([
        { file: 'round', where: 'name', found: quoted(round.name), expected: 'a name that no round has yet' },
      ]);
    const name = await calendarOfRound(db, kept, instead || round.name);
    const zone = await ownerZone(db);
    if (instead)
      mustBeAsSeen(seen, rounds.find((r) => r.name === instead) ?? null, (r) => `It is now ${spokenRound(r)}`);
    await editAgenda(db, { do: instead ? 'change round' : 'add round', name: round.name }, async (trx) => {
      const ics = (await calendarText(trx, name)) ?? emptyCalendar(zone);
      return [text(name, putRound(ics, round, zone, stamp(), newUid, instead || round.name))];
    });
  });
}

export async function dropRound(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { name: round } = check(NameDto, input, 'round');
    const name = await calendarOfRound(db, await calendarsOf(db), round);
    await editAgenda(db, { do: 'take round out', name: round }, async (trx) => [
      text(name, removeRound((await calendarText(trx, name)) ?? '', round)),
    ]);
  });
}

async function calendarOfRound(db: Database, kept: readonly KeptCalendar[], round: string): Promise<string> {
  const holding = kept.find((c) => roundsIn(c).some((r) => r.name === round));
  if (holding?.address)
    throw new BadInput([
      {
        file: 'round',
        where: `calendar ${quoted(holding.name)}`,
        found: 'a feed, which is only read here',
        expected: 'a change made where the feed comes from',
      },
    ]);
  return holding?.name ?? ownCalendar(db);
}

/** Takes a calendar away, with all that is in it. */
export async function dropCalendar(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { name } = check(NameDto, input, 'calendar');
    await editAgenda(db, { do: 'take calendar away', name }, async () => [text(name, null)]);
  });
}

export async function undoAgenda(input: unknown): Promise<Outcome<AgendaHistory>> {
  return changed(async (db) => {
    const { way, step } = check(HistoryStepDto, input, 'history');
    if (!(await stepAgenda(db, way, step)))
      throw new BadInput([
        {
          file: 'agenda',
          where: way,
          found: 'nothing that fits',
          expected: 'an edit made here, and the calendar not read again since',
        },
      ]);
  });
}

const titleOfItem = async (db: Database, uid: string): Promise<string> =>
  findEntry(await calendarsOf(db), uid)?.entry.title ?? '';

const text = (name: string, ics: string | null): AgendaStep => ({ on: 'calendar', name, text: ics });

const changed = (run: (trx: Database) => Promise<void>): Promise<Outcome<AgendaHistory>> =>
  inOneStroke(
    async (trx) => {
      await run(trx);
      return agendaHistory(trx);
    },
    'all',
    calendarsOf,
  );
