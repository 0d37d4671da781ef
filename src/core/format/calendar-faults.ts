import ICAL from 'ical.js';
import type { Block } from './calendar-blocks';
import type { Fault } from './fault';
import { quoted } from './fault';

const TIMES = ['dtstart', 'dtend', 'due', 'recurrence-id', 'exdate', 'rdate'];
/** A duration of RFC 5545, section 3.3.6: weeks, or days and a time, none of them empty. */
const DURATION = /^[+-]?P(?=\d|T\d)(?:\d{1,5}W|(?:\d{1,5}D)?(?:T(?=\d)(?:\d{1,7}H)?(?:\d{1,7}M)?(?:\d{1,9}S)?)?)$/;
/** A zone whose clock changes more often than a few times a year is none; some files have made time stand still. */
const ZONE_RULES = ['YEARLY', 'MONTHLY'];
const FIRST_YEAR = 1;

/** A fault, and the property that it lies in; null where one is missing. */
export interface Unread {
  readonly fault: Fault;
  readonly property: ICAL.Property | null;
}

/** More of these on one item, or in one zone, mean no calendar of anybody's: each is worked out for every week. */
const MOST_RULES = 10;
const MOST_TIMES = 5000;
const MOST_CHANGES = 400;

/** Everything that is used later must be readable before any is used: times, lengths, rules, zones; and not endless. */
export function faultsOf(component: ICAL.Component, block: Block, file: string): Unread[] {
  if (component.name === 'vtimezone') return zoneFaults(component, block, file);
  if (component.name !== 'vevent' && component.name !== 'vtodo') return [];
  const uid = component.getFirstPropertyValue('uid');
  const at = `line ${block.line}, ${block.name} ${uid ? quoted(String(uid)) : 'without UID'}`;
  if (component.name === 'vevent' && !component.hasProperty('dtstart'))
    return [missing('DTSTART', { file, at, expected: 'the day or time it starts' })];
  return [
    ...tooMany(component, 'rrule', MOST_RULES, { file, at }),
    ...tooMany(component, 'rdate', MOST_TIMES, { file, at }),
    ...tooMany(component, 'exdate', MOST_TIMES, { file, at }),
    ...unreadable(component, TIMES, isTime, { file, at, expected: TIME_EXPECTED }),
    ...unreadable(component, ['rrule'], isRule, { file, at, expected: RULE_EXPECTED }),
    ...unreadable(component, ['duration'], isDuration, { file, at, expected: LENGTH_EXPECTED }),
    ...component
      .getAllSubcomponents('valarm')
      .flatMap((alarm) =>
        unreadable(alarm, ['trigger'], (p) => isDuration(p) || isTime(p), { file, at, expected: LENGTH_EXPECTED }),
      ),
  ];
}

const TIME_EXPECTED = 'a date such as 20270208 or a time such as 20270208T163000';
const RULE_EXPECTED = 'a rule as RFC 5545 writes it, such as FREQ=WEEKLY;BYDAY=MO';
const LENGTH_EXPECTED = 'a length such as PT1H30M or P2D';

/** A zone of the file's own: every part of it must begin somewhere, have an offset, and change by the year. */
function zoneFaults(zone: ICAL.Component, block: Block, file: string): Unread[] {
  const name = zone.getFirstPropertyValue('tzid');
  const at = `line ${block.line}, VTIMEZONE ${name ? quoted(String(name)) : 'without TZID'}`;
  const rule = (p: ICAL.Property): boolean => isRule(p) && ZONE_RULES.includes((p.getFirstValue() as ICAL.Recur).freq);
  const changes = ['standard', 'daylight'].flatMap((part) => zone.getAllSubcomponents(part)).length;
  if (changes > MOST_CHANGES) {
    const expected = `at most ${MOST_CHANGES} changes of its clock`;
    return [{ property: null, fault: { file, where: at, found: String(changes), expected } }];
  }
  return ['standard', 'daylight']
    .flatMap((part) => zone.getAllSubcomponents(part))
    .flatMap((part) => [
      ...(part.hasProperty('dtstart') ? [] : [missing('DTSTART', { file, at, expected: TIME_EXPECTED })]),
      ...unreadable(part, ['dtstart', 'rdate'], isTime, { file, at, expected: TIME_EXPECTED }),
      ...unreadable(part, ['rrule'], rule, { file, at, expected: 'a rule such as FREQ=YEARLY;BYMONTH=3;BYDAY=2SU' }),
      ...unreadable(part, ['tzoffsetfrom', 'tzoffsetto'], isOffset, { file, at, expected: 'an offset such as -0500' }),
      ...(part.hasProperty('tzoffsetto') && part.hasProperty('tzoffsetfrom')
        ? []
        : [missing('TZOFFSETTO', { file, at, expected: 'an offset such as -0500' })]),
    ]);
}

const missing = (name: string, { file, at, expected }: { file: string; at: string; expected: string }): Unread => ({
  property: null,
  fault: { file, where: `${at}, ${name}`, found: 'nothing', expected },
});

/** Properties of a name beyond so many. */
function tooMany(
  component: ICAL.Component,
  name: string,
  most: number,
  { file, at }: { file: string; at: string },
): Unread[] {
  const all = component.getAllProperties(name);
  const fault = {
    file,
    where: `${at}, ${name.toUpperCase()}`,
    found: `${all.length} of them`,
    expected: `at most ${most}`,
  };
  return all.slice(most).map((property) => ({ property, fault }));
}

/** Makes a property that cannot be read one without a value, for all who ask; as text it stays what it is. */
export function blind(property: ICAL.Property): void {
  property.getFirstValue = () => null as never;
  property.getValues = () => [];
}

/** The properties of some names that a test does not let pass. */
function unreadable(
  component: ICAL.Component,
  names: readonly string[],
  isFine: (property: ICAL.Property) => boolean,
  { file, at, expected }: { file: string; at: string; expected: string },
): Unread[] {
  return names.flatMap((name) =>
    component
      .getAllProperties(name)
      .filter((p) => !holds(p, isFine))
      .map((property): Unread => ({
        property,
        fault: { file, where: `${at}, ${name.toUpperCase()}`, found: quoted(rawValue(property)), expected },
      })),
  );
}

/** The library throws where it reads a value for the first time. */
function holds(property: ICAL.Property, isFine: (property: ICAL.Property) => boolean): boolean {
  try {
    return isFine(property);
  } catch {
    return false;
  }
}

function isTime(property: ICAL.Property): boolean {
  const written = (property.toJSON() as unknown[]).slice(3);
  return (property.getValues() as readonly unknown[]).every((value, i) => {
    const time = value instanceof ICAL.Period ? value.start : value;
    // the parser makes a day or an hour that there is not another one: what is written tells
    const [, year, month, day, hour = 0, minute = 0, second = 0] =
      /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{2}):(\d{2}):(\d{2}))?/.exec(String(written[i])) ?? [];
    const date = new Date(0);
    date.setUTCFullYear(Number(year), Number(month) - 1, Number(day));
    return (
      time instanceof ICAL.Time &&
      Number(year) >= FIRST_YEAR &&
      date.getUTCMonth() === Number(month) - 1 &&
      date.getUTCDate() === Number(day) &&
      Number(hour) * 60 + Number(minute) <= 24 * 60 && // midnight may be written as 24:00
      Number(minute) < 60 &&
      Number(second) <= 60 // a leap second
    );
  });
}

function isRule(property: ICAL.Property): boolean {
  const rule = property.getFirstValue();
  return (
    rule instanceof ICAL.Recur &&
    /^(YEARLY|MONTHLY|WEEKLY|DAILY|HOURLY|MINUTELY|SECONDLY)$/.test(rule.freq) &&
    (!rule.until || !Number.isNaN(rule.until.toUnixTime()))
  );
}

const isDuration = (property: ICAL.Property): boolean =>
  property.getFirstValue() instanceof ICAL.Duration && DURATION.test(String(rawValue(property)));

/** `-05:00` as the parser writes it. */
const isOffset = (property: ICAL.Property): boolean =>
  /^[+-](?:[01]\d|2[0-3]):?[0-5]\d(?::?[0-5]\d)?$/.test(String(rawValue(property)));

const rawValue = (property: ICAL.Property): unknown => (property.toJSON() as unknown[])[3];
