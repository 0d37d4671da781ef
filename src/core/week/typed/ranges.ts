import type { IsoDay } from '../week';
import {
  DAY,
  MONTH,
  dateOf,
  dayIndex,
  daysFrom,
  monthNumber,
  next,
  nextDate,
  nextMonthDay,
  ofNextWeek,
} from './calendar-days';
import type { Found } from './day-words';
import { TH, TO, WHEN, withoutNames } from './day-words';
import type { TypingHabits } from './habits';
import type { Line } from './line';
import { anywhere } from './line';

/** `fri-sun`, `3-9 aug`, `aug 3 to 9`, `28 jul - 3 aug`. */
export function readRange(line: Line, from: IsoDay, habits: TypingHabits): Found | null {
  withoutNames(line);
  const weekend = line.take(
    anywhere('(?:(?:on|at)\\s+)?(?:the\\s+)?(this|next|coming)\\s+weekend|(?:on|at|over)\\s+the\\s+weekend'),
    'day',
  );
  if (weekend) return { day: /next/i.test(weekend[1] ?? '') ? ofNextWeek(from, 5) : next(from, 5), days: 2 };
  const names = line.take(anywhere(`${WHEN}(next\\s+)?${DAY}${TO}${DAY}`), 'day');
  if (names) {
    const first = dayIndex(names[2] as string);
    const day = names[1] ? ofNextWeek(from, first) : next(from, first);
    return { day, days: daysFrom(day, next(day, dayIndex(names[3] as string))) + 1, named: true };
  }
  const within =
    line.take(
      anywhere(`${WHEN}(?<!\\d\\s+of\\s+)(\\d{1,2})${TH}${TO}(\\d{1,2})${TH}(?:\\s+of)?\\s{0,2}${MONTH}`),
      'day',
    ) ?? swapped(line.take(anywhere(`${WHEN}(?<!\\d\\s)${MONTH}\\s+(\\d{1,2})${TH}${TO}(\\d{1,2})${TH}`), 'day'));
  if (within) return spanOf(from, Number(within[1]), within[3] as string, Number(within[2]), within[3] as string);
  const over = line.take(anywhere(`${WHEN}(\\d{1,2})${TH}\\s{0,2}${MONTH}${TO}(\\d{1,2})${TH}\\s{0,2}${MONTH}`), 'day');
  if (over) return spanOf(from, Number(over[1]), over[2] as string, Number(over[3]), over[4] as string);
  const slashed =
    line.take(anywhere(`${WHEN}(\\d{1,2})/(\\d{1,2})${TO}(\\d{1,2})/(\\d{1,2})`), 'day') ??
    line.take(anywhere(`${WHEN}(\\d{1,2})\\.(\\d{1,2})\\.${TO}(\\d{1,2})\\.(\\d{1,2})\\.`), 'day');
  if (slashed) {
    const [a, b, c, d] = slashed.slice(1, 5).map(Number) as [number, number, number, number];
    const dayFirst = (habits.dateOrder === 'day first' && b <= 12 && d <= 12) || a > 12 || c > 12;
    return dayFirst ? between(from, [b, a], [d, c]) : between(from, [a, b], [c, d]);
  }
  const turned = line.take(anywhere(`${WHEN}${MONTH}\\s+(\\d{1,2})${TH}${TO}${MONTH}\\s+(\\d{1,2})${TH}`), 'day');
  if (turned) return spanOf(from, Number(turned[2]), turned[1] as string, Number(turned[4]), turned[3] as string);
  // `20th - 23rd`, `1.-7.3.`
  const numbers =
    line.take(anywhere(`${WHEN}(\\d{1,2})(?:st|nd|rd|th)${TO}(?:the\\s+)?(\\d{1,2})(?:st|nd|rd|th)`), 'day') ??
    line.take(anywhere(`${WHEN}(\\d{1,2})\\.${TO}(\\d{1,2})\\.(\\d{1,2})\\.`), 'day');
  if (!numbers) return null;
  const month = numbers[3] ? Number(numbers[3]) : null;
  const day = month ? nextDate(from, month, Number(numbers[1])) : nextMonthDay(from, Number(numbers[1]));
  return day === null ? null : { day, days: daysFrom(day, nextMonthDay(day, Number(numbers[2]))) + 1 };
}

/** A month that was named first, in the places where it would be named last. */
const swapped = (m: RegExpExecArray | null): readonly (string | undefined)[] | null => m && [m[0], m[2], m[3], m[1]];

/** From a date to a date; one that goes on already is this year's. */
function between(from: IsoDay, first: readonly [number, number], last: readonly [number, number]): Found | null {
  const begun = dateOf(Number(from.slice(0, 4)), ...first);
  const ends = begun && nextDate(begun, ...last);
  const isOn = begun && ends && begun < from && ends >= from && daysFrom(begun, ends) < 60;
  const day = isOn ? begun : nextDate(from, ...first);
  const end = day && nextDate(day, ...last);
  return day && end ? { day, days: daysFrom(day, end) + 1 } : null;
}

function spanOf(from: IsoDay, first: number, month: string, last: number, lastMonth: string): Found | null {
  return between(from, [monthNumber(month), first], [monthNumber(lastMonth), last]);
}
