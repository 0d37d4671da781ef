import type { FontName } from './letter-widths';
import { LETTER_WIDTHS } from './letter-widths';
import { NO_ROOM, WIDE } from '../measure/wide';
import { esc, num } from './svg';

/**
 * Width of a text in mm at a size of 1 mm. A letter with a mark is as wide as without, a wide one as its size; others
 * outside the measured ones count as an `n`.
 */
export const textWidth = (text: string, font: FontName): number =>
  [...text.normalize('NFD')].reduce((sum, letter) => sum + letterWidth(letter, LETTER_WIDTHS[font]), 0) / 1000;

const letterWidth = (letter: string, widths: readonly number[]): number =>
  widths[(letter.codePointAt(0) ?? 0) - 32] ??
  (NO_ROOM.test(letter) ? 0 : WIDE.test(letter) ? 1000 : (widths[N - 32] ?? 0));

const N = 110;

/** The largest size in mm at which a text stays within a width and a height. */
export const fittingSize = (text: string, font: FontName, width: number, height: number): number =>
  Math.min(height * HEIGHT[font], width / Math.max(0.01, textWidth(text, font)));

const HEIGHT: Readonly<Record<FontName, number>> = {
  Pacifico: 0.62,
  Sacramento: 0.85,
  Fraunces: 0.78,
  Figtree: 0.8,
  Caveat: 0.9,
};
/** From the middle of the letters down to their baseline, by size. */
const DROP: Readonly<Record<FontName, number>> = {
  Pacifico: 0.26,
  Sacramento: 0.2,
  Fraunces: 0.33,
  Figtree: 0.34,
  Caveat: 0.24,
};

/** One line of lettering, centered on x, y. */
export function lettering(
  text: string,
  font: FontName,
  size: number,
  x: number,
  y: number,
  color: string,
  extra = '',
): string {
  return `<text x="${num(x)}" y="${num(y + size * DROP[font])}" font-family="${font}, serif" font-size="${num(size)}"${font === 'Fraunces' || font === 'Figtree' ? ' font-weight="600"' : ''} text-anchor="middle" fill="${color}"${extra}>${esc(text)}</text>`;
}

/** Words broken over lines so that the block comes near a width to height of `shape`. */
export function broken(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length + 1 <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
