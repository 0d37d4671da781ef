import ICAL from 'ical.js';
import type { Block } from './calendar-blocks';
import { isZone } from './calendar-blocks';
import type { CutCalendar } from './calendar';
import { BadInput, quoted } from './fault';
import { mendedCalendar } from './mended-calendar';
import { atOnce, cuttingCalendar, readingCut } from './calendar';

/** A calendar that is kept, cut; one that an earlier version broke is mended. */
function cutKept(ics: string): CutCalendar {
  try {
    return atOnce(cuttingCalendar(ics, 'calendar'));
  } catch {
    return atOnce(cuttingCalendar(mendedCalendar(ics), 'calendar'));
  }
}

/** Takes an item by its own text, unfolded; it may take more than it must. */
export type Touches = (item: string) => boolean;

/** The items of a uid, as the file may write it. */
export const ofItem = (uid: string): Touches => {
  const escaped = uid.replace(/[\\;,]/g, '\\$&').replace(/\n/g, '\\n');
  return (item) => item.includes(uid) || item.includes(escaped);
};

/**
 * A calendar's text after an edit of some of its items. Only those are read and written anew: all the rest stays as it
 * was, to the letter, and a long calendar is changed in a moment.
 * @param edit changes, adds and takes out components of a calendar that has only those items, and all time zones
 */
export function editItems(ics: string, touches: Touches, edit: (root: ICAL.Component) => void): string {
  const cut = cutKept(ics);
  const zones = cut.blocks.filter(isZone);
  const touched = cut.blocks.filter((b) => !isZone(b) && touches(unfolded(b.text)));
  const { root } = atOnce(readingCut({ ...cut, blocks: [...zones, ...touched] }, { kept: true }));
  const before = [...root.getAllSubcomponents()];
  const from = new Map(touched.map((block, i) => [before[zones.length + i], block]));
  const looked = new Map(before.map((c) => [c, written(c)]));
  edit(root);
  const after = root.getAllSubcomponents();
  // what the edit left alone keeps its own way of writing, and is what could be read
  const now = new Map(
    after.flatMap((c): [Block, string][] => {
      const [block, text] = [from.get(c), written(c)];
      return block ? [[block, text === looked.get(c) ? block.text : writtenSafely(c)]] : [];
    }),
  );
  const added = after.filter((c) => !looked.has(c)).map(writtenSafely);
  return withBlocks(cut, new Map(touched.map((block) => [block, now.get(block) ?? ''])), added);
}

/**
 * A calendar's text with some of its blocks (in their order) as they shall be, an empty text for those that go, and
 * others added at its end; all the rest as it was.
 */
export function withBlocks(cut: CutCalendar, now: ReadonlyMap<Block, string>, added: readonly string[]): string {
  const parts: string[] = [];
  let at = 0;
  for (const [block, text] of now) {
    parts.push(cut.text.slice(at, block.at), text);
    at = block.at + block.text.length;
  }
  parts.push(cut.text.slice(at, cut.end), ...added, cut.text.slice(cut.end));
  return parts.join('').replace(/\n/g, '\r\n');
}

/** With LF at line ends, as the text it goes into. */
const written = (component: ICAL.Component): string => `${component.toString().replace(/\r\n/g, '\n')}\n`;

/**
 * A component as it is written, read again: what cannot be read back would take its whole calendar with it.
 * @throws BadInput
 */
function writtenSafely(component: ICAL.Component): string {
  const text = written(component);
  try {
    const back = new ICAL.Component(ICAL.parse(text.trimEnd().replace(/\n/g, '\r\n')) as unknown[]);
    if (sizeOf(back) === sizeOf(component)) return text;
  } catch {
    // said below
  }
  const found = quoted(component.getFirstPropertyValue('summary') ?? component.name);
  throw new BadInput([{ file: 'calendar', where: 'an item of it', found, expected: 'texts that a calendar can hold' }]);
}

/** How many properties it has, with all in it: one that was broken in two is two. */
const sizeOf = (component: ICAL.Component): number =>
  component.getAllSubcomponents().reduce((sum, c) => sum + 1000 * sizeOf(c), component.getAllProperties().length);

export const unfolded = (text: string): string =>
  text.includes('\n ') || text.includes('\n\t') ? text.replace(/\n[ \t]/g, '') : text;
