import type { Hand } from '../measure/hand';
import { linesIn, writeLines } from '../measure/hand';
import type { Room } from './demand';

/** mm of a usual base's height for each size of room (handbook 3, usual sizes). */
const LARGEST = ['full', 48.3] as const;
const HEIGHTS: readonly (readonly [Room, number])[] = [['label', 12], ['quarter', 16], ['half', 24.1], LARGEST];
/** mm that an icon and the edges take of a base's width */
const MARGIN = 2;

/** The smallest room that a text takes at the owner's hand, in a column of `width` mm (handbook P4). */
export function roomWanted(text: string, width: number, hand: Hand): { room: Room; lines: number; mm: number } {
  const lines = Math.max(1, writeLines(text, Math.max(1, width - MARGIN), hand).length);
  const [room, mm] = HEIGHTS.find(([, h]) => linesIn(hand, h) >= lines) ?? LARGEST;
  return { room, lines, mm };
}
