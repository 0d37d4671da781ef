/** `16:30` of minutes after midnight, as a time field holds it; '' of none. */
export const clock = (minutes: number | null): string =>
  minutes === null
    ? ''
    : `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

export const minutesOf = (text: string): number | null =>
  /^\d{2}:\d{2}$/.test(text) ? Number(text.slice(0, 2)) * 60 + Number(text.slice(3)) : null;

/** A whole number of a field, kept within bounds. */
export const wholeOf = (text: string, least: number, most: number): number =>
  Math.max(least, Math.min(most, Math.round(Number(text)) || least));
