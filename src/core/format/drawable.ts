const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });

/**
 * A text as a font can draw it. Fonts stumble over marks that are combined in ways nobody foresaw, and their library
 * throws: a letter that cannot be drawn goes without its marks, or is left out, and all others stand.
 * @param draws throws for what cannot be drawn
 */
export function drawable(text: string, draws: (text: string) => unknown): string {
  const can = (part: string): boolean => {
    try {
      draws(part);
      return true;
    } catch {
      return false;
    }
  };
  const composed = text.normalize('NFC');
  if (can(composed)) return composed;
  let drawn = '';
  for (const { segment } of graphemes.segment(composed)) {
    const bare = segment.normalize('NFD').replace(/\p{M}+/gu, '');
    // a letter may fail only beside the one before it
    const fits = [segment, bare].find((s) => can(drawn + s));
    drawn += fits ?? '';
  }
  return drawn;
}
