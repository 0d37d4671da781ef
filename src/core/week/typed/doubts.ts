import type { AgendaEntry } from '../agenda-entry';
import type { IsoDay } from '../week';
import { DAY, DAYS, MONTH, MONTHS } from './calendar-days';
import type { Span } from './line';
import { anywhere } from './line';
import { NUMBERED } from './times';
import { titled } from './titled';

/** Something that the line leaves open, and the entry if it is meant the other way. */
export type Doubt =
  | {
      /** of several days with one hour: not on each of them; `until friday`: not due then, but going on till then */
      readonly is:
        'before noon' | 'after noon' | 'every week' | 'one long' | 'until then' | 'of each month' | 'by weeks';
      readonly instead: AgendaEntry;
    }
  /** a word that was taken for a day, an hour, or a rule */
  | { readonly is: 'no day' | 'no hour' | 'no rule'; readonly word: string; readonly instead: AgendaEntry }
  /** a word that was not taken: only to be looked at */
  | { readonly is: 'in the title'; readonly word: string };

/** What an hour without its half of the day, and days without `every`, leave open. */
export function doubtsOf(entry: AgendaEntry, bare: boolean, once: boolean): Doubt[] {
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
const BOTH = /^(?:sun|sat|mon|wed)$/i;
/** What comes behind a day in a sentence, so that it is one. */
const SMALL_WORDS = /^\s+(?:with|w|at|in|for|by|and|or|to|from|on|before|after)(?![\p{L}])/iu;
/** `sunday roast` is eaten on other days, too. From memory. */
const OF_A_NAME = /^\s+(?:roast|school|best|service|paper)(?![\p{L}])/iu;

/** An hour that is a word as well: `midnight snack run`. */
const HOUR_WORD = /^(?:noon|midday|midnight)$/i;
/** `monthly report` is what it is called, or how it comes. */
const ADVERB = /^(?:daily|weekly|monthly|yearly)$/i;
/** Ordinals count more than days: `2nd draft`. */
const ORDINAL = /^\d{1,2}(?:st|nd|rd|th)$/i;

/** `sun lunch`, `clean sat radio`, `line 3/4 check`: what was taken for a day may be a word of the title. */
export function namesOf(entry: AgendaEntry, spans: readonly Span[], text: string, from: IsoDay): Doubt[] {
  const found = spans.find((s, i) => {
    const [word, after] = [text.slice(s.from, s.to), text.slice(s.to)];
    const isFollowed = /^\s+\p{Ll}/u.test(after) && spans[i + 1]?.from !== s.to + 1 && !SMALL_WORDS.test(after);
    if (s.as === 'time') return isFollowed && HOUR_WORD.test(word);
    if (s.as === 'repeat') return isFollowed && ADVERB.test(word);
    if (s.as !== 'day') return false;
    if (isLongPast(word, from)) return true;
    if (entry.repeat) return false;
    const isAmid = isFollowed && /\p{Ll}\s+$/u.test(text.slice(0, s.from));
    return (
      OF_A_NAME.test(after) ||
      (BOTH.test(word) && isFollowed) ||
      ((ORDINAL.test(word) || /^\d{1,2}\/\d{1,2}$/.test(word)) && isAmid)
    );
  });
  if (!found) return [];
  const others = spans.filter((s) => s !== found);
  const title = titled(
    others.reduce((t, s) => t.slice(0, s.from) + ' '.repeat(s.to - s.from) + t.slice(s.to), text),
    null,
  );
  const word = text.slice(found.from, found.to);
  if (found.as === 'repeat') return [{ is: 'no rule', word, instead: { ...entry, repeat: null, title } }];
  return found.as === 'time'
    ? [{ is: 'no hour', word, instead: { ...entry, start: null, minutes: null, title } }]
    : [{ is: 'no day', word, instead: { ...entry, day: from, title } }];
}

/** `7/12/18`, which nobody plans anymore. */
function isLongPast(word: string, from: IsoDay): boolean {
  const year = /^\d{1,2}[/.]\d{1,2}[/.](\d{2})$/.exec(word)?.[1];
  return year !== undefined && `20${year}` < from.slice(0, 4);
}

/** What is left in a title though it looks like a day, an hour or a rule: `fri`, `8pm`, `every`. */
const LOOKS_READ = anywhere(
  [
    `${DAY}|${DAY}s|tomorrow|today|tonight|2moro\\p{L}*|tom(?=\\s|$)|we?e?ke?nds?|every|weekly|daily|monthly|fortnight\\p{L}*`,
    `\\d{1,2}[:.h]\\d{2}|\\d{1,2}u\\d{2}|\\d{1,2}\\s?(?:am|pm)|[ap]m|(?:half|quarter)\\s+(?:past|to)`,
    `\\d{1,2}/\\d{1,2}|\\d{1,2}(?:st|nd|rd|th)|\\d{1,2}\\.\\d{1,2}\\.`,
    `\\d{1,2}\\s*(?:&|and|\\+|/|,)\\s*\\d{1,2}|for\\s+\\d{1,2}(?=\\s*$)`,
    `w/[ce]|wk\\s*\\d+|(?:next|this|last)\\s+(?:week|month|year)|weeks?\\s+of`,
    `(?:in|of|early|late|mid|from|until|till|by|next|this|before|after)[\\s-]+${MONTH}`,
    `(?:after|before|until|till|since|latest|from)(?=\\s*$)|(?:before|after|around|by)\\s+\\d{1,2}`,
    `[&+]\\s*\\d{1,2}|(?:&|and)\\s+(?:night|evening|morning|afternoon)|\\d+\\s*(?:hours?|hrs?)|except\\p{L}*`,
    `\\d{1,2}\\.\\d{1,2}(?=\\s*$)|\\p{L}+teenth|twentieth|thirtieth|\\d{1,2}\\s+(?:[ECMP][DS]?T|GMT|UTC|CET)`,
  ].join('|'),
);
/** Two numbers that may be from one hour to another. */
const MAY_BE_SPAN = /(?<![\d-])(?:1?\d|2[0-4]|(?:1?\d|2[0-3])[0-5]\d)\s?[-–]\s?(?:1?\d|2[0-4])(?![\d-])/u;
/** Where it has no hour: a number at the end may be one. */
const ENDS_IN_HOUR = /(?<=\p{L},?\s)(?:1?\d|2[0-4]|(?:1?\d|2[0-3])[0-5][05])$/u;

export function leftOf(title: string, entry: AgendaEntry): Doubt[] {
  const word =
    LOOKS_READ.exec(title)?.[0] ??
    (entry.start === null ? (ENDS_IN_HOUR.exec(title)?.[0] ?? spanIn(title)) : undefined) ??
    / \)/.exec(title)?.[0] ??
    title.split(/[^\p{L}]+/u).find(isNearlyADay);
  return word ? [{ is: 'in the title', word: word.trim() }] : [];
}

function spanIn(title: string): string | undefined {
  const found = MAY_BE_SPAN.exec(title);
  return found && !NUMBERED.test(title.slice(0, found.index)) ? found[0] : undefined;
}

/** `wednsday`, `febuary`: one letter more, fewer or another than a day's or a month's name. */
const isNearlyADay = (word: string): boolean =>
  word.length > 4 &&
  [...DAYS, ...MONTHS.filter((m) => m.length > 5)].some((name) => isOneOff(word.toLowerCase(), name));

function isOneOff(word: string, name: string): boolean {
  if (Math.abs(word.length - name.length) > 1 || word === name) return false;
  const first = [...name].findIndex((letter, i) => word[i] !== letter);
  const at = first < 0 ? name.length : first;
  const [more, than] = [word.slice(at), name.slice(at)];
  const isTurned = more[0] === than[1] && more[1] === than[0] && more.slice(2) === than.slice(2);
  return isTurned || more.slice(1) === than.slice(1) || more === than.slice(1) || more.slice(1) === than;
}
