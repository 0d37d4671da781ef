const segmenter = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** The letters of a text as people count them, each with its marks. Source: Unicode Standard Annex 29. */
export const graphemes = (text: string): string[] => [...segmenter.segment(text)].map((s) => s.segment);
