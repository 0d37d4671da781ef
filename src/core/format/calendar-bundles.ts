import { hashOf } from '../measure/random';
import type { Block } from './calendar-blocks';
import { isZone } from './calendar-blocks';
import type { CutCalendar } from './calendar';
import { unfolded } from './calendar-splice';

/** Components that are read as one. */
const BUNDLE = 1500;

/**
 * A long calendar in bundles, each a calendar by itself that has all time zones: what was read of a bundle holds as
 * long as its text does, so that an edit costs the reading of one. What belongs together (one uid) is in one bundle.
 */
export function bundlesOf(cut: CutCalendar): CutCalendar[] {
  const items = cut.blocks.filter((b) => !isZone(b));
  // a power of two, so that a calendar that grows keeps its bundles for long
  const count = 2 ** Math.max(0, Math.ceil(Math.log2(items.length / BUNDLE)));
  if (count === 1) return [cut];
  const zones = cut.blocks.filter(isZone);
  const bundles = Array.from({ length: count }, (): Block[] => [...zones]);
  for (const block of items) bundles[hashOf(uidOf(block)) % count]?.push(block);
  return bundles.map((blocks) => ({ ...cut, blocks }));
}

/** The text of a bundle: as long as it is the same, so is what was read of it. */
export const textOf = ({ properties, blocks }: CutCalendar): string =>
  [properties, ...blocks.map((b) => b.text)].join('\n');

/** The uid as the file writes it; an empty text where it has none. */
export const uidOf = ({ text }: Block): string => /^UID[^:\n]*:(.*)$/im.exec(unfolded(text))?.[1]?.trim() ?? '';
