import type { Calendar } from './calendar';
import { isCounted, numberReached } from './age';
import type { Aspect, Demand, DemandKind, WeekDemands } from './demand';
import { inTimeOrder } from './demand';
import type { Facts } from './facts';
import { factsOf } from './facts';
import { meaningsOf, usualPart } from './meaning';
import type { Occurrence } from './occurrences';
import { MOST_A_DAY, occurrencesBetween, ownerClock } from './occurrences';
import { isolateErrors } from './troubles';
import type { Wall } from './recur/wall';
import { DAY_MS, dayNumber, isoDay, minuteOfDay, wallOfDay } from './recur/wall';
import { clockChange } from './recur/zone';
import { withoutResting } from './resting';
import type { IsoDay, WeekName } from './week';
import { daysOfWeek } from './week';

/**
 * What a week must hold, from its calendars (docs/formats): bands, lists, lead times, parts of day, countdowns,
 * reminders, ages, clock changes. What the calendar does not say is inferred.
 * @param zone owner's IANA zone; by default what the first calendar says, else UTC
 * @example demandsOfWeek([calendar], '2027-W06', 'monday', 'America/Halifax').demands
 */
export function demandsOfWeek(
  calendars: readonly Calendar[],
  week: WeekName,
  weekStart: 'monday' | 'sunday' = 'monday',
  zone: string = calendars.map((c) => c.zone).find(Boolean) ?? 'utc',
): WeekDemands {
  const days = daysOfWeek(week, weekStart);
  const [from, until] = [wallOfDay(days[0] as IsoDay), wallOfDay(days[6] as IsoDay) + DAY_MS];
  const { near, far } = uncrowded(
    calendars.flatMap((calendar) =>
      occurrencesBetween(calendar, days[0] as IsoDay, days[6] as IsoDay, zone).map((o) => ({ ...o, calendar })),
    ),
  );
  const told = near.flatMap((o) =>
    isolateErrors(o.calendar, o.component, () => {
      const facts = factsOf(o.component);
      return [{ occurrence: o, facts, demands: aspectsOf(o, facts, from, until) }];
    }),
  );
  const found = withoutResting(told, (t) => ['chore', 'to-do'].includes(kindOf(t.occurrence, t.facts)), {
    from,
    until,
  }).flatMap((t) => t.demands);
  const sorted = [...found, ...clockChanges(days, zone)].sort((a, b) => a.day - b.day || inTimeOrder(a, b));
  const { kept, more } = bounded(sorted);
  return { week, days, demands: withKeys(kept), ...(more + far ? { more: more + far } : {}) };
}

/** The item itself, and what it makes of other days: its due day, reminders, the days left. */
function aspectsOf(o: Occurrence, facts: Facts, from: Wall, until: Wall): Demand[] {
  const day = dayNumber(o.start);
  const other = (aspect: Aspect, days: number, title: string, kind: DemandKind): Demand[] => {
    const on = (day - days) * DAY_MS;
    if (on < from || on >= until) return [];
    const { tentative, categories } = facts;
    const index = dayNumber(on) - dayNumber(from);
    return [
      {
        ...base(o),
        aspect,
        title,
        kind,
        day: index,
        lastDay: index,
        start: null,
        end: null,
        part: usualPart(title, categories),
        tentative,
        list: null,
        room: null,
        categories,
        from: null,
      },
    ];
  };
  return [
    ...item(o, facts, from, until),
    ...(facts.lead && facts.dueShown ? other('due', 0, `${facts.title} due`, 'deadline') : []),
    ...facts.reminders.flatMap((r) => other('reminder', r.days, r.text, 'reminder')),
    ...facts.countdown.flatMap((n) =>
      other('countdown', n, `${n} ${n === 1 ? 'day' : 'days'} to ${facts.title}`, 'reminder'),
    ),
  ];
}

const base = (o: Occurrence): Pick<Demand, 'key' | 'uid' | 'repeated' | 'on'> => ({
  key: '',
  uid: o.uid,
  repeated: o.repeated,
  on: isoDay(o.planned),
});

function item(o: Occurrence, facts: Facts, from: Wall, until: Wall): Demand[] {
  const band = isBand(o, facts);
  const first = dayNumber(o.start) - facts.lead;
  const last = band ? dayNumber(Math.max(o.start, o.end - 1)) - facts.lead : first;
  if (last < dayNumber(from) || first >= dayNumber(until)) return [];
  const day = Math.max(0, first - dayNumber(from));
  const timed = !o.allDay && !band && facts.lead === 0;
  const start = timed ? minuteOfDay(o.start) : null;
  const { title, categories, part, tentative, room, from: origin } = facts;
  return [
    {
      ...base(o),
      aspect: 'item',
      title: withNumber(o, facts),
      kind: kindOf(o, facts),
      day,
      lastDay: Math.min(6, last - dayNumber(from)),
      start,
      end: start !== null && o.end > o.start ? Math.min(24 * 60, start + Math.round((o.end - o.start) / 60_000)) : null,
      part: part ?? usualPart(title, categories),
      tentative,
      room,
      categories,
      from: origin,
      list: facts.list ?? (o.task && (facts.kind === null || facts.kind === 'to-do') ? 'to do' : null),
    },
  ];
}

/** All-day over more than a day, or timed over a whole day and more (handbook D8). */
const isBand = (o: Occurrence, facts: Facts): boolean =>
  !o.task && (facts.kind === 'band' || (o.allDay ? o.end - o.start > 1.5 * DAY_MS : o.end - o.start >= DAY_MS));

function kindOf(o: Occurrence, facts: Facts): DemandKind {
  if (isBand(o, facts)) return 'band';
  if (facts.kind) return facts.kind;
  if (o.task) return 'to-do';
  if (!o.allDay) return 'appointment';
  const meanings = meaningsOf(facts.title, facts.categories);
  return meanings.some((m) => ['laundry', 'bins', 'clean', 'garden', 'groceries', 'water'].includes(m))
    ? 'chore'
    : 'occasion';
}

function withNumber(o: Occurrence, { title, categories, since }: Facts): string {
  if (!isCounted(title, categories) || (!o.yearly && since === null)) return title;
  const number = numberReached(o.start, since ?? new Date(o.since).getUTCFullYear());
  return number === null ? title : `${title} (${number})`;
}

/** The days on which the owner's clock changes, from the time zone database. */
function clockChanges(days: readonly IsoDay[], zone: string): Demand[] {
  const clock = ownerClock(zone);
  return days.flatMap((on, day): Demand[] => {
    const change = clockChange(clock, wallOfDay(on));
    if (change === null) return [];
    const amount = Math.abs(change) % 60 === 0 ? `${Math.abs(change) / 60} h` : `${Math.abs(change)} min`;
    return [
      {
        key: '',
        uid: `clocks-${on}@hobnail`,
        aspect: 'clock',
        repeated: false,
        on,
        title: `clocks ${change > 0 ? 'forward' : 'back'} ${amount}`,
        kind: 'reminder',
        day,
        lastDay: day,
        start: null,
        end: null,
        part: 'morning',
        tentative: false,
        list: null,
        room: null,
        categories: [],
        from: null,
      },
    ];
  });
}

/** A day of more things than this is no day that anyone has. From memory. */
const MOST_OF_A_DAY = 200;

/** Of more than so many on a day the later ones are not even looked at: reading them takes longer than any wait. */
const MOST_LOOKED_AT = 1000;

/** The first of each day, in the order they are given in where no day has too many; `far` counts the others. */
function uncrowded<T extends Occurrence>(all: readonly T[]): { near: readonly T[]; far: number } {
  if (all.length <= MOST_LOOKED_AT) return { near: all, far: 0 };
  const days = new Map<number, T[]>();
  for (const o of all) {
    const day = days.get(dayNumber(o.start));
    if (day) day.push(o);
    else days.set(dayNumber(o.start), [o]);
  }
  const near = [...days.values()].flatMap((day) =>
    day.length <= MOST_LOOKED_AT ? day : day.sort((a, b) => a.start - b.start).slice(0, MOST_LOOKED_AT),
  );
  return { near, far: all.length - near.length };
}

/** No item too often on a day, and no day with more than can be laid out. */
function bounded(demands: readonly Demand[]): { kept: Demand[]; more: number } {
  const seen = new Map<string, number>();
  const count = (key: string): number => {
    const n = (seen.get(key) ?? 0) + 1;
    seen.set(key, n);
    return n;
  };
  const once = demands.filter((d) => count(`${d.day}|${d.uid}`) <= MOST_A_DAY);
  const kept = once.filter((d) => count(`day ${d.day}`) <= MOST_OF_A_DAY);
  return { kept, more: once.length - kept.length };
}

/**
 * Keys stay the same while other items come and go: the uid, its day where it comes on several, a number where twice
 * on one.
 */
function withKeys(demands: readonly Demand[]): Demand[] {
  const days = new Map<string, Set<number>>();
  for (const d of demands) days.set(d.uid, (days.get(d.uid) ?? new Set()).add(d.day));
  const seen = new Map<string, number>();
  return demands.map((d) => {
    const key = (days.get(d.uid)?.size ?? 0) > 1 ? `${d.uid}#${d.day}` : d.uid;
    const nth = (seen.get(key) ?? 0) + 1;
    seen.set(key, nth);
    return { ...d, key: nth > 1 ? `${key}~${nth}` : key };
  });
}
