import type { IsoDay } from '../week';
import { DAY, MONTH } from './calendar-days';
import type { Line } from './line';
import { anywhere, ungrouped } from './line';

/** A day, and how many; of a birthday the year it is counted from. */
export interface Found {
  readonly day: IsoDay;
  readonly days: number;
  readonly year?: number;
  /** it was said by two weekdays */
  readonly named?: true;
}

export const WHEN = '(?:(?:on|from|starting|since)\\s+)?(?:the\\s+)?';
export const TO = '\\s*(?:-|–|to|until|till|thru|through)\\s*';
export const TH = '(?:st|nd|rd|th|\\.)?';
export const TOMORROW = '(?:tomorrow|tommorrow|tomorow|tommorow|tmrw|tmr|tmw|2morrow|2moro|tomoz)';
/** Which of several; one group. */
export const ORDER = '(last|first|1st|second|2nd|third|3rd|fourth|4th)';
export const COUNT = '(a couple of|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|\\d{1,2})';
/** A date that is surely one. */
export const DATE = `(?:the\\s+)?(?:\\d{1,2}${TH}(?:${TO}\\d{1,2}${TH})?(?:\\s+of)?\\s{0,2}${MONTH}|${MONTH}\\s*\\d{1,2}(?:st|nd|rd|th)?|\\d{1,2}(?:st|nd|rd|th)|\\d{1,2}/\\d{1,2}|\\d{1,2}\\.\\d{1,2}\\.|\\d{4}-\\d{2}-\\d{2})(?![\\p{L}\\p{N}]|:\\d)`;
export const END_OF = `(?:the\\s+)?end\\s+of\\s+(?:the\\s+)?(?:(month)|(year)|${MONTH})`;
/** Whatever names one day, without a group. */
export const ONE_DAY = ungrouped(`(?:${DATE}|(?:(?:next|this)\\s+)?${DAY}|${END_OF}|tomorrow|today)(?![\\p{L}\\p{N}])`);
/** `Mo`, which is a day beside a date alone. */
export const SHORTEST = '(?:mo|tu|we|th|fr|sa|su)\\.?';

/** Takes the name of a day that stands beside its date, `fri 12 feb`: it says nothing more. */
export function withoutNames(line: Line): void {
  const name = anywhere(`(?:on\\s+)?(?:${DAY}|${SHORTEST}),?(?=\\s+${DATE})`);
  while (line.take(name, 'day'));
}

export const nthNamed = (word: string): number =>
  ({ last: -1, first: 1, second: 2, third: 3, fourth: 4 })[word.toLowerCase()] ?? Number(word[0]);

export const countNamed = (word: string): number =>
  COUNTS.find(([name]) => name === word.toLowerCase())?.[1] ?? Number(word);
const COUNTS = [
  ['a couple of', 2],
  ['a', 1],
  ['an', 1],
  ...['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'].map(
    (word, i) => [word, i + 1] as const,
  ),
] as const;
