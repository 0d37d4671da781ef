import ICAL from 'ical.js';
import { IANAZone } from 'luxon';
import type { Calendar } from './calendar';
import { isCounted, keptEveryYear } from './age';
import { factsOf, reachOf } from './facts';
import { clockOf, wallOfTime } from './recur/clock';
import { expandRule } from './recur/expand';
import type { Rule } from './recur/rule';
import { ruleOf } from './recur/rule';
import type { Wall } from './recur/wall';
import { DAY_MS, dayNumber, wallOfDay } from './recur/wall';
import { zoneNamed } from './recur/zone';
import { Work } from './recur/work';
import { noteTrouble, sparing } from './troubles';
import type { IsoDay } from './week';

/** One occurrence of an event or to-do, on the owner's wall clock. */
export interface Occurrence {
  readonly component: ICAL.Component;
  readonly uid: string;
  readonly task: boolean;
  readonly allDay: boolean;
  /** one of several */
  readonly repeated: boolean;
  readonly yearly: boolean;
  /** the day its series first happens on */
  readonly since: Wall;
  /** the day the series has it on, which a single change may have moved */
  readonly planned: Wall;
  readonly start: Wall;
  /** the first moment after it; the same as `start` when it has no length */
  readonly end: Wall;
}

/** An event or to-do made ready to be asked for its days; on the owner's clock but where said. */
interface Series {
  readonly component: ICAL.Component;
  readonly uid: string;
  readonly task: boolean;
  readonly allDay: boolean;
  readonly repeated: boolean;
  readonly yearly: boolean;
  /** ms before its day at which it first shows */
  readonly reach: number;
  /** on its own clock */
  readonly begins: Wall;
  readonly rules: readonly Rule[];
  readonly toOwner: (wall: Wall) => Wall;
  readonly more: readonly Wall[];
  /** occurrences that are left out or changed */
  readonly without: ReadonlySet<Wall>;
  readonly withoutDays: ReadonlySet<number>;
  readonly length: number;
  /** the one changed occurrence this is, by when the series has it; null for the series itself */
  readonly instead: Wall | null;
}

/** Nothing is written into one day more often than this; a rule of every minute would fill the book. */
export const MOST_A_DAY = 12;
/** Clocks differ by a day at most; two are given. */
const ZONE_REACH = 2 * DAY_MS;
const prepared = new WeakMap<ICAL.Component, Map<string, AllSeries>>();

interface Placed extends Series {
  /** its place in the file */
  readonly place: number;
}

/** The series of a calendar, those that come once by their time: of a long calendar nearly all are far away. */
interface AllSeries {
  readonly repeated: readonly Placed[];
  /** by when they begin */
  readonly once: readonly Placed[];
  /** ms that any of those lasts, and is announced before */
  readonly longest: number;
}

/** The owner's zone by name; UTC when it is not known. */
export const ownerClock = (name: string): IANAZone => zoneNamed(name) ?? IANAZone.create('UTC');

/**
 * All that happens in the days from `first` to `last` (both in), with RRULE, RDATE, EXDATE and RECURRENCE-ID
 * followed by RFC 5545 on the clock of each event, then moved to the owner's clock. What shows before its day
 * (lead, reminders, countdown) is found that much beyond `last`.
 * @param zone the owner's IANA zone
 * @param wanted takes the items that are asked for
 */
export function occurrencesBetween(
  calendar: Calendar,
  first: IsoDay,
  last: IsoDay,
  zone: string,
  wanted: (component: ICAL.Component) => boolean = () => true,
): Occurrence[] {
  const from = wallOfDay(first);
  const until = wallOfDay(last) + DAY_MS;
  const work = new Work();
  const all = sparing(calendar, calendar.root, () => near(seriesOf(calendar, zone), from, until));
  return all.flatMap((series) =>
    wanted(series.component)
      ? sparing(calendar, series.component, () => occurrencesOf(calendar, series, from, until, work))
      : [],
  );
}

/** Those that may have something to do with a span, in the order of the file. */
function near({ repeated, once, longest }: AllSeries, from: Wall, until: Wall): readonly Placed[] {
  const first = firstFrom(once, from - longest - ZONE_REACH);
  const last = firstFrom(once, until + longest + ZONE_REACH);
  return [...repeated, ...once.slice(first, last)].sort((a, b) => a.place - b.place);
}

/** The place of the first that begins at a time or later. */
function firstFrom(series: readonly Series[], at: Wall): number {
  let [low, high] = [0, series.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((series[middle] as Series).begins < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Makes a calendar ready to be asked for its days, which takes longer than asking. */
export function makeReady(calendar: Calendar, zone: string): void {
  sparing(calendar, calendar.root, () => [seriesOf(calendar, zone)]);
}

function occurrencesOf(calendar: Calendar, s: Series, from: Wall, weekEnd: Wall, work: Work): Occurrence[] {
  const until = weekEnd + s.reach;
  if (s.begins - ZONE_REACH >= until || (!s.repeated && s.begins + s.length + ZONE_REACH < from)) return [];
  const earliest = from - s.length - ZONE_REACH;
  const starts = new Set<Wall>([s.toOwner(s.begins), ...s.more]);
  for (const rule of s.rules) {
    for (const w of expandRule(rule, s.begins, earliest, until + ZONE_REACH, work, MOST_A_DAY))
      starts.add(s.toOwner(w));
    if (work.wasCut) noteTrouble(calendar, s.component, 'comes back by a rule that takes too long to work out');
  }
  return [...starts]
    .sort((a, b) => a - b)
    .flatMap((start): Occurrence[] => {
      const end = start + s.length;
      if (start >= until || !(end > from || (end === from && start >= from))) return [];
      if (s.without.has(start) || s.withoutDays.has(dayNumber(start))) return [];
      const { component, uid, task, allDay, repeated, yearly } = s;
      return [
        {
          component,
          uid,
          task,
          allDay,
          repeated,
          yearly,
          since: s.toOwner(s.begins),
          planned: s.instead ?? start,
          start,
          end,
        },
      ];
    });
}

/** All series of a calendar, made ready once for a zone. */
function seriesOf(calendar: Calendar, zone: string): AllSeries {
  const byZone = prepared.get(calendar.root) ?? new Map<string, AllSeries>();
  prepared.set(calendar.root, byZone);
  const known = byZone.get(zone);
  if (known) return known;
  const families = new Map<string, ICAL.Component[]>();
  let nameless = 0;
  for (const component of ['vevent', 'vtodo'].flatMap((name) => calendar.root.getAllSubcomponents(name))) {
    const key = `${component.name}:${String(component.getFirstPropertyValue('uid') ?? `none-${nameless++}`)}`;
    const family = families.get(key);
    if (family) family.push(component);
    else families.set(key, [component]);
  }
  const owner = ownerClock(zone);
  const found = [...families.values()].flatMap((family) =>
    sparing(calendar, family[0] as ICAL.Component, () => prepare(family, owner)),
  );
  const made = found.map((series, place) => ({ ...series, place }));
  const once = made.filter((s) => !s.repeated && s.more.length === 0).sort((a, b) => a.begins - b.begins);
  const longest = once.reduce((most, s) => Math.max(most, s.length, s.reach), 0);
  const all = { repeated: made.filter((s) => s.repeated || s.more.length > 0), once, longest };
  byZone.set(zone, all);
  return all;
}

function prepare(family: readonly ICAL.Component[], owner: IANAZone): Series[] {
  const changed = family.filter((c) => c.hasProperty('recurrence-id'));
  const instead = new Map(
    changed.map((c) => [c, ownerWall(c.getFirstProperty('recurrence-id') as ICAL.Property, owner)]),
  );
  return family.flatMap((component): Series[] => {
    const property = anchorOf(component);
    const status = String(component.getFirstPropertyValue('status') ?? '').toUpperCase();
    if (!property || status === 'CANCELLED' || status === 'COMPLETED') return [];
    const single = component.hasProperty('recurrence-id');
    const clock = clockOf(property, owner);
    const time = property.getFirstValue() as ICAL.Time;
    const begins = clock.read(time);
    const rules = single
      ? []
      : component
          .getAllProperties('rrule')
          .map((p) =>
            ruleOf(p.getFirstValue() as ICAL.Recur, (until) =>
              until.zone === ICAL.Timezone.utcTimezone ? clock.fromUtc(wallOfTime(until)) : wallOfTime(until),
            ),
          );
    const yearly = rules.some((r) => r.freq === 'YEARLY');
    const exdates = single
      ? []
      : component
          .getAllProperties('exdate')
          .flatMap((p) => timesOf(p).map((t) => ({ day: t.isDate && !time.isDate, at: onClock(t, p, owner) })));
    const without = new Set([...exdates.filter((e) => !e.day).map((e) => e.at), ...(single ? [] : instead.values())]);
    return [
      {
        component,
        uid: String(
          component.getFirstPropertyValue('uid') ??
            `${String(component.getFirstPropertyValue('summary') ?? 'untitled')}@${new Date(begins).toISOString()}`,
        ),
        task: component.name === 'vtodo',
        allDay: time.isDate,
        repeated: single || rules.length > 0 || component.hasProperty('rdate'),
        begins,
        without,
        rules:
          yearly && isCounted(factsOf(component).title, factsOf(component).categories)
            ? rules.map((r) => keptEveryYear(r, begins))
            : rules,
        yearly,
        reach: saysAhead(component) ? reachOf(factsOf(component)) * DAY_MS : 0,
        withoutDays: new Set(exdates.filter((e) => e.day).map((e) => dayNumber(e.at))),
        more: single
          ? []
          : component.getAllProperties('rdate').flatMap((p) => timesOf(p).map((t) => onClock(t, p, owner))),
        toOwner: (wall) => clock.toOwner(wall),
        length: lengthOf(component, owner, clock.toOwner(begins)),
        instead: instead.get(component) ?? null,
      },
    ];
  });
}

/** Most items say nothing of the days before theirs; reading all that they might say takes longer than this look. */
const saysAhead = (c: ICAL.Component): boolean =>
  c.hasProperty('x-hobnail-lead') || c.hasProperty('x-hobnail-countdown') || c.getFirstSubcomponent('valarm') !== null;

/**
 * The property that dates an item: a task by when it is due, all else by its start. Null where it has none that can be
 * read.
 */
export function anchorOf(c: ICAL.Component): ICAL.Property | null {
  const property =
    (c.name === 'vtodo' ? (c.getFirstProperty('due') ?? c.getFirstProperty('dtstart')) : null) ??
    c.getFirstProperty('dtstart');
  return property?.getFirstValue() instanceof ICAL.Time ? property : null;
}

const timesOf = (property: ICAL.Property): ICAL.Time[] =>
  property.getValues().map((v) => (v instanceof ICAL.Period ? v.start : (v as ICAL.Time)));

const onClock = (time: ICAL.Time, property: ICAL.Property, owner: IANAZone): Wall =>
  clockOf(property, owner).toOwner(wallOfTime(time));
const ownerWall = (property: ICAL.Property, owner: IANAZone): Wall =>
  onClock(property.getFirstValue() as ICAL.Time, property, owner);

/** ms from start to end, on the owner's clock */
function lengthOf(component: ICAL.Component, owner: IANAZone, start: Wall): number {
  if (component.name === 'vtodo') return 0;
  const end = component.getFirstProperty('dtend');
  if (end) return Math.max(0, ownerWall(end, owner) - start);
  const duration = component.getFirstPropertyValue('duration');
  if (duration instanceof ICAL.Duration) return Math.max(0, duration.toSeconds() * 1000);
  return (component.getFirstProperty('dtstart')?.getFirstValue() as ICAL.Time).isDate ? DAY_MS : 0;
}
