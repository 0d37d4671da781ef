import type { Options } from '../manner/options/registry';
import type { ShortForms } from '../manner/options/short-forms';
import { handAt, textFits } from '../measure/hand';

/** A text as it can be written somewhere: its words, and how large, as a share of the owner's hand. */
export interface Fitted {
  readonly text: string;
  readonly size: number;
}

type Writing = Pick<Options, 'hand' | 'smallest' | 'shortForms'>;

/** Sizes that are tried, from the hand itself to the smallest that its owner writes. */
export const sizesDownTo = (smallest: number): readonly number[] =>
  smallest >= 1 ? [1] : [1, Math.round((1 + smallest) * 50) / 100, smallest];

/**
 * A text in a room of `w` x `h` mm: at the owner's hand, then smaller as they do write where room is short, then with
 * their own short forms (handbook P4, P5). Never cut off.
 * @returns null where none of it helps
 * @example fitText('appointment with the vet', { w: 36, h: 9 }, { hand, smallest: 0.8, shortForms: { with: 'w/' } })
 */
export function fitText(
  text: string,
  room: { readonly w: number; readonly h: number },
  options: Writing,
): Fitted | null {
  for (const words of [text, ...shortenedBy(options.shortForms, text)])
    for (const size of sizesDownTo(options.smallest))
      if (textFits(words, room.w, room.h, handAt(options.hand, size))) return { text: words, size };
  return null;
}

/** The text with the owner's short forms; none where it has no word that they shorten. */
export function shortenedBy(forms: ShortForms, text: string): string[] {
  const known = new Map(Object.entries(forms).map(([word, short]) => [word.toLowerCase(), short]));
  if (!known.size) return [];
  const shorter = text.replace(/[\p{L}\p{N}]+/gu, (word) => known.get(word.toLowerCase()) ?? word);
  return shorter === text ? [] : [shorter];
}

/** What it costs to write smaller, or shorter: people do it, and would rather not. From memory. */
export const fitCost = (fitted: Fitted, whole: string): number =>
  (1 - fitted.size) * 9 + (fitted.text === whole ? 0 : 1.2);
