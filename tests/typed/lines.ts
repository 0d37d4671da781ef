import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Understood } from '../../src/core/week/typed/understand';
import type { TypingHabits } from '../../src/core/week/typed/habits';

/** A Wednesday: the day on which all lines were typed. */
export const TYPED_ON = '2027-02-03';

/** A line, and what the one who typed it meant. */
export interface TypedLine {
  readonly line: string;
  readonly title: string;
  /** what must be so; a title alone says that it has no time and comes once */
  readonly means: Readonly<Record<string, unknown>>;
  /** it can be meant in two ways: to ask is right, too */
  readonly open: boolean;
}

const minutes = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

/** `d:` day, `t:` time, `m:` minutes, `n:` days, `r:` rule, `k:` kind, `p:` part, `lead:` days before, `?` open. */
function meaning(facts: string): Readonly<Record<string, unknown>> {
  const said = new Map(facts.split(' ').map((f) => [f.slice(0, f.indexOf(':')), f.slice(f.indexOf(':') + 1)]));
  const day = said.get('d');
  const time = said.get('t');
  return {
    start: time === undefined ? null : minutes(time),
    repeat: said.get('r') ?? null,
    days: Number(said.get('n') ?? 1),
    ...(day && { day: `2027-${day}` }),
    ...(said.has('m') && { minutes: Number(said.get('m')) }),
    ...(said.has('k') && { kind: said.get('k') }),
    ...(said.has('p') && { part: said.get('p') }),
    ...(said.has('lead') && { leadDays: Number(said.get('lead')) }),
  };
}

/** Three people's lines, a hundred each, written before the reader was tried on any of them. */
export const readLines = (file: string): readonly TypedLine[] =>
  readFileSync(join(__dirname, file), 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((text) => {
      const [line = '', title = '', facts = ''] = text.split('|').map((part) => part.trim());
      return { line, title, means: meaning(facts), open: facts.endsWith('?') };
    });

export const PEOPLE: readonly { readonly file: string; readonly habits: TypingHabits }[] = [
  { file: 'american.txt', habits: { dateOrder: 'month first', afterNoon: { from: 1, to: 6 } } },
  { file: 'british.txt', habits: { dateOrder: 'day first', afterNoon: { from: 1, to: 6 } } },
  { file: 'mixed.txt', habits: { dateOrder: 'month first', afterNoon: { from: 1, to: 6 } } },
  { file: 'later.txt', habits: { dateOrder: 'month first', afterNoon: { from: 1, to: 6 } } },
  { file: 'last.txt', habits: { dateOrder: 'day first', afterNoon: { from: 1, to: 6 } } },
  { file: 'fresh.txt', habits: { dateOrder: 'month first', afterNoon: { from: 1, to: 6 } } },
  { file: 'continental.txt', habits: { dateOrder: 'day first', afterNoon: { from: 1, to: 6 } } },
];

/** `right`, `asked` where it is not but the line asks, or `wrong` without a word. */
export function judge(line: TypedLine, read: Understood): 'right' | 'asked' | 'wrong' {
  const entry = read.entry as Readonly<Record<string, unknown>> | null;
  const alike =
    entry === null
      ? line.title === ''
      : entry.title === line.title && Object.entries(line.means).every(([key, value]) => entry[key] === value);
  const asks = read.doubts.length > 0;
  if (line.open) return asks ? 'right' : alike && Object.keys(line.means).length > 3 ? 'right' : 'wrong';
  return alike ? 'right' : asks ? 'asked' : 'wrong';
}
