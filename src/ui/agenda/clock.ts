/** A whole number of a field, kept within bounds. */
export const wholeOf = (text: string, least: number, most: number): number =>
  Math.max(least, Math.min(most, Math.round(Number(text)) || least));
