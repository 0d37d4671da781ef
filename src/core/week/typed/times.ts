import type { Part } from '../demand';
import type { TypingHabits } from './habits';
import type { Line } from './line';
import { anywhere } from './line';

/** Minutes after midnight, and how long. */
export interface When {
  readonly start: number;
  readonly minutes: number | null;
  /** nothing in the line says whether it is before noon or after */
  readonly bare: boolean;
}

const HALF = '(a\\.?m\\.?|p\\.?m\\.?|a|p)';
/** `16:30`, `4.30pm`, `18h`, `18h30`, `7am`, `7`; four groups: hour, minute, minute after h, half */
const CLOCK = `(\\d{1,2})(?:[:.](\\d{2})|\\s?h(?:rs?)?(\\d{2})?)?\\s?${HALF}?`;
/** `at 7`, `@ 7` */
const AT = '(?:at\\s+|@\\s*)';
const ISH = '(?:ish)?';

/** Things that people do in the evening, so that their bare hour is one of it. From memory. */
const OF_THE_EVENING = anywhere(
  'dinner|supper|evening|party|drinks|cinema|movies?|film|theat(?:er|re)|concert|gig|opera|pub|date night|games? night|bedtime',
);
const OF_THE_MORNING = anywhere('breakfast|brunch|school run|sunrise');

/** `10-11:30`, `from 9am to 5pm`, then one time alone; null where the line has none. */
export function readWhen(line: Line, habits: TypingHabits, part: Part | null): When | null {
  return readFourDigits(line) ?? readSpan(line, habits, part) ?? readTime(line, habits, part);
}

function readSpan(line: Line, habits: TypingHabits, part: Part | null): When | null {
  const pattern = anywhere(`(?:from\\s+|between\\s+)?${CLOCK}\\s*(?:-|–|to|until|till|and)\\s*${CLOCK}`);
  const match = pattern.exec(line.rest);
  if (!match) return null;
  const [first, last] = [partsOf(match, 1), partsOf(match, 5)];
  // two bare numbers are hours only where something says so
  const clear = first.clear || last.clear || first.half !== null || last.half !== null;
  if (!clear && !/^(?:from|between)/i.test(match[0].trim()) && !isBesideDay(line, match)) return null;
  const end = minutesOf(last, last.half);
  if (end === null) return null;
  const guess = first.half ?? (last.half && first.hour <= last.hour % 12 ? last.half : null);
  const start = minutesOf(
    first,
    guess ?? (last.half || last.hour > 12 ? null : halfOf(first.hour, habits, part, line)),
  );
  if (start === null) return null;
  // `22:00-6:00` goes on into the next day
  const over = first.clear && (last.clear || first.hour > 12) && end <= start;
  const until = over ? end + 24 * 60 : last.half || end > start ? end : end + 12 * 60;
  if (until <= start || (until > 24 * 60 && !over)) return null;
  line.use(match.index, match[0], 'time');
  return { start, minutes: until - start, bare: false };
}

function readTime(line: Line, habits: TypingHabits, part: Part | null): When | null {
  const word = line.take(anywhere('(?:at\\s+)?(noon|midday|midnight)'), 'time')?.[1]?.toLowerCase();
  if (word) return { start: word === 'midnight' ? 0 : 12 * 60, minutes: null, bare: false };
  const half = line.take(anywhere(`(?:at\\s+)?(half past|quarter past|quarter to)\\s+(\\d{1,2})\\s?${HALF}?`), 'time');
  if (half) {
    const by = { 'half past': 30, 'quarter past': 15, 'quarter to': -15 }[(half[1] as string).toLowerCase()] ?? 0;
    const hour = Number(half[2]);
    const said = halfNamed(half[3]) ?? halfOf(hour, habits, part, line);
    const start = minutesOf({ hour, minute: 0, half: null, clear: false }, said);
    return start === null ? null : { start: start + by, minutes: null, bare: false };
  }
  const match =
    exec(line, anywhere(`${AT}?(\\d{1,2})(?:[:.](\\d{2})|\\s?h(?:rs?)?(\\d{2})?)${ISH}\\s?${HALF}?`)) ??
    exec(line, anywhere(`${AT}?(\\d{1,2})()()${ISH}\\s?${HALF}`)) ??
    exec(line, anywhere('(\\d{1,2})()()()ish')) ??
    exec(line, anywhere(`${AT}(\\d{1,2})()()()${ISH}`)) ??
    exec(line, /(?<=\s)(?:around|about)\s+(\d{1,2})()()()(?=\s*$|\s{2,})/iu) ??
    bareAfterDay(line);
  if (!match) return null;
  const time = partsOf(match, 1);
  // `2:45` is of the day as `2` is, unless it is written as one of 24 hours: `02:45`
  const plain = !time.clear || (time.hour <= 12 && /(?<!\d)[1-9][:.]|(?<!\d)1[0-2][:.]/.test(match[0]));
  const said = time.half ?? (plain ? halfOf(time.hour, habits, part, line) : null);
  const start = minutesOf(time, said);
  if (start === null) return null;
  line.use(match.index, match[0], 'time');
  const sure =
    (time.clear && (said !== 'p' || time.hour === 12)) ||
    time.half !== null ||
    part !== null ||
    knows(line) ||
    time.hour > 12;
  return { start, minutes: null, bare: !sure };
}

const exec = (line: Line, pattern: RegExp): RegExpExecArray | null => pattern.exec(line.rest);

/** `tomorrow 9`: a number that follows a day, and after which nothing more is said. */
function bareAfterDay(line: Line): RegExpExecArray | null {
  const match = /(?<![\p{L}\p{N}.:/-])(\d{1,2})()()()(?=\s*$|\s{2,})/u.exec(line.rest);
  if (!match) return null;
  return isAfterDay(line, match) && Number(match[1]) <= 24 ? match : null;
}

/** True for what stands right behind a day that was read. */
const isAfterDay = (line: Line, { index }: RegExpExecArray): boolean =>
  line.spans.some((s) => s.as === 'day' && s.to + 1 <= index && line.isBlank(s.to + 1, index));

/** The same, or right before one. */
const isBesideDay = (line: Line, match: RegExpExecArray): boolean => {
  const end = match.index + match[0].length;
  return (
    isAfterDay(line, match) || line.spans.some((s) => s.as === 'day' && s.from >= end - 1 && line.isBlank(end, s.from))
  );
};

/** `0600-1400`, `1930 tue`: hours of 24 without a mark; a number alone begins with 0, or stands beside a day. */
function readFourDigits(line: Line): When | null {
  const clock = '([01]\\d|2[0-3])([0-5]\\d)';
  const span = exec(line, anywhere(`${clock}\\s*(?:-|–|to|until)\\s*${clock}`));
  const one = span ?? exec(line, anywhere(clock));
  if (!one || (!span && !one[0].startsWith('0') && !isBesideDay(line, one))) return null;
  const [from, to] = [minuteOf(one, 1), span ? minuteOf(one, 3) : null];
  line.use(one.index, one[0], 'time');
  return { start: from, minutes: to === null ? null : to - from + (to <= from ? 24 * 60 : 0), bare: false };
}

const minuteOf = (match: RegExpExecArray, at: number): number => Number(match[at]) * 60 + Number(match[at + 1]);

interface Clock {
  readonly hour: number;
  readonly minute: number;
  readonly half: 'a' | 'p' | null;
  /** its minutes are written, or it is one of a day of 24 hours */
  readonly clear: boolean;
}

const halfNamed = (word: string | undefined): 'a' | 'p' | null => {
  const first = word?.toLowerCase()[0];
  return first === 'a' || first === 'p' ? first : null;
};

function partsOf(match: RegExpExecArray, at: number): Clock {
  const [hour, minute, afterH, half] = [match[at], match[at + 1], match[at + 2], match[at + 3]];
  const h = /\d\s?h/i.test(match[0]) && afterH !== undefined;
  return {
    hour: Number(hour),
    minute: Number(minute || afterH || 0),
    half: halfNamed(half),
    clear: Boolean(minute) || h || /\d\s?h(?:rs?)?\s*$/i.test(match[0]) || Number(hour) > 12,
  };
}

function minutesOf({ hour, minute }: Clock, half: 'a' | 'p' | null): number | null {
  const minutes = ((half ? hour % 12 : hour) + (half === 'p' ? 12 : 0)) * 60 + minute;
  return hour > 24 || minute > 59 || minutes >= 24 * 60 ? null : minutes;
}

const knows = (line: Line): boolean => OF_THE_EVENING.test(line.rest) || OF_THE_MORNING.test(line.rest);

/** Before noon or after, where only the hour is written. */
function halfOf(hour: number, habits: TypingHabits, part: Part | null, line: Line): 'a' | 'p' | null {
  if (hour === 0 || hour > 12) return null;
  if (part === 'evening') return 'p';
  if (part === 'morning') return 'a';
  if (OF_THE_MORNING.test(line.rest)) return 'a';
  if (OF_THE_EVENING.test(line.rest) && hour >= 4) return 'p';
  if (hour === 12) return 'p';
  if (part === 'day') return hour < 9 ? 'p' : null;
  return hour >= habits.afterNoon.from && hour <= habits.afterNoon.to ? 'p' : 'a';
}
