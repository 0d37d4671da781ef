import ICAL from 'ical.js';
import type { DemandKind, Part, Room } from './demand';
import { DEMAND_KINDS, PARTS, ROOMS } from './demand';
import type { IsoDay } from './week';

/** Something to be done some days before an occasion: order by, post by. */
export interface Reminder {
  readonly days: number;
  readonly text: string;
}

/** What an event or to-do says of itself beyond its days (docs/formats/agenda.md). */
export interface Facts {
  readonly title: string;
  readonly kind: DemandKind | null;
  readonly part: Part | null;
  readonly room: Room | null;
  readonly list: string | null;
  readonly tentative: boolean;
  readonly categories: readonly string[];
  /** planned that many days before its day (handbook D9) */
  readonly lead: number;
  /** and shown on its day as due, too */
  readonly dueShown: boolean;
  /** days before it on which the days left are counted */
  readonly countdown: readonly number[];
  readonly reminders: readonly Reminder[];
  /** the year its number is counted from; 0: the number is not known; null: nothing is said */
  readonly since: number | null;
  /** the rota or the turns it is a part of */
  readonly round: string | null;
  /** only in weeks in which the item of that uid or title happens */
  readonly onlyWith: string | null;
  /** while it lasts, these rest: `chores`, `routines`, or uids, titles, lists and rounds by name */
  readonly quiet: readonly string[];
  /** the day it was put off from */
  readonly from: IsoDay | null;
}

const LONGEST_TITLE = 400;
/** Nothing is announced longer before its day than this. */
export const FURTHEST = 366;
const known = new WeakMap<ICAL.Component, Facts>();

/** Read once a component; a component that is changed is read anew from its calendar's text. */
export function factsOf(component: ICAL.Component): Facts {
  const found = known.get(component);
  if (found) return found;
  const text = (name: string): string => String(component.getFirstPropertyValue(name) ?? '').trim();
  const since = text('x-hobnail-since');
  const facts: Facts = {
    title: text('summary').replace(/\s+/g, ' ').slice(0, LONGEST_TITLE) || 'untitled',
    kind: oneOf(DEMAND_KINDS, text('x-hobnail-kind')),
    part: oneOf(PARTS, text('x-hobnail-part')),
    room: oneOf(ROOMS, text('x-hobnail-room')),
    list: text('x-hobnail-list') || null,
    tentative: text('status').toUpperCase() === 'TENTATIVE',
    categories: component.getAllProperties('categories').flatMap((p) => p.getValues().map(String)),
    lead: Math.min(FURTHEST, wholeDays(text('x-hobnail-lead'))),
    dueShown: text('x-hobnail-due').toUpperCase() === 'SHOWN',
    countdown: parts(text('x-hobnail-countdown'))
      .map(Number)
      .filter((n) => Number.isInteger(n) && n > 0 && n <= FURTHEST),
    reminders: component.getAllSubcomponents('valarm').flatMap(reminder),
    since: /^\d{1,4}$/.test(since) ? Number(since) : null,
    round: text('x-hobnail-round') || null,
    onlyWith: text('x-hobnail-only-with') || null,
    quiet: parts(text('x-hobnail-quiet')),
    from: /^\d{4}-\d{2}-\d{2}$/.test(text('x-hobnail-from')) ? text('x-hobnail-from') : null,
  };
  known.set(component, facts);
  return facts;
}

/** How many days before its day an item first shows. */
export const reachOf = (f: Facts): number => Math.max(f.lead, ...f.countdown, ...f.reminders.map((r) => r.days));

const parts = (text: string): string[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean);
const oneOf = <T extends string>(list: readonly T[], text: string): T | null =>
  list.find((k) => k === text.toLowerCase()) ?? null;

/** Whole days of a duration such as P1D or P2W; a shorter one is on the day itself. */
function wholeDays(text: string): number {
  const match = /^P(?:(\d+)W)?(?:(\d+)D)?/.exec(text);
  return match ? Number(match[1] ?? 0) * 7 + Number(match[2] ?? 0) : 0;
}

/** An alarm that is meant for the planner is marked as a reminder; those of other programs are left to them. */
function reminder(alarm: ICAL.Component): Reminder[] {
  const trigger = alarm.getFirstPropertyValue('trigger');
  const text = String(alarm.getFirstPropertyValue('description') ?? '').trim();
  if (
    String(alarm.getFirstPropertyValue('x-hobnail-kind')).toLowerCase() !== 'reminder' ||
    !(trigger instanceof ICAL.Duration) ||
    !text
  )
    return [];
  const days = Math.round(-trigger.toSeconds() / 86_400);
  return days > 0 && days <= FURTHEST ? [{ days, text: text.slice(0, LONGEST_TITLE) }] : [];
}
