import type { AgendaEntry } from '../agenda-entry';
import { blankEntry } from '../agenda-entry';
import { isCounted } from '../age';
import type { Part } from '../demand';
import type { IsoDay } from '../week';
import { CODES, DAY, daysFrom, weekdayOf } from './calendar-days';
import { ONE_DAY, countNamed } from './day-words';
import { readDay } from './days';
import type { Doubt } from './doubts';
import { doubtsOf, leftOf, namesOf } from './doubts';
import type { TypingHabits } from './habits';
import { USUAL_HABITS } from './habits';
import type { Span } from './line';
import { Line, anywhere } from './line';
import { readRange } from './ranges';
import { readRepeat } from './repeats';
import { readWhen } from './times';
import { titled } from './titled';

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
  line.take(anywhere('all[\\s-]day'), 'day');
  const repeat = readRepeat(line, from, habits);
  const range = repeat ? null : readRange(line, from, habits);
  const due = readDue(line);
  const found = range ?? (repeat ? null : readDay(line, from, habits));
  const day = repeat?.day ?? found?.day ?? from;
  const stay = found && found.days === 1 ? readStay(line) : null;
  const when = readWhen(line, habits, part);
  // how long it lasts is kept where it has a time; else the words stay: `stretch 15 mins`
  const lasts = when ? (minutes ?? readHours(line)) : null;
  if (!when && stay === null) line.giveBack('length');
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
  const turn = range && range.days > 1 && when && (when.minutes || range.named) ? range.days : null;
  const entry: AgendaEntry = {
    ...blankEntry(day),
    title,
    list,
    leadDays: due === 'before' ? Math.max(1, leadDays) : leadDays,
    start: when?.start ?? null,
    minutes: when?.minutes ?? lasts,
    part: when ? null : part,
    tentative,
    task: due !== null || list !== null,
    kind: due ? 'deadline' : null,
    days: turn ? 1 : (range?.days ?? stay ?? readWeekOff(title)),
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
  const whole: Doubt[] =
    turn && !when?.minutes ? [{ is: 'one long', instead: { ...entry, repeat: null, days: turn } }] : [];
  const stays: Doubt[] =
    due === 'until' && day > from
      ? [{ is: 'until then', instead: { ...untimed(entry), day: from, days: daysFrom(from, day) + 1 } }]
      : [];
  const or: Doubt[] = repeat?.or
    ? [{ is: repeat.or.is, instead: { ...entry, day: repeat.or.day, repeat: repeat.or.rule } }]
    : [];
  const doubts = [...asked, ...whole, ...stays, ...or, ...namesOf(entry, spans, text, from), ...leftOf(title, entry)];
  return { entry, spans, doubts };
}

/** As something that goes on, not as a thing to be done. */
const untimed = (e: AgendaEntry): AgendaEntry => ({ ...e, task: false, kind: null, dueShown: false });

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
    line.take(
      /,?\s*(?:remind(?:er)?(?:\s+me)?\s+)?(\d{1,2}|a|one|two|three)\s+(day|week)s?\s+(?:before|ahead)/iu,
      'before',
    ) ?? line.take(/,\s*(?:the\s+)?()(day|week)\s+before/iu, 'before');
  if (!match) return 0;
  const count = match[1] ? countNamed(match[1]) : 1;
  return count * (match[2]?.toLowerCase() === 'week' ? 7 : 1);
}

/** `due fri`, `by the 10th`; what is to be done before a day is done the day before. */
function readDue(line: Line): 'due' | 'before' | 'until' | null {
  const surely = 'due(?:\\s+back)?(?:\\s+(?:on|by))?|no later than|(?:at the )?latest(?:\\s+by)?|(?<=^\\s*)deadline:?';
  if (line.take(anywhere(surely), 'due')) return 'due';
  const end = line.take(anywhere('(?:by\\s+)?(?:eod|cob|end\\s+of\\s+(?:the\\s+)?day)'), 'due');
  if (end) return 'due';
  const word = line.take(anywhere(`(by|before|until|till)(?=\\s+${ONE_DAY})`), 'due')?.[1]?.toLowerCase();
  return word === 'before' ? 'before' : word === 'by' ? 'due' : word ? 'until' : null;
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
    line.take(/(?<=[\s(])(\d{1,3})(m|['′]|\s?min(?:ute)?s?)(?!\p{L})/iu, 'length') ??
    line.take(/(?<=[\s(])(\d{1,2}(?:\.\d+)?|an|half an)\s?(hours?|hrs?)(?!\p{L})/iu, 'length');
  if (!match) return null;
  const amount = { an: 1, 'half an': 0.5 }[(match[1] as string).toLowerCase()] ?? Number(match[1]);
  return Math.max(1, Math.round(amount * (/^h/i.test(match[2] as string) ? 60 : 1)));
}

/** `2h`, `1h30` behind a time of day: an hour's sign that is left says how long. */
function readHours(line: Line): number | null {
  const match = line.take(/(?<=[\s(])(\d{1,2}(?:\.\d)?)\s?h(\d{2})?(?![\p{L}\d])/iu, 'length');
  return match ? Math.round(Number(match[1]) * 60) + Number(match[2] ?? 0) : null;
}

/** `saturday night` is one; `date night` is a title. */
const NIGHT = `(?<=(?:${DAY}s?|tomorrow|every|each|this|at|by)\\s+)(?:nights?|nites?)(?!\\s+(?:shift|duty|bus|school|class|ferry|market))|tonight`;
const HALF_DAY = `(?<=(?:${DAY}s?|tomorrow)\\s+)(?:am|pm|a\\.m\\.?|p\\.m\\.?|eve|aft)`;
/** Evenings that are called so. From memory. */
const CALLED = "(?<!(?:parents['’]?|open|quiz|games?|school|wine|bridge)\\s+)";
/** `evening class` is what it is called. */
const NAMED = '(?!\\s+(?:class(?:es)?|course|dress|meal|gown))';

/** `10 feb for 5 days`. */
function readStay(line: Line): number | null {
  const match = line.take(anywhere('for\\s+(an?|one|two|three|four|five|\\d{1,2})\\s+(day|night|week)s?'), 'length');
  if (!match) return null;
  const unit = (match[2] as string).toLowerCase();
  return countNamed(match[1] as string) * (unit === 'week' ? 7 : 1) + (unit === 'night' ? 1 : 0);
}

/** `a week off`: so many days, and the words stay. */
function readWeekOff(title: string): number {
  const match = anywhere('(?:(a|one|two|three|\\d{1,2})\\s+)?(day|week)s?\\s+(?:off|away|leave)').exec(title);
  if (!match) return 1;
  const count = countNamed(match[1] ?? 'a');
  return Math.max(1, count * (match[2]?.toLowerCase() === 'week' ? 7 : 1));
}

function readPart(line: Line): Part | null {
  const word = line.take(
    anywhere(`(?:in the\\s+|this\\s+)?${CALLED}(?:mornings?|afternoons?|evenings?)${NAMED}|${NIGHT}|${HALF_DAY}`),
    'part',
  )?.[0];
  if (!word) return null;
  return /morning|a\.?m/i.test(word) ? 'morning' : /afternoon|p\.?m|aft/i.test(word) ? 'day' : 'evening';
}
