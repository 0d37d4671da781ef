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
import { noteTrouble, isolateErrors } from './troubles';
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
  /** given one by one, on the owner's clock; some with a length of their own */
  readonly more: readonly { readonly at: Wall; readonly length: number | null }[];
  /** the part of the series that this is: planned from `from` on and before `to`, and moved by so many ms */
  readonly part: { readonly from: Wall; readonly to: Wall; readonly moved: number };
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
  const all = isolateErrors(calendar, calendar.root, () => near(seriesOf(calendar, zone), from, until));
  return all.flatMap((series) =>
    wanted(series.component)
      ? isolateErrors(calendar, series.component, () => occurrencesOf(calendar, series, from, until, work))
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
  isolateErrors(calendar, calendar.root, () => [seriesOf(calendar, zone)]);
}

function occurrencesOf(calendar: Calendar, s: Series, from: Wall, weekEnd: Wall, work: Work): Occurrence[] {
  const until = weekEnd + s.reach;
  if (s.begins - ZONE_REACH >= until || (!s.repeated && s.begins + s.length + ZONE_REACH < from)) return [];
  const { moved } = s.part;
  const longest = s.more.reduce((most, m) => Math.max(most, m.length ?? 0), s.length);
  const earliest = from - longest - moved - ZONE_REACH;
  const lengths = new Map<Wall, number>([[s.toOwner(s.begins), s.length]]);
  for (const { at, length } of s.more) lengths.set(at, length ?? s.length);
  for (const rule of s.rules) {
    for (const w of expandRule(rule, s.begins, earliest, until - moved + ZONE_REACH, work, MOST_A_DAY)) {
      const at = s.toOwner(w);
      if (!lengths.has(at)) lengths.set(at, s.length);
    }
    if (work.wasCut) noteTrouble(calendar, s.component, 'comes back by a rule that takes too long to work out');
  }
  return [...lengths]
    .sort(([a], [b]) => a - b)
    .flatMap(([planned, length]): Occurrence[] => {
      const start = planned + moved;
      const end = start + length;
      if (planned < s.part.from || planned >= s.part.to) return [];
      if (start >= until || !(end > from || (end === from && start >= from))) return [];
      if (s.without.has(planned) || s.withoutDays.has(dayNumber(planned))) return [];
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
          planned: s.instead ?? planned,
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
    isolateErrors(calendar, family[0] as ICAL.Component, () => prepare(family, owner)),
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
  const master = family.find((c) => !c.hasProperty('recurrence-id'));
  /** from when on the series is another, in order */
  const turns = changed
    .filter((c) => master && isOnwards(c))
    .map((c) => instead.get(c) as Wall)
    .sort((a, b) => a - b);
  const turnAfter = (at: Wall): Wall => turns.find((t) => t > at) ?? Infinity;
  /** A change of one occurrence and all that follow: the series goes on as it says (RFC 5545, 3.8.4.4). */
  const changedOnwards = (component: ICAL.Component, from: Wall): Series[] =>
    prepare([master as ICAL.Component], owner).map((series) => {
      const begins = ownerWall(anchorOf(component) as ICAL.Property, owner);
      return {
        ...series,
        component,
        without: withoutOthers(series.without, from),
        reach: saysAhead(component) ? reachOf(factsOf(component)) * DAY_MS : 0,
        length: lengthOf(component, owner, begins),
        part: { from, to: turnAfter(from), moved: begins - from },
      };
    });
  /** single changes stand for themselves; that with which a part begins is the part's own */
  const withoutOthers = (own: ReadonlySet<Wall>, begins: Wall): ReadonlySet<Wall> =>
    new Set([...own, ...[...instead.values()].filter((w) => w !== begins && !turns.includes(w))]);
  return family.flatMap((component): Series[] => {
    const property = anchorOf(component);
    const status = String(component.getFirstPropertyValue('status') ?? '').toUpperCase();
    if (!property || status === 'CANCELLED' || status === 'COMPLETED') return [];
    const onwards = instead.get(component);
    if (onwards !== undefined && master && isOnwards(component)) return changedOnwards(component, onwards);
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
    const without = new Set([
      ...exdates.filter((e) => !e.day).map((e) => e.at),
      ...(single ? [] : [...instead.values()].filter((w) => !turns.includes(w))),
    ]);
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
          : component.getAllProperties('rdate').flatMap((p) =>
              p.getValues().map((v) => ({
                at: onClock(v instanceof ICAL.Period ? v.start : (v as ICAL.Time), p, owner),
                length: v instanceof ICAL.Period ? v.getDuration().toSeconds() * 1000 : null,
              })),
            ),
        part: { from: -Infinity, to: single ? Infinity : turnAfter(-Infinity), moved: 0 },
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

/** Whether a change is of all that follow, too. */
const isOnwards = (c: ICAL.Component): boolean =>
  String(c.getFirstProperty('recurrence-id')?.getFirstParameter('range') ?? '').toUpperCase() === 'THISANDFUTURE';

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
