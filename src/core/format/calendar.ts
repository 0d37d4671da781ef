import ICAL from 'ical.js';
import { zoneNamed } from '../week/recur/zone';
import type { Block } from './calendar-blocks';
import { blocksOf } from './calendar-blocks';
import type { Fault } from './fault';
import type { Calendar } from '../week/calendar';
import { BadInput, lineFault, quoted } from './fault';

/** A larger file is refused: it could not be kept in mind while planning. */
export const MOST_MEGABYTES = 64;
export const MOST_COMPONENTS = 60_000;
const MOST_FAULTS = 40;
const BLOCKS_A_STEP = 200;

/**
 * Reads an iCalendar file (RFC 5545). Several calendars in one file are read as one.
 * @param file name for messages
 * @throws BadInput naming the lines of the faults
 * @example demandsOfWeek([readCalendar(ics, 'home.ics')], '2027-W06', 'monday')
 */
export function readCalendar(text: string, file: string): Calendar {
  const reading = readingCalendar(text, file);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
  }
}

/** The same step by step, for large files: yields the share that is done, 0 to 1, and may be left at any step. */
export function* readingCalendar(text: string, file: string): Generator<number, Calendar> {
  const megabytes = text.length / 2 ** 20;
  if (megabytes > MOST_MEGABYTES)
    throw wholeFault(
      file,
      `${Math.round(megabytes)} MB of text`,
      `at most ${MOST_MEGABYTES} MB; write out a shorter span of your calendar`,
    );
  const clean = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  const cutting = blocksOf(clean, file);
  let step = cutting.next();
  for (; !step.done; step = cutting.next()) yield step.value * 0.2;
  const { properties, blocks } = step.value;
  if (blocks.length > MOST_COMPONENTS)
    throw wholeFault(
      file,
      `${blocks.length} items`,
      `at most ${MOST_COMPONENTS}; write out a shorter span of your calendar`,
    );
  const frame = parse(`BEGIN:VCALENDAR\r\n${properties}\r\nEND:VCALENDAR`, file, 1, clean) as [
    string,
    unknown[],
    unknown[],
  ];
  const faults: Fault[] = [];
  for (const [i, block] of blocks.entries()) {
    if (i % BLOCKS_A_STEP === 0) yield 0.2 + (0.6 * i) / blocks.length;
    frame[2].push(parse(block.text.trimEnd().replace(/\n/g, '\r\n'), file, block.line, clean));
  }
  const root = withMisses(new ICAL.Component(frame));
  for (const [i, component] of root.getAllSubcomponents().entries()) {
    if (i % BLOCKS_A_STEP === 0) yield 0.8 + (0.2 * i) / blocks.length;
    faults.push(...faultsOf(component, blocks[i] as Block, file));
    if (faults.length >= MOST_FAULTS) break;
  }
  if (faults.length) throw new BadInput(faults);
  return { root, zone: zoneOf(root), notes: unknownZones(root) };
}

/**
 * The library looks through all components for a zone that is in none of them, again for every time: it is told so
 * once.
 */
function withMisses(root: ICAL.Component): ICAL.Component {
  const find = root.getTimeZoneByID.bind(root);
  const misses = new Set<string>();
  root.getTimeZoneByID = (tzid: string) => {
    const zone = misses.has(tzid) ? null : find(tzid);
    if (!zone) misses.add(tzid);
    return zone as ICAL.Timezone;
  };
  return root;
}

const wholeFault = (file: string, found: string, expected: string): BadInput =>
  new BadInput([{ file, where: 'the whole file', found, expected }]);

function parse(text: string, file: string, line: number, whole: string): unknown {
  try {
    return ICAL.parse(text);
  } catch (error) {
    const said = error instanceof Error ? error.message : String(error);
    const fragment = /"([^"]+)"/.exec(said)?.[1];
    const inside = fragment ? text.split('\r\n').findIndex((l) => l !== '' && fragment.startsWith(l)) : -1;
    const at =
      line > 1
        ? line + Math.max(0, inside)
        : fragment
          ? whole.split('\n').findIndex((l) => l !== '' && fragment.startsWith(l)) + 1
          : 1;
    throw lineFault(file, Math.max(1, at), quoted(said), 'a property as RFC 5545 writes it, NAME:VALUE');
  }
}

const TIMES = ['dtstart', 'dtend', 'due', 'recurrence-id', 'exdate', 'rdate'];

/** Every event and to-do must be readable before any is used. */
function faultsOf(component: ICAL.Component, block: Block, file: string): Fault[] {
  if (component.name !== 'vevent' && component.name !== 'vtodo') return [];
  const uid = component.getFirstPropertyValue('uid');
  const at = `line ${block.line}, ${block.name} ${uid ? quoted(String(uid)) : 'without UID'}`;
  if (component.name === 'vevent' && !component.hasProperty('dtstart'))
    return [{ file, where: `${at}, DTSTART`, found: 'nothing', expected: 'the day or time it starts' }];
  const found = TIMES.flatMap((name) =>
    component
      .getAllProperties(name)
      .filter((p) => !isTime(p))
      .map((p): Fault => ({
        file,
        where: `${at}, ${name.toUpperCase()}`,
        found: quoted(rawValue(p)),
        expected: 'a date such as 20270208 or a time such as 20270208T163000',
      })),
  );
  const rules = component
    .getAllProperties('rrule')
    .filter((p) => !isRule(p))
    .map((p): Fault => ({
      file,
      where: `${at}, RRULE`,
      found: quoted(rawValue(p)),
      expected: 'a rule as RFC 5545 writes it, such as FREQ=WEEKLY;BYDAY=MO',
    }));
  return [...found, ...rules];
}

function isTime(property: ICAL.Property): boolean {
  try {
    const written = (property.toJSON() as unknown[]).slice(3);
    return (property.getValues() as readonly unknown[]).every((value, i) => {
      const time = value instanceof ICAL.Period ? value.start : value;
      // the parser makes a day or an hour that there is not another one: what is written tells
      const [, year, month, day, hour = 0, minute = 0, second = 0] =
        /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{2}):(\d{2}):(\d{2}))?/.exec(String(written[i])) ?? [];
      const date = new Date(Date.UTC(Number(year), Number(month) - 1, Number(day)));
      return (
        time instanceof ICAL.Time &&
        date.getUTCMonth() === Number(month) - 1 &&
        date.getUTCDate() === Number(day) &&
        Number(hour) * 60 + Number(minute) <= 24 * 60 && // midnight may be written as 24:00
        Number(minute) < 60 &&
        Number(second) <= 60 // a leap second
      );
    });
  } catch {
    return false;
  }
}

function isRule(property: ICAL.Property): boolean {
  try {
    const rule = property.getFirstValue();
    return rule instanceof ICAL.Recur && /^(YEARLY|MONTHLY|WEEKLY|DAILY|HOURLY|MINUTELY|SECONDLY)$/.test(rule.freq);
  } catch {
    return false;
  }
}

const rawValue = (property: ICAL.Property): unknown => (property.toJSON() as unknown[])[3];

const zonesUsed = (root: ICAL.Component): Map<string, number> => {
  const counts = new Map<string, number>();
  for (const component of root.getAllSubcomponents()) {
    const tzid = (component.getFirstProperty('dtstart') ?? component.getFirstProperty('due'))?.getFirstParameter(
      'tzid',
    );
    if (tzid) counts.set(tzid, (counts.get(tzid) ?? 0) + 1);
  }
  return counts;
};

/** What the file says of its owner's zone, or else the zone most of its times are in. */
function zoneOf(root: ICAL.Component): string | null {
  const said = root.getFirstPropertyValue('x-wr-timezone');
  if (typeof said === 'string') return said;
  return [...zonesUsed(root)].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? null;
}

function unknownZones(root: ICAL.Component): string[] {
  const described = new Set(root.getAllSubcomponents('vtimezone').map((z) => String(z.getFirstPropertyValue('tzid'))));
  return [...zonesUsed(root)]
    .filter(([name]) => !zoneNamed(name) && !described.has(name))
    .map(
      ([name, count]) =>
        `The time zone ${quoted(name)} is not known here and the file does not describe it: ${count === 1 ? 'one time is' : `${count} times are`} read as your own clock’s.`,
    );
}
