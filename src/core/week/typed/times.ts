import type { Part } from '../demand';
import type { TypingHabits } from './habits';
import { countNamed } from './day-words';
import type { Line, Use } from './line';
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
/** An hour in figures or words; one group. */
const HOUR = '(\\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';
/** `at 7`, `@ 7` */
const AT = '(?:at\\s+|@\\s*)';
const ISH = '(?:ish)?';

/** Things that people do in the evening, so that their bare hour is one of it. From memory. */
const OF_THE_EVENING = anywhere(
  'dinner|supper|evening|party|drinks|cinema|movies?|film|theat(?:er|re)|concert|gig|opera|pub|date night|games? night|bedtime|quiz|choir|rehearsal|nights?(?=\\s*$)',
);
const OF_THE_MORNING = anywhere('breakfast|brunch|school run|sunrise|early (?:shift|duty|start|bus|ferry)');

/** `10-11:30`, `from 9am to 5pm`, then one time alone; null where the line has none. */
export function readWhen(line: Line, habits: TypingHabits, part: Part | null): When | null {
  return (
    readFourDigits(line) ??
    readOpenSpan(line, habits, part) ??
    readSpan(line, habits, part) ??
    readTime(line, habits, part)
  );
}

function readSpan(line: Line, habits: TypingHabits, part: Part | null): When | null {
  const pattern = anywhere(`(?:from\\s+|between\\s+)?${CLOCK}\\s*(?:-|–|to|until|till|and)\\s*${CLOCK}`);
  // `10-noon`: as long in letters
  const match = pattern.exec(line.rest.replace(/(?<=\d\s?(?:[ap]m?)?\s?(?:-|–|to|till|until)\s?)noon/giu, '12pm'));
  if (!match || (/\sand\s/i.test(match[0]) && !/^between/i.test(match[0].trim()))) return null;
  const [first, last] = [partsOf(match, 1), partsOf(match, 5)];
  // two bare numbers are hours only where something says so
  const clear = first.clear || last.clear || first.half !== null || last.half !== null;
  if (NUMBERED.test(line.rest.slice(0, match.index)) || line.hasTaken(match)) return null;
  const isMeeting = /^\s+(?:with|w\/?|at|in)\s/iu.test(line.rest.slice(match.index + match[0].length));
  const hasDay = isMeeting && line.spans.some((s) => isOfDays(s.as));
  if (!clear && !/^(?:from|between)/i.test(match[0].trim()) && !isBesideDay(line, match) && !hasDay) return null;
  const end = minutesOf(last, last.half);
  if (end === null) return null;
  const guess = first.half ?? (last.half && first.hour <= last.hour % 12 ? last.half : null);
  const start = minutesOf(
    first,
    guess ?? (last.half || last.hour > 12 ? null : halfOf(first.hour, habits, part, line)),
  );
  if (start === null) return null;
  // `5:30 - 6:45` ends in the same half of the day; `22:00-6:00` goes on into the next one
  const isPlain = last.half === null && last.hour <= 12 && first.hour <= 12 && !/^\D*0/.test(match[0]);
  const until = [end, ...(isPlain ? [end + HALF_DAY] : []), end + 2 * HALF_DAY].find((e) => e > start) ?? start;
  line.use(match.index, match[0], 'time');
  return { start, minutes: until - start, bare: !clear && hasDay };
}

const HALF_DAY = 12 * 60;
/** `ch. 4-6` are no hours. From memory. */
export const NUMBERED = new RegExp(
  `(?<!\\p{L})(?:${[
    'ch|chapters?|pages?|pp?|nos?|units?|lines?|vol|ep|episodes?|grades?|ages?',
    'sizes?|exercises?|verses?|plots?|rooms?|steps?|days?',
  ].join('|')})\\.?\\s*$`,
  'iu',
);

/** `6pm-late`, `7.30 for 8`: when it begins, or when one is to be there; the end is not said. */
function readOpenSpan(line: Line, habits: TypingHabits, part: Part | null): When | null {
  const said = anywhere(`${CLOCK}\\s*(?:(?:-|–|to|till|until)\\s*late|for\\s+${CLOCK})`).exec(line.rest);
  if (!said) return null;
  const isEither = said[5] !== undefined;
  const [first, last] = [partsOf(said, 1), isEither ? partsOf(said, 5) : null];
  if (isEither && !(first.clear || last?.clear || isBesideDay(line, said))) return null;
  const half = first.half ?? last?.half ?? (first.hour > 12 ? null : halfOf(first.hour, habits, part, line));
  const start = minutesOf(first, half);
  if (start === null) return null;
  line.use(said.index, said[0], 'time');
  return { start, minutes: null, bare: first.half === null && first.hour <= 12 };
}

function readTime(line: Line, habits: TypingHabits, part: Part | null): When | null {
  const word = line.take(anywhere('(?:at\\s+|@\\s*)?(noon|midday|midnight)'), 'time')?.[1]?.toLowerCase();
  if (word) return { start: word === 'midnight' ? 0 : 12 * 60, minutes: null, bare: false };
  const half = line.take(
    anywhere(`(?:at\\s+)?(half past|half|quarter past|quarter to)\\s+${HOUR}(?!\\s+(?:an?\\s+)?h)\\s?${HALF}?`),
    'time',
  );
  if (half) {
    const by = /^half/i.test(half[1] as string) ? 30 : /past/i.test(half[1] as string) ? 15 : -15;
    const hour = countNamed(half[2] as string);
    const said = halfNamed(half[3]) ?? halfOf(hour, habits, part, line);
    const start = minutesOf({ hour, minute: 0, half: null, clear: false }, said);
    const isBare = /^half$/i.test(half[1] as string) || (!half[3] && part === null);
    return start === null ? null : { start: start + by, minutes: null, bare: isBare };
  }
  const match =
    exec(line, anywhere(`${AT}?(\\d{1,2})()()\\s?o['’]?clock\\s?${HALF}?`)) ??
    exec(line, anywhere(`${AT}?(\\d{1,2}):(\\d{2})()${ISH}\\s?${HALF}?`)) ??
    exec(line, anywhere(`${AT}?(\\d{1,2})(?:[:.](\\d{2})|\\s?h(?:rs?)?(\\d{2})?)${ISH}\\s?${HALF}?`)) ??
    exec(line, anywhere(`${AT}?(\\d{1,2})()()${ISH}\\s?${HALF}`)) ??
    exec(line, anywhere('(\\d{1,2})()()()ish')) ??
    exec(line, anywhere(`${AT}(\\d{1,2})()()()${ISH}`)) ??
    exec(line, /(?<=\s)(?:around|about)\s+(\d{1,2})()()()(?=\s*$|\s{2,})/iu) ??
    exec(line, anywhere(`at\\s+${HOUR}()()()`)) ??
    bareAfterDay(line) ??
    (knows(line) ? exec(line, /(?<=\p{L}\s)(\d{1,2})()()()(?=\s*$)/u) : null);
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
  const match = /(?<![\p{L}\p{N}.:/-])(\d{1,2})()()()(?=\s*$|\s{2,}|\s*[(),;])/u.exec(line.rest);
  if (match) return isAfterDay(line, match) && Number(match[1]) <= 24 ? match : null;
  // `tonight 9 call Sis`
  const tonight = line.spans.find((s) => s.as === 'part' && s.to - s.from === 'tonight'.length);
  const behind = tonight && /^\s+(\d{1,2})()()()(?=\s)/u.exec(line.rest.slice(tonight.to + 1));
  return behind ? Object.assign(behind, { index: behind.index + (tonight?.to ?? 0) + 1 }) : null;
}

/** True for what stands right behind a day that was read. */
const isAfterDay = (line: Line, { index }: RegExpExecArray): boolean =>
  line.spans.some((s) => isOfDays(s.as) && s.to + 1 <= index && line.isBlank(s.to + 1, index));
const isOfDays = (as: Use): boolean => as === 'day' || as === 'repeat';

/** The same, or right before one. */
const isBesideDay = (line: Line, match: RegExpExecArray): boolean => {
  const end = match.index + match[0].length;
  return (
    isAfterDay(line, match) || line.spans.some((s) => isOfDays(s.as) && s.from >= end - 1 && line.isBlank(end, s.from))
  );
};

/** `0600-1400`, `1930 tue`: hours of 24 without a mark; a number alone begins with 0, or stands beside a day. */
function readFourDigits(line: Line): When | null {
  const clock = '([01]\\d|2[0-3])([0-5]\\d)';
  const span = exec(line, anywhere(`${clock}\\s*(?:-|–|to|until)\\s*${clock}`));
  const one = span ?? exec(line, anywhere(clock));
  // `555 0147` is a telephone's
  if (one && /\d[\s-]$/.test(line.rest.slice(0, one.index))) return null;
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
    hour: countNamed(hour ?? ''),
    minute: Number(minute || afterH || 0),
    half: halfNamed(half),
    clear: Boolean(minute) || h || /\d\s?h(?:rs?)?\s*$/i.test(match[0]) || countNamed(hour ?? '') > 12,
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
