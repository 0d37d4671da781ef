import type { IsoDay } from '../week';
import { DAY, dayIndex, endOfMonth, monthNumber, next, ofNextWeek, plus } from './calendar-days';
import { COUNT, END_OF, TOMORROW, countNamed } from './day-words';
import type { Line } from './line';
import { anywhere } from './line';

const SPANS = [
  ['day', 1],
  ['week', 7],
  ['wk', 7],
  ['fortnight', 14],
] as const;

/** `3 weeks from today`, `in a fortnight`, `a week on thursday`, `thursday week`: counted on from a day. */
export function fromNow(line: Line, from: IsoDay): IsoDay | null {
  const week = line.take(anywhere(`(?:on\\s+)?${DAY}\\s+week(?!\\s?end)`), 'day');
  if (week) return plus(next(from, dayIndex(week[1] as string)), 7);
  const unit = '(day|week|wk|fortnight)s?';
  const said =
    line.take(anywhere(`${COUNT}\\s+${unit}\\s+(?:from\\s+|after\\s+|on\\s+)?(today|now|${TOMORROW})`), 'day') ??
    line.take(anywhere(`${COUNT}\\s+${unit}\\s+(?:from|after|on)\\s+${DAY}`), 'day') ??
    line.take(anywhere(`()(week)\\s+(?:from\\s+)?(today|${TOMORROW})`), 'day') ??
    line.take(anywhere(`()(fortnight)\\s+(?:from\\s+|on\\s+)?(today|${TOMORROW}|${DAY})`), 'day') ??
    line.take(anywhere(`in\\s+${COUNT}\\s+(fortnight|wk)s?`), 'day');
  if (!said) return null;
  const days = SPANS.find(([name]) => name === said[2]?.toLowerCase())?.[1] ?? 0;
  const count = said[1] ? countNamed(said[1]) : 1;
  return plus(onFrom(from, said[3]), count * days);
}

/** The day that such a span is counted from. */
function onFrom(from: IsoDay, word: string | undefined): IsoDay {
  if (!word || /^(?:today|now)$/i.test(word)) return from;
  return anywhere(TOMORROW).test(word) ? plus(from, 1) : next(from, dayIndex(word));
}

/** `next week tue`, `tue next week`, `the week after next`. */
export function ofThatWeek(line: Line, from: IsoDay): IsoDay | null {
  const after = line.take(anywhere(`(?:the\\s+)?(?:week|${DAY})\\s+after\\s+next`), 'day');
  if (after) return after[1] ? plus(next(from, dayIndex(after[1])), 7) : plus(from, 14);
  const said = line.take(anywhere(`next\\s+week,?\\s+(?:on\\s+)?${DAY}|${DAY},?\\s+next\\s+week`), 'day');
  return said && ofNextWeek(from, dayIndex((said[1] ?? said[2]) as string));
}

/** `end of the month`, `end of feb`. */
export function atTheEnd(line: Line, from: IsoDay): IsoDay | null {
  const said = line.take(anywhere(`(?:at\\s+)?${END_OF}`), 'day');
  if (!said) return null;
  const month = said[2] ? 12 : said[3] ? monthNumber(said[3]) : Number(from.slice(5, 7));
  return endOfMonth(from, month);
}
