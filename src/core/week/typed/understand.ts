import type { AgendaEntry } from '../agenda-entry';
import { blankEntry } from '../agenda-entry';
import { isCounted } from '../age';
import type { Part } from '../demand';
import type { IsoDay } from '../week';
import { CODES, DAY, weekdayOf } from './calendar-days';
import { readDay, readRange } from './days';
import type { TypingHabits } from './habits';
import { USUAL_HABITS } from './habits';
import type { Span } from './line';
import { Line, anywhere } from './line';
import { readRepeat } from './repeats';
import { readWhen } from './times';

/** Something that the line leaves open, and the entry if it is meant the other way. */
export interface Doubt {
  readonly is: 'before noon' | 'after noon' | 'every week';
  readonly instead: AgendaEntry;
}

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
  const range = repeat ? null : readRange(line, from);
  const due = line.take(anywhere('due(?:\\s+(?:on|by))?'), 'due') !== null;
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
  const entry: AgendaEntry = {
    ...blankEntry(day),
    title,
    list,
    leadDays,
    start: when?.start ?? null,
    minutes: when ? (when.minutes ?? minutes) : null,
    part: when ? null : part,
    tentative,
    task: due || list !== null,
    kind: due ? 'deadline' : null,
    days: range?.days ?? 1,
    onlyWith,
    countdown,
    since: year ?? (counted ? 0 : null),
    dueShown: due && leadDays > 0,
    repeat: repeat?.rule ?? weekly ?? (counted && !range ? yearlyRule(day) : null),
  };
  return { entry, spans, doubts: doubtsOf(entry, when?.bare === true, repeat?.once === true) };
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

/** What is left is the title, without the small words that led to what was taken. */
function titled(rest: string, turns: readonly string[] | null): string {
  const words = rest
    .replace(/\s+(?:on|at|the|by|from|of|and|in|until)\s*(?=[,\s]*$)/iu, ' ')
    .replace(/\s*,\s*(?=,|$)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;–-]+|[\s,;–-]+$/g, '');
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
  const match = line.take(/,?\s*(\d{1,2}|a|one|two|three)\s+(day|week)s?\s+(?:before|ahead)/iu, 'before');
  if (!match) return 0;
  const count = { a: 1, one: 1, two: 2, three: 3 }[(match[1] as string).toLowerCase()] ?? Number(match[1]);
  return count * (match[2]?.toLowerCase() === 'week' ? 7 : 1);
}

function readCountdown(line: Line): number[] {
  const match = line.take(
    /,?\s*count(?:down)?\s+((?:\d{1,3}(?:\s*,\s*|\s+and\s+)?)+)\s*days?(?:\s+before)?/iu,
    'countdown',
  );
  return match ? [...(match[1] as string).matchAll(/\d+/g)].map((m) => Number(m[0])).filter((n) => n > 0) : [];
}

function readLength(line: Line): number | null {
  const match = line.take(
    /(?<=\s)for\s+(\d+(?:\.\d+)?|an|half an)\s*(min(?:ute)?s?|h(?:ou)?rs?|h)(?!\p{L})/iu,
    'length',
  );
  if (!match) return null;
  const amount = { an: 1, 'half an': 0.5 }[(match[1] as string).toLowerCase()] ?? Number(match[1]);
  return Math.max(1, Math.round(amount * (/^h/i.test(match[2] as string) ? 60 : 1)));
}

/** `saturday night` is one; `date night` is a title. */
const NIGHT = `(?<=(?:${DAY}s?|tomorrow|every|each|this|at|by)\\s+)nights?|tonight`;

function readPart(line: Line): Part | null {
  const word = line.take(anywhere(`(?:in the\\s+|this\\s+)?(?:mornings?|afternoons?|evenings?)|${NIGHT}`), 'part')?.[0];
  if (!word) return null;
  return /morning/i.test(word) ? 'morning' : /afternoon/i.test(word) ? 'day' : 'evening';
}
