import type { Hand } from './hand';

/**
 * Written once by hand and measured, it tells how large its owner writes; letters wide and narrow, as items have them
 * (handbook P4).
 */
export const SAMPLE_LINE = 'early ferry, vet at half past four, dig bed two';

/** Lines of the sample are counted from the first to the last of these. */
export const SAMPLE_LINES = 4;

/** The line that letters are counted on: a column's usual width, mm. */
const LINE_WIDTH = 38.1;

/**
 * The hand of someone whose sample line is `length` mm long and whose four lines are `rise` mm from first to last.
 * @returns null where that is no handwriting
 */
export function handFromSample(length: number, rise: number): Hand | null {
  const lettersPerLine = Math.floor(LINE_WIDTH / (length / [...SAMPLE_LINE].length));
  const linePitch = Math.round((rise / (SAMPLE_LINES - 1)) * 100) / 100;
  return lettersPerLine >= 4 && lettersPerLine <= 60 && linePitch >= 2 && linePitch <= 12
    ? { lettersPerLine, lineWidth: LINE_WIDTH, linePitch }
    : null;
}

/** What the sample measures for a hand; the other way round. mm */
export const sampleOf = (hand: Hand): { length: number; rise: number } => ({
  length: Math.round(([...SAMPLE_LINE].length * hand.lineWidth * 10) / (hand.lettersPerLine + 0.5)) / 10,
  rise: Math.round(hand.linePitch * (SAMPLE_LINES - 1) * 10) / 10,
});
