import type { Block } from './calendar-blocks';
import { atOnce, cuttingCalendar } from './calendar';
import { uidOf } from './calendar-bundles';

/**
 * A calendar with all that another has: what both have is as the other has it, what only one has is kept. Nothing is
 * read for it but where things begin and end; all of both stays to the letter.
 * @throws BadInput
 */
export function mergedCalendar(into: string, from: string): string {
  const [old, other] = [atOnce(cuttingCalendar(into, 'calendar')), atOnce(cuttingCalendar(from, 'calendar'))];
  const newer = new Set(other.blocks.filter(isItem).map(uidOf));
  const known = new Set(old.blocks.filter((b) => !isItem(b)).map(zoneOf));
  const parts: string[] = [];
  let at = 0;
  for (const block of old.blocks) {
    if (!isItem(block) || !newer.has(uidOf(block)) || uidOf(block) === '') continue;
    parts.push(old.text.slice(at, block.at));
    at = block.at + block.text.length;
  }
  const added = other.blocks.filter((b) => isItem(b) || !known.has(zoneOf(b))).map((b) => `${b.text.trimEnd()}\n`);
  parts.push(old.text.slice(at, old.end), ...added, old.text.slice(old.end));
  return parts.join('').replace(/\n/g, '\r\n');
}

const isItem = (block: Block): boolean => block.name !== 'VTIMEZONE';
const zoneOf = ({ text }: Block): string => /^TZID[^:\n]*:(.*)$/im.exec(text)?.[1]?.trim() ?? '';
