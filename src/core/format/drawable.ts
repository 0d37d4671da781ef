import { graphemes } from './graphemes';

/**
 * A text as a font can draw it, and what was drawn. Fonts stumble over marks that are combined in ways nobody foresaw,
 * and their library throws: a letter that cannot be drawn goes without its marks, or is left out, and all others stand.
 * @param draw throws for what cannot be drawn
 */
export function drawable<T>(text: string, draw: (text: string) => T): { readonly text: string; readonly drawn: T } {
  const tried = (part: string): { text: string; drawn: T } | null => {
    try {
      return { text: part, drawn: draw(part) };
    } catch {
      return null;
    }
  };
  const composed = text.normalize('NFC');
  const whole = tried(composed);
  if (whole) return whole;
  let kept = { text: '', drawn: draw('') };
  for (const segment of graphemes(composed)) {
    const bare = segment.normalize('NFD').replace(/\p{M}+/gu, '');
    // a letter may fail only beside the one before it
    kept = tried(kept.text + segment) ?? tried(kept.text + bare) ?? kept;
  }
  return kept;
}
