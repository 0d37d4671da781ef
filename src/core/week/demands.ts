import type ICAL from 'ical.js';
import type { Calendar } from '../format/calendar';
import type { Demand, DemandKind, Part, Room, WeekDemands } from './demand';
import { DEMAND_KINDS, PARTS, ROOMS, inTimeOrder } from './demand';
import { meaningsOf, usualPart } from './meaning';
import type { Occurrence } from './occurrences';
import { occurrencesBetween } from './occurrences';
import type { IsoDay, WeekName } from './week';
import { daysOfWeek } from './week';

/** A due date is looked for this many days beyond the week, since its task may be planned ahead of it. */
const FURTHEST_LEAD = 14;

/**
 * What a week must hold, from its calendars (formats.md, Agenda): bands, lists, lead times, parts of day.
 * What the calendar does not say is inferred.
 * @param zone owner's IANA zone; by default what the first calendar says, else UTC
 */
export function demandsOfWeek(
  calendars: readonly Calendar[],
  week: WeekName,
  weekStart: 'monday' | 'sunday' = 'monday',
  zone: string = calendars.map((c) => c.zone).find(Boolean) ?? 'utc',
): WeekDemands {
  const days = daysOfWeek(week, weekStart);
  const found = calendars
    .flatMap((c) => occurrencesBetween(c, days[0] as IsoDay, days[6] as IsoDay, zone, FURTHEST_LEAD))
    .flatMap((o) => toDemand(o, days))
    .sort((a, b) => a.day - b.day || inTimeOrder(a, b));
  return { week, days, demands: withKeys(found) };
}

function toDemand(o: Occurrence, days: readonly IsoDay[]): Demand[] {
  const text = (name: string): string => String(o.component.getFirstPropertyValue(name) ?? '').trim();
  const title = text('summary').replace(/\s+/g, ' ') || 'untitled';
  const lead = leadDays(text('x-hobnail-lead'));
  const firstDay = o.start.minus({ days: lead }).toISODate() as IsoDay;
  const lastMoment = o.end > o.start ? o.end.minus({ milliseconds: 1 }) : o.start;
  const longEvent = !o.task && (o.allDay ? o.end.diff(o.start, 'days').days > 1.5 : o.end.diff(o.start, 'hours').hours >= 24);
  const asked = oneOf(DEMAND_KINDS, text('x-hobnail-kind'));
  const band = longEvent || (asked === 'band' && !o.task);
  const lastDay = band ? (lastMoment.toISODate() as IsoDay) : firstDay;
  if (lastDay < (days[0] as IsoDay) || firstDay > (days[6] as IsoDay)) return [];
  const day = Math.max(0, days.indexOf(firstDay));
  const categories = o.component.getAllProperties('categories').flatMap((p: ICAL.Property) => p.getValues().map(String));
  const timed = !o.allDay && !band && lead === 0;
  return [{
    key: '',
    uid: o.uid,
    title,
    kind: band ? 'band' : (asked ?? guessKind(o, title, categories)),
    day,
    lastDay: band ? (days.indexOf(lastDay) < 0 ? 6 : days.indexOf(lastDay)) : day,
    start: timed ? o.start.hour * 60 + o.start.minute : null,
    end: timed && o.end > o.start ? Math.min(24 * 60, o.start.hour * 60 + o.start.minute + Math.round(o.end.diff(o.start, 'minutes').minutes)) : null,
    part: oneOf<Part>(PARTS, text('x-hobnail-part')) ?? usualPart(title, categories),
    tentative: text('status').toUpperCase() === 'TENTATIVE',
    list: text('x-hobnail-list') || (o.task && (asked === null || asked === 'to-do') ? 'to do' : null),
    room: oneOf<Room>(ROOMS, text('x-hobnail-room')),
    categories,
  }];
}

function guessKind(o: Occurrence, title: string, categories: readonly string[]): DemandKind {
  if (o.task) return 'to-do';
  if (!o.allDay) return 'appointment';
  const meanings = meaningsOf(title, categories);
  if (meanings.some((m) => ['laundry', 'bins', 'clean', 'garden', 'groceries', 'water'].includes(m))) return 'chore';
  return 'occasion';
}

const oneOf = <T extends string>(known: readonly T[], text: string): T | null =>
  known.find((k) => k === text.toLowerCase()) ?? null;

/** Whole days of a duration such as P1D or P2W; shorter ones are on the day itself. */
function leadDays(text: string): number {
  const match = /^P(?:(\d+)W)?(?:(\d+)D)?/.exec(text);
  return match ? Number(match[1] ?? 0) * 7 + Number(match[2] ?? 0) : 0;
}

/** Keys stay the same while other items come and go: the uid, its day where it comes on several, a number where twice on one. */
function withKeys(demands: readonly Demand[]): Demand[] {
  const days = new Map<string, Set<number>>();
  for (const d of demands) days.set(d.uid, (days.get(d.uid) ?? new Set()).add(d.day));
  const seen = new Map<string, number>();
  return demands.map((d) => {
    const base = (days.get(d.uid)?.size ?? 0) > 1 ? `${d.uid}#${d.day}` : d.uid;
    const nth = (seen.get(base) ?? 0) + 1;
    seen.set(base, nth);
    return { ...d, key: nth > 1 ? `${base}~${nth}` : base };
  });
}
