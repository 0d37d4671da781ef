import ICAL from 'ical.js';
import { zoneNamed } from '../week/recur/zone';
import type { Block, Blocks } from './calendar-blocks';
import { blocksOf } from './calendar-blocks';
import { blind, faultsOf } from './calendar-faults';
import type { Fault } from './fault';
import type { Calendar } from '../week/calendar';
import { BadInput, faultLine, lineFault, quoted } from './fault';

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
export const readCalendar = (text: string, file: string): Calendar => atOnce(readingCalendar(text, file));

/**
 * Reads a calendar that was taken in before: what is wrong with one of its items costs that item, and a note with its
 * line, never the others. Its text is kept as it is.
 */
export const readKeptCalendar = (text: string, file: string): Calendar =>
  atOnce(readingCalendar(text, file, { kept: true }));

/** Work that could be done step by step, done in one go. */
export function atOnce<T>(work: Generator<number, T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

interface Reading {
  /** it was taken in before, and faults become notes */
  readonly kept?: boolean;
}

/** The same step by step, for large files: yields the share that is done, 0 to 1, and may be left at any step. */
export function* readingCalendar(text: string, file: string, how: Reading = {}): Generator<number, Calendar> {
  return yield* readingCut(yield* cuttingCalendar(text, file), how);
}

/** A calendar's text, cut into its components; none of them is read yet. */
export interface CutCalendar extends Blocks {
  readonly file: string;
  /** with LF at line ends */
  readonly text: string;
}

/** Cuts a calendar up step by step. Yields the share that is done of all its reading. @throws BadInput */
export function* cuttingCalendar(text: string, file: string): Generator<number, CutCalendar> {
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
  if (step.value.blocks.length > MOST_COMPONENTS)
    throw wholeFault(
      file,
      `${step.value.blocks.length} items`,
      `at most ${MOST_COMPONENTS}; write out a shorter span of your calendar`,
    );
  return { ...step.value, file, text: clean };
}

/** Reads what was cut, step by step. @throws BadInput naming the lines of the faults */
export function* readingCut(cut: CutCalendar, { kept = false }: Reading = {}): Generator<number, Calendar> {
  const { properties, blocks, file, text } = cut;
  const frame = parse(`BEGIN:VCALENDAR\r\n${properties}\r\nEND:VCALENDAR`, file, 1, text) as [
    string,
    unknown[],
    unknown[],
  ];
  const faults: Fault[] = [];
  for (const [i, block] of blocks.entries()) {
    if (i % BLOCKS_A_STEP === 0) yield 0.2 + (0.6 * i) / blocks.length;
    mustBeShort(block, file);
    frame[2].push(parse(block.text.trimEnd().replace(/\n/g, '\r\n'), file, block.line, text));
  }
  const badZones = new Set<string>();
  const root = withMisses(new ICAL.Component(frame), badZones);
  for (const [i, component] of root.getAllSubcomponents().entries()) {
    if (i % BLOCKS_A_STEP === 0) yield 0.8 + (0.2 * i) / blocks.length;
    const found = faultsOf(component, blocks[i] as Block, file);
    if (found.length && component.name === 'vtimezone') badZones.add(String(component.getFirstPropertyValue('tzid')));
    faults.push(...found.map((f) => f.fault));
    if (kept) for (const { property } of found) if (property) blind(property);
    if (faults.length >= MOST_FAULTS && !kept) break;
  }
  if (faults.length && !kept) throw new BadInput(faults);
  const notes = faults.slice(0, MOST_FAULTS).map((f) => `${faultLine(f)}: left out where that is needed.`);
  return inPlace({ root, zone: zoneOf(root), notes: [...notes, ...unknownZones(root)] }, cut);
}

/** A calendar that was read from the same components before, with the lines they stand on now. */
export const inPlace = (calendar: Calendar, { blocks }: Pick<CutCalendar, 'blocks'>): Calendar => ({
  ...calendar,
  lines: linesOf(calendar.root, blocks),
});

/**
 * The library looks through all components for a zone that is in none of them, again for every time: it is told so
 * once. A zone that cannot be worked out is in none of them either.
 */
function withMisses(root: ICAL.Component, misses: Set<string>): ICAL.Component {
  const find = root.getTimeZoneByID.bind(root);
  root.getTimeZoneByID = (tzid: string) => {
    const zone = misses.has(tzid) ? null : find(tzid);
    if (!zone) misses.add(tzid);
    return zone as ICAL.Timezone;
  };
  return root;
}

/** Parameters of one property that are read; the library takes long over more. */
const MOST_PARAMETERS = 100;

/** @throws BadInput for a property with more parameters than any has */
function mustBeShort(block: Block, file: string): void {
  if (block.text.length < 4 * MOST_PARAMETERS) return;
  for (const [i, line] of block.text
    .replace(/\n[ \t]/g, '')
    .split('\n')
    .entries()) {
    const parameters = (line.match(/^[^:]*/)?.[0].split(';').length ?? 1) - 1;
    if (parameters > MOST_PARAMETERS)
      throw lineFault(file, block.line + i, `${parameters} parameters`, `at most ${MOST_PARAMETERS} on one property`);
  }
}

/** The line of the file at which each component begins. */
const linesOf = (root: ICAL.Component, blocks: readonly Block[]): ReadonlyMap<ICAL.Component, number> =>
  new Map(root.getAllSubcomponents().flatMap((c, i) => (blocks[i] ? [[c, blocks[i].line] as const] : [])));

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
