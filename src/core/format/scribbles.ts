import type { Letters, PathCommand } from './letters';

/** How far a letter runs, and how high small and tall ones stand, at a size of 1. By Caveat, looked at. */
const ADVANCE = 0.42;
const SMALL = 0.32;
const TALL = 0.62;
const DEEP = -0.2;
/** Half a pen's line, at a size of 1. */
const PEN = 0.045;

const TALL_LETTERS = /[\p{Lu}\p{N}bdfhklt]/u;
const DEEP_LETTERS = /[gjpqy]/;

/**
 * Handwriting from so far away that its strokes are seen and not its letters: one stroke up and down for each letter,
 * as high as it is. It takes a tenth of the points of real outlines, for pictures in which nothing can be read.
 */
export const SCRIBBLES: Letters = {
  outline: (text) => {
    const letters = [...text.normalize('NFC')];
    return { path: letters.flatMap(stroke), width: letters.length * ADVANCE };
  },
  lacking: () => [],
};

function stroke(letter: string, i: number): PathCommand[] {
  if (!letter.trim()) return [];
  const top = TALL_LETTERS.test(letter) ? TALL : SMALL;
  const foot = DEEP_LETTERS.test(letter) ? DEEP : 0;
  const [left, right] = [i * ADVANCE, (i + 0.8) * ADVANCE];
  const middle = (left + right) / 2;
  // y runs downwards
  const corners: readonly (readonly [number, number])[] = [
    [left - PEN, -foot],
    [middle, -top - PEN],
    [right + PEN, -foot],
    [right - PEN, -foot],
    [middle, -top + 2 * PEN],
    [left + PEN, -foot],
  ];
  return [...corners.map(([x, y], n): PathCommand => ({ do: n ? 'L' : 'M', args: [x, y] })), { do: 'Z', args: [] }];
}
