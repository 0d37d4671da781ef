import ICAL from 'ical.js';
import { factsOf } from '../week/facts';
import { anchorOf } from '../week/occurrences';
import { wallOfTime } from '../week/recur/clock';
import { DAY_MS, isoDay, minuteOfDay, wallOfDay } from '../week/recur/wall';
import type { Round, Turn } from '../week/round';
import { MOST_TURNS, ruleOfRound } from '../week/round';
import type { Calendar } from '../week/calendar';
import { cleanLine } from '../measure/clean-text';
import { editItems } from './calendar-splice';

/**
 * The rounds of a calendar, or of its bundles. Each turn is an event of its own that repeats, so that any other
 * program reads the same days; that they belong together is said by X-HOBNAIL-ROUND.
 */
export function roundsOf(...calendars: readonly Calendar[]): Round[] {
  const byName = new Map<string, ICAL.Component[]>();
  for (const component of calendars.flatMap(turnsOf)) {
    const name = factsOf(component).round;
    if (name) byName.set(name, [...(byName.get(name) ?? []), component]);
  }
  return [...byName].flatMap(([name, members]) => roundOf(name, members));
}

const turns = new WeakMap<ICAL.Component, readonly ICAL.Component[]>();

/** The events that are turns of a round; looked through once a calendar. */
function turnsOf({ root }: Calendar): readonly ICAL.Component[] {
  const known = turns.get(root) ?? root.getAllSubcomponents('vevent').filter((c) => c.hasProperty('x-hobnail-round'));
  turns.set(root, known);
  return known;
}

function roundOf(name: string, members: readonly ICAL.Component[]): Round[] {
  const rule = members[0]?.getFirstPropertyValue('rrule');
  if (!(rule instanceof ICAL.Recur)) return [];
  const every = rule.freq === 'WEEKLY' ? 'week' : 'day';
  const stride = (every === 'week' ? 7 : 1) * DAY_MS;
  const starts = members.map((m) => wallOfTime((anchorOf(m) as ICAL.Property).getFirstValue() as ICAL.Time));
  const first = wallOfDay(isoDay(Math.min(...starts)));
  const turns: (Turn | null)[] = Array.from({ length: Math.min(MOST_TURNS, Math.max(1, rule.interval)) }, () => null);
  members.forEach((member, i) => {
    const start = starts[i] as number;
    const place = Math.floor((start - first) / stride);
    const duration = member.getFirstPropertyValue('duration');
    const timed = !((anchorOf(member) as ICAL.Property).getFirstValue() as ICAL.Time).isDate;
    if (place < turns.length)
      turns[place] = {
        text: factsOf(member).title,
        start: timed ? minuteOfDay(start) : null,
        minutes: duration instanceof ICAL.Duration && timed ? Math.round(duration.toSeconds() / 60) : null,
      };
  });
  const { kind, part } = factsOf(members[0] as ICAL.Component);
  return [{ name, first: isoDay(first), every, turns, kind, part }];
}

/**
 * The calendar with a round put in, in place of the one of its name, or of `instead`.
 * @param stamp when that was, as 2027-02-03T08:00:00Z
 * @param uid makes the uid of a turn
 */
export function putRound(
  ics: string,
  round: Round,
  zone: string,
  stamp: string,
  uid: (turn: number) => string,
  instead: string = round.name,
): string {
  return editItems(ics, ofRounds, (root) => {
    takeOut(root, [instead, round.name]);
    add(root, round, zone, stamp, uid);
  });
}

function add(root: ICAL.Component, round: Round, zone: string, stamp: string, uid: (turn: number) => string): void {
  round.turns.forEach((turn, i) => {
    if (!turn) return;
    const event = new ICAL.Component('vevent');
    event.updatePropertyWithValue('uid', uid(i));
    event.updatePropertyWithValue('dtstamp', ICAL.Time.fromDateTimeString(stamp));
    event.updatePropertyWithValue('summary', turn.text);
    const day = isoDay(wallOfDay(round.first) + i * (round.every === 'week' ? 7 : 1) * DAY_MS);
    const start = new ICAL.Property('dtstart', event);
    if (turn.start === null) start.resetType('date');
    else start.setParameter('tzid', zone);
    start.setValue(
      turn.start === null
        ? ICAL.Time.fromDateString(day)
        : ICAL.Time.fromDateTimeString(
            `${day}T${String(Math.floor(turn.start / 60)).padStart(2, '0')}:${String(turn.start % 60).padStart(2, '0')}:00`,
          ),
    );
    event.addProperty(start);
    if (turn.start !== null && turn.minutes)
      event.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(turn.minutes * 60));
    event.addPropertyWithValue('rrule', ICAL.Recur.fromString(ruleOfRound(round)));
    event.addPropertyWithValue('x-hobnail-round', cleanLine(round.name));
    if (round.kind) event.addPropertyWithValue('x-hobnail-kind', round.kind);
    if (round.part) event.addPropertyWithValue('x-hobnail-part', round.part);
    root.addSubcomponent(event);
  });
}

/** The calendar without a round, all of its turns. */
export const removeRound = (ics: string, name: string): string =>
  editItems(ics, ofRounds, (root) => takeOut(root, [name]));

const ofRounds = (item: string): boolean => /^X-HOBNAIL-ROUND[:;]/im.test(item);

function takeOut(root: ICAL.Component, names: readonly string[]): void {
  for (const component of root.getAllSubcomponents('vevent'))
    if (names.includes(factsOf(component).round ?? '')) root.removeSubcomponent(component);
}
