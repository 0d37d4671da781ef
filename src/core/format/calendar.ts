import ICAL from 'ical.js';
import { BadInput, quoted } from './fault';

/** A calendar file as read: the whole of it, so that nothing is lost on the way back. */
export interface Calendar {
  readonly root: ICAL.Component;
  /** zone its owner keeps, when the file says or shows it */
  readonly zone: string | null;
}

/**
 * Reads an iCalendar file (RFC 5545). Several calendars in one file are read as one.
 * @param file name for messages
 * @throws BadInput naming the line of the fault
 */
export function readCalendar(text: string, file: string): Calendar {
  const clean = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n').trimEnd();
  checkBlocks(clean, file);
  let parsed: unknown;
  try {
    parsed = ICAL.parse(clean.replace(/\n/g, '\r\n'));
  } catch (error) {
    const said = error instanceof Error ? error.message : String(error);
    const fragment = /"([^"]+)"/.exec(said)?.[1];
    const line = fragment ? clean.split('\n').findIndex((l) => fragment.startsWith(l)) + 1 : 0;
    throw fault(file, line || 1, quoted(said), 'a property as RFC 5545 writes it, NAME:VALUE');
  }
  const root = joined(parsed);
  checkComponents(root, file, clean);
  return { root, zone: zoneOf(root) };
}

const fault = (file: string, line: number, found: string, expected: string): BadInput =>
  new BadInput([{ file, where: `line ${line}`, found, expected }]);

function checkBlocks(text: string, file: string): void {
  const lines = text.split('\n');
  const open: { name: string; line: number }[] = [];
  const first = lines.findIndex((l) => l.trim() !== '');
  if (first < 0 || !/^BEGIN:VCALENDAR\s*$/i.test(lines[first] as string)) {
    throw fault(file, Math.max(1, first + 1), quoted(lines[Math.max(0, first)] ?? ''), 'BEGIN:VCALENDAR, the first line of a calendar file');
  }
  lines.forEach((line, i) => {
    const match = /^(BEGIN|END):\s*([\w-]+)\s*$/i.exec(line);
    if (!match) {
      if (line.trim() && !/^[ \t]/.test(line) && !/^[A-Za-z0-9-]+[;:]/.test(line)) {
        throw fault(file, i + 1, quoted(line), 'a property as RFC 5545 writes it, NAME:VALUE');
      }
      return;
    }
    const name = (match[2] as string).toUpperCase();
    if ((match[1] as string).toUpperCase() === 'BEGIN') open.push({ name, line: i + 1 });
    else if (open.at(-1)?.name !== name) {
      throw fault(file, i + 1, quoted(line), open.length ? `END:${open.at(-1)?.name}, for the BEGIN on line ${open.at(-1)?.line}` : 'no END without its BEGIN');
    } else open.pop();
  });
  const last = open.at(-1);
  if (last) {
    throw fault(file, lines.length, 'the end of the file', `END:${last.name}, for the BEGIN on line ${last.line}; the file seems cut off`);
  }
}

function joined(parsed: unknown): ICAL.Component {
  const blocks = (Array.isArray((parsed as unknown[])[0]) ? parsed : [parsed]) as ConstructorParameters<typeof ICAL.Component>[0][];
  const [first, ...more] = blocks.map((block) => new ICAL.Component(block));
  const root = first as ICAL.Component;
  for (const other of more) {
    for (const component of other.getAllSubcomponents()) root.addSubcomponent(component);
  }
  return root;
}

/** Every event and to-do must be readable before any is used. */
function checkComponents(root: ICAL.Component, file: string, text: string): void {
  const faults = [...root.getAllSubcomponents('vevent'), ...root.getAllSubcomponents('vtodo')].flatMap((component) => {
    const uid = String(component.getFirstPropertyValue('uid') ?? '');
    const where = `${component.name.toUpperCase()} ${uid ? quoted(uid) : 'without UID'}`;
    const line = uid ? text.slice(0, Math.max(0, text.indexOf(`UID:${uid}`))).split('\n').length : 0;
    const at = line > 0 ? `line ${line}, ${where}` : where;
    if (component.name === 'vevent' && !component.getFirstProperty('dtstart')) {
      return [{ file, where: `${at}, DTSTART`, found: 'nothing', expected: 'the day or time it starts' }];
    }
    return ['dtstart', 'dtend', 'due', 'recurrence-id'].flatMap((name) => {
      const property = component.getFirstProperty(name);
      if (!property || isTime(property)) return [];
      return [{ file, where: `${at}, ${name.toUpperCase()}`, found: quoted(rawValue(property)), expected: 'a date such as 20270208 or a time such as 20270208T163000' }];
    });
  });
  if (faults.length) throw new BadInput(faults);
}

function isTime(property: ICAL.Property): boolean {
  try {
    const value = property.getFirstValue();
    if (!(value instanceof ICAL.Time)) return false;
    const date = new Date(Date.UTC(value.year, value.month - 1, value.day));
    return date.getUTCMonth() === value.month - 1 && date.getUTCDate() === value.day && value.hour < 25 && value.minute < 60;
  } catch {
    return false;
  }
}

const rawValue = (property: ICAL.Property): unknown => (property.toJSON() as unknown[])[3];

/** What the file says of its owner's zone, or else the zone most of its times are in. */
function zoneOf(root: ICAL.Component): string | null {
  const said = root.getFirstPropertyValue('x-wr-timezone');
  if (typeof said === 'string') return said;
  const counts = new Map<string, number>();
  for (const component of root.getAllSubcomponents()) {
    const tzid = component.getFirstProperty('dtstart')?.getFirstParameter('tzid');
    if (tzid) counts.set(tzid, (counts.get(tzid) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? null;
}
