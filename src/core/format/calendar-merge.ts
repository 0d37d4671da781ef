import type { Block } from './calendar-blocks';
import { isZone } from './calendar-blocks';
import { atOnce, cuttingCalendar } from './calendar';
import { uidOf } from './calendar-bundles';
import { withBlocks } from './calendar-splice';

/**
 * A calendar with all that another has: what both have is as the other has it, what only one has is kept. Nothing is
 * read for it but where things begin and end; all of both stays to the letter.
 * @throws BadInput
 */
export function mergedCalendar(into: string, from: string): string {
  const [old, other] = [atOnce(cuttingCalendar(into, 'calendar')), atOnce(cuttingCalendar(from, 'calendar'))];
  const newer = new Set(other.blocks.filter((b) => !isZone(b)).map(uidOf));
  const known = new Set(old.blocks.filter(isZone).map(zoneOf));
  const gone = old.blocks.filter((b) => !isZone(b) && newer.has(uidOf(b)) && uidOf(b) !== '');
  const added = other.blocks.filter((b) => !isZone(b) || !known.has(zoneOf(b))).map((b) => `${b.text.trimEnd()}\n`);
  return withBlocks(old, new Map(gone.map((b) => [b, ''])), added);
}

const zoneOf = ({ text }: Block): string => /^TZID[^:\n]*:(.*)$/im.exec(text)?.[1]?.trim() ?? '';
