import type { WhiteOut } from '../bench/white-out';
import type { PictureAt } from '../art/draw-piece';
import type { Context, Placement } from '../spread/placement';
import { isWriting } from '../spread/placement';
import type { Letters } from './letters';
import { spreadSvg } from './spread-svg';

/** What becomes of the owner's texts in a picture that is given away. */
export const SHARED_TEXTS = ['kept', 'blurred', 'left out'] as const;
export type SharedTexts = (typeof SHARED_TEXTS)[number];

/**
 * The spread as a picture to be given away. Unless its texts are kept, no word of its owner's is in the file: not in
 * the drawing, not in its outlines, not in a title or a name.
 */
export function shareSvg(
  context: Context,
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
  texts: SharedTexts,
  letters: Letters | null,
  pictureAt?: PictureAt,
): string {
  const bare: Context = texts === 'kept' ? context : { ...context, week: { ...context.week, demands: [] } };
  return untitled(spreadSvg(bare, placements.flatMap(SHOWN[texts]), whiteOut, letters, pictureAt));
}

const SHOWN: { readonly [T in SharedTexts]: (p: Placement) => Placement[] } = {
  kept: (p) => [p],
  blurred: (p) => [{ ...p, items: [], text: p.text === null ? null : scribbled(p.text) }],
  'left out': (p) => (isWriting(p) ? [] : [{ ...p, items: [], text: null }]),
};

/** Waves in place of words: as long as they are, by threes, so that not even their letters can be counted. */
export const scribbled = (text: string): string =>
  text
    .split('\n')
    .map((line) => line.replace(/\S[^\n]*\S|\S/g, (words) => 'm'.repeat(Math.ceil([...words].length / 3) * 3)))
    .join('\n');

/** The drawing without its title, which names the book and the week. */
const untitled = (svg: string): string => svg.replace(/<title>[^<]*<\/title>/g, '');
