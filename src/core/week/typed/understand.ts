import type { AgendaEntry } from '../agenda-entry';
import { blankEntry } from '../agenda-entry';
import { isCounted } from '../age';
import type { Part } from '../demand';
import type { IsoDay } from '../week';
import { CODES, DAY, MONTH, weekdayOf } from './calendar-days';
import { countNamed, readDay, readRange } from './days';
import type { TypingHabits } from './habits';
import { USUAL_HABITS } from './habits';
import type { Span } from './line';
import { Line, anywhere } from './line';
import { readRepeat } from './repeats';
import { readWhen } from './times';

/** Something that the line leaves open, and the entry if it is meant the other way. */
export type Doubt =
  | { readonly is: 'before noon' | 'after noon' | 'every week'; readonly instead: AgendaEntry }
  /** a word that was taken for a day */
  | { readonly is: 'no day'; readonly word: string; readonly instead: AgendaEntry }
  /** a word that was not taken: only to be looked at */
  | { readonly is: 'in the title'; readonly word: string };

/** What one typed line means. */
export interface Understood {
  /** null when no words are left for a title */
  readonly entry: AgendaEntry | null;
  /** what of the line was understood, in its order; all other words are the title */
  readonly spans: readonly Span[];
  readonly doubts: readonly Doubt[];
}

/**
 * Reads one typed line: `vet thu 16:30 for 45 min`, `bins mon alternating recycling/garden`, `choir camp fri-sun`,
 * `rent due 1st, 2 days before`, `milk list to buy fri`, `concert apr 12, count 30 days`, `mum bday 4 may 1957`. Days
 * are the next ones from `from` on. Dates in other words (`in two weeks`) are left to chrono-node.
 * @example understand('dinner at 7', '2027-02-03').entry?.start // 19 * 60
 */
export function understand(text: string, from: IsoDay, habits: TypingHabits = USUAL_HABITS): Understood {
  const line = new Line(text);
  const onlyWith = line.take(/(?<=\s)only\s+(?:with|in weeks of)\s+(.+?)\s*$/iu, 'only with')?.[1] ?? null;
  const countdown = readCountdown(line);
  const leadDays = readLead(line);
  const since = line.take(anywhere('(?:since|born)\\s+(\\d{4})'), 'since')?.[1];
  const minutes = readLength(line);
  const part = readPart(line);
  const repeat = readRepeat(line, from, habits);
  const due = readDue(line);
  const range = repeat ? null : readRange(line, from, habits);
  const found = range ?? (repeat ? null : readDay(line, from, habits));
  const day = repeat?.day ?? found?.day ?? from;
  const when = readWhen(line, habits, part);
  const tentative = line.take(/\?|(?<![\p{L}])(?:maybe|perhaps)(?![\p{L}])/iu, 'not sure') !== null;
  const turns = readTurns(line);
  const list =
    line.take(/(?<=\s)(?:on |in |to )?(?:the )?list\s+(\S.*?)\s*$/iu, 'list')?.[1]?.replace(/\s+/g, ' ') ?? null;
  const title = titled(line.rest, turns);
  const spans = [...line.spans].sort((a, b) => a.from - b.from);
  if (!title) return { entry: null, spans, doubts: [] };
  const counted = isCounted(title, []);
  const year = since ? Number(since) : counted && found?.year ? found.year : null;
  const weekly = turns && !repeat ? `FREQ=WEEKLY;BYDAY=${CODES[weekdayOf(day)] as string}` : null;
  // `mon-fri 22:00-6:00`: each of these days, not one long one
  const turn = range && range.days > 1 && when?.minutes ? range.days : null;
  const entry: AgendaEntry = {
    ...blankEntry(day),
    title,
    list,
    leadDays: due === 'before' ? Math.max(1, leadDays) : leadDays,
    start: when?.start ?? null,
    minutes: when ? (when.minutes ?? minutes) : null,
    part: when ? null : part,
    tentative,
    task: due !== null || list !== null,
    kind: due ? 'deadline' : null,
    days: turn ? 1 : (range?.days ?? readWeekOff(title)),
    onlyWith,
    countdown,
    since: year ?? (counted ? 0 : null),
    dueShown: due !== null && (leadDays > 0 || due === 'before'),
    repeat:
      repeat?.rule ??
      (turn ? `FREQ=DAILY;COUNT=${turn}` : null) ??
      weekly ??
      (counted && !range ? yearlyRule(day) : null),
  };
  const asked = doubtsOf(entry, when?.bare === true, repeat?.once === true);
  const doubts = [...asked, ...namesOf(entry, spans, text, from), ...leftOf(title)];
  return { entry, spans, doubts };
}

function doubtsOf(entry: AgendaEntry, bare: boolean, once: boolean): Doubt[] {
  const { start, repeat } = entry;
  const late = start !== null && start >= 12 * 60;
  const other = start === null ? null : start + (late ? -12 : 12) * 60;
  return [
    ...(bare && other !== null
      ? [{ is: late ? ('before noon' as const) : ('after noon' as const), instead: { ...entry, start: other } }]
      : []),
    ...(once && repeat
      ? [{ is: 'every week' as const, instead: { ...entry, repeat: repeat.replace(/;COUNT=\d+/, '') } }]
      : []),
  ];
}

/** Words that are days and names as well. */
const BOTH = /^(?:sun|sat|mon)$/i;

/** `sun lunch`: the line begins with a word that was taken for a day and may be one of the title. */
function namesOf(entry: AgendaEntry, spans: readonly Span[], text: string, from: IsoDay): Doubt[] {
  const [first] = spans;
  if (!first || first.as !== 'day' || text.slice(0, first.from).trim() || entry.repeat) return [];
  const word = text.slice(first.from, first.to);
  const isFollowed = /^\s+\p{Ll}/u.test(text.slice(first.to)) && spans[1]?.from !== first.to + 1;
  if (!BOTH.test(word) || !isFollowed) return [];
  return [{ is: 'no day', word, instead: { ...entry, day: from, title: `${word} ${entry.title}` } }];
}

/** What is left in a title though it looks like a day, an hour or a rule: `fri`, `8pm`, `every`. */
const LOOKS_READ = anywhere(
  `${DAY}|tomorrow|today|tonight|\\d{1,2}[:.]\\d{2}|\\d{1,2}\\s?(?:am|pm)|\\d{1,2}/\\d{1,2}|\\d{1,2}(?:st|nd|rd|th)|every|weekly|daily|monthly|fortnight\\p{L}*`,
);

const leftOf = (title: string): Doubt[] => {
  const word = LOOKS_READ.exec(title)?.[0];
  return word ? [{ is: 'in the title', word }] : [];
};

/** What is left is the title, without the small words that led to what was taken. */
function titled(rest: string, turns: readonly string[] | null): string {
  const words = rest
    .replace(/\s+(?:on|at|the|by|from|of|and|in|until)\s*(?=[,\s]*$)/iu, ' ')
    .replace(/\s*,\s*(?=,|$)/g, ' ')
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:–-]+|[\s,;:–-]+$/g, '');
  return turns ? turns.map((t) => `${t} ${words}`.trim()).join(' / ') : words;
}

/** `alternating recycling/garden`: what the title takes turns with. */
function readTurns(line: Line): readonly string[] | null {
  const match = line.take(/(?<=\s)alternat(?:ing|e|es|ely)\s+([^/]+(?:\/[^/]+)+?)\s*$/iu, 'turns');
  const turns = match?.[1]?.split('/').map((t) => t.trim().replace(/\s+/g, ' ')) ?? [];
  return turns.length > 1 && turns.every(Boolean) ? turns : null;
}

/** Every year on that day; 29 February is kept on the last day of the month (see `keptEveryYear`). */
const yearlyRule = (day: IsoDay): string =>
  day.endsWith('-02-29') ? 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1' : 'FREQ=YEARLY';

function readLead(line: Line): number {
  const match =
    line.take(/,?\s*(\d{1,2}|a|one|two|three)\s+(day|week)s?\s+(?:before|ahead)/iu, 'before') ??
    line.take(/,\s*(?:the\s+)?()(day|week)\s+before/iu, 'before');
  if (!match) return 0;
  const count = match[1] ? countNamed(match[1]) : 1;
  return count * (match[2]?.toLowerCase() === 'week' ? 7 : 1);
}

/** `due fri`, `by the 10th`; what is to be done before a day is done the day before. */
function readDue(line: Line): 'due' | 'before' | null {
  if (line.take(anywhere('(?:due(?:\\s+back)?(?:\\s+(?:on|by))?|no later than)'), 'due')) return 'due';
  const number = '\\d{1,2}(?:st|nd|rd|th)';
  const date = `${MONTH}\\s+\\d|\\d{1,2}\\s+${MONTH}|\\d{1,2}/\\d`;
  const day = `(?:the\\s+)?(?:${number}|(?:next\\s+)?${DAY}|${date}|tomorrow)`;
  const word = line.take(anywhere(`(by|before)(?=\\s+${day}(?![\\p{L}]))`), 'due')?.[1]?.toLowerCase();
  return word === 'by' ? 'due' : word === 'before' ? 'before' : null;
}

function readCountdown(line: Line): number[] {
  const match = line.take(
    /,?\s*count(?:down)?\s+((?:\d{1,3}(?:\s*,\s*|\s+and\s+)?)+)\s*days?(?:\s+before)?/iu,
    'countdown',
  );
  return match ? [...(match[1] as string).matchAll(/\d+/g)].map((m) => Number(m[0])).filter((n) => n > 0) : [];
}

function readLength(line: Line): number | null {
  const match =
    line.take(/(?<=\s)for\s+(\d+(?:\.\d+)?|an|half an)\s*(min(?:ute)?s?|h(?:ou)?rs?|h)(?!\p{L})/iu, 'length') ??
    line.take(/(?<=\s)(\d{1,3})(m|\s?mins?)(?!\p{L})/iu, 'length');
  if (!match) return null;
  const amount = { an: 1, 'half an': 0.5 }[(match[1] as string).toLowerCase()] ?? Number(match[1]);
  return Math.max(1, Math.round(amount * (/^h/i.test(match[2] as string) ? 60 : 1)));
}

/** `saturday night` is one; `date night` is a title. */
const NIGHT = `(?<=(?:${DAY}s?|tomorrow|every|each|this|at|by)\\s+)nights?(?!\\s+(?:shift|duty|bus|school|class|ferry|market))|tonight`;
const HALF_DAY = `(?<=(?:${DAY}s?|tomorrow)\\s+)(?:am|pm|a\\.m\\.?|p\\.m\\.?)`;
/** `evening class` is what it is called. */
const NAMED = '(?!\\s+(?:class(?:es)?|course|dress|meal|gown))';

/** `a week off`: so many days, and the words stay. */
function readWeekOff(title: string): number {
  const match = anywhere('(a|one|two|three|\\d{1,2})\\s+(day|week)s?\\s+(?:off|away|leave)').exec(title);
  if (!match) return 1;
  const count = countNamed(match[1] as string);
  return Math.max(1, count * (match[2]?.toLowerCase() === 'week' ? 7 : 1));
}

function readPart(line: Line): Part | null {
  const word = line.take(
    anywhere(`(?:in the\\s+|this\\s+)?(?:mornings?|afternoons?|evenings?)${NAMED}|${NIGHT}|${HALF_DAY}`),
    'part',
  )?.[0];
  if (!word) return null;
  return /morning|a\.?m/i.test(word) ? 'morning' : /afternoon|p\.?m/i.test(word) ? 'day' : 'evening';
}
