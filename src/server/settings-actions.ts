'use server';

import { forgetWeekText } from '../db/week-text';
import { IANAZone } from 'luxon';
import { BadInput, quoted } from '../core/format/fault';
import type { Hand } from '../core/measure/hand';
import type { Database } from '../db/database';
import { forgetChoices, switchChoice } from '../db/liked-choices';
import { forgetLikes, switchLike } from '../db/likes';
import { writeSetting } from '../db/settings';
import { check } from './dto/check';
import {
  ClockDto,
  CurrencyDto,
  LearnedChoiceDto,
  LikeDto,
  SaveHandDto,
  ShortFormDto,
  TaughtWordDto,
  TypingDto,
  UnitDto,
  WeekStartDto,
  WordDto,
  ZoneDto,
} from './dto/settings.dto';
import { ownerZone } from './calendars';
import { mustBeAsSeen } from './conflict';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { ownShortForms, ownerHand, recordHabits, taughtWords, typingHabits } from './settings';

/** Keeps the owner's hand; every week that has none of its own is planned with it from now on. */
export async function saveHand(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { hand, seen } = check(SaveHandDto, input, 'hand');
    const letters = (h: Hand): string => `Your hand is now ${h.lettersPerLine} letters to a line of ${h.lineWidth} mm`;
    mustBeAsSeen(seen, await ownerHand(trx), letters);
    await writeSetting(trx, 'hand', { ...hand });
  });
}

export async function saveZone(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { zone, seen } = check(ZoneDto, input, 'settings');
    if (!IANAZone.isValidZone(zone))
      throw new BadInput([
        { file: 'settings', where: 'time zone', found: quoted(zone), expected: 'a zone such as America/Halifax' },
      ]);
    mustBeAsSeen(seen, await ownerZone(trx), (now) => `Your clock is now ${now}’s`);
    await writeSetting(trx, 'zone', zone);
    return null;
  });
}

/** Keeps the day that the owner's weeks begin on. */
export async function saveWeekStart(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    await writeSetting(trx, 'week start', check(WeekStartDto, input, 'settings').start);
    await forgetWeekText(trx);
  });
}

/** Keeps whether the owner writes hours by twelve or by 24. */
export async function saveClock(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    await writeSetting(trx, 'clock', check(ClockDto, input, 'settings').clock);
    await forgetWeekText(trx);
  });
}

/** Keeps what the owner measures in, whatever the book was measured in. */
export async function saveUnit(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => writeSetting(trx, 'unit', check(UnitDto, input, 'settings').unit));
}

/** Keeps what the owner pays in. */
export async function saveCurrency(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { currency } = check(CurrencyDto, input, 'settings');
    await writeSetting(trx, 'records', { ...(await recordHabits(trx)), currency: currency.trim() });
  });
}

/** Keeps how the owner writes days and hours. */
export async function saveTyping(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { dateOrder, afterNoon, seen } = check(TypingDto, input, 'settings');
    mustBeAsSeen(seen, await typingHabits(trx), (now) => `Dates are now read ${now.dateOrder}`);
    await writeSetting(trx, 'typing', { dateOrder, afterNoon: { ...afterNoon } });
  });
}

/** Teaches one of the owner's words, or another meaning of it. */
export async function teachWord(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { word, means } = check(TaughtWordDto, input, 'word');
    await writeSetting(trx, 'taught words', withWord(await taughtWords(trx), { word: word.trim(), means }));
  });
}

export async function forgetWord(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { word } = check(WordDto, input, 'word');
    await writeSetting(trx, 'taught words', without(await taughtWords(trx), word));
  });
}

/** Keeps one of the owner's short forms; it is used only where the whole word does not fit. */
export async function addShortForm(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { word, short } = check(ShortFormDto, input, 'short form');
    const forms = withWord(await ownShortForms(trx), { word: word.trim(), short: short.trim() });
    await writeSetting(trx, 'short forms', forms);
  });
}

export async function dropShortForm(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { word } = check(WordDto, input, 'short form');
    await writeSetting(trx, 'short forms', without(await ownShortForms(trx), word));
  });
}

const MOST_WORDS = 200;

interface Word {
  readonly word: string;
}

const without = <T extends Word>(words: readonly T[], word: string): T[] =>
  words.filter((w) => w.word.toLowerCase() !== word.toLowerCase());

/** The words with one more, or with another in its place: two windows that add each keep theirs. */
function withWord<T extends Word>(words: readonly T[], added: T): T[] {
  const all = [...without(words, added.word), added];
  if (all.length > MOST_WORDS)
    throw new BadInput([
      { file: 'settings', where: 'words', found: `${all.length} words`, expected: `at most ${MOST_WORDS}` },
    ]);
  return all;
}

/** Heeds something that was learned, or not any more. */
export async function heedLike(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { kit, code, off } = check(LikeDto, input, 'taste');
    await switchLike(trx, kit, code, off);
  });
}

/** Heeds what was learned of how a school's weeks are laid out, or not any more. */
export async function heedChoice(input: unknown): Promise<Outcome<null>> {
  return changed(async (trx) => {
    const { manner, choice, off } = check(LearnedChoiceDto, input, 'taste');
    await switchChoice(trx, manner, choice, off);
  });
}

/** Forgets all that was learned. */
export async function forgetTaste(): Promise<Outcome<null>> {
  return changed(async (trx) => {
    await forgetLikes(trx);
    await forgetChoices(trx);
  });
}

const changed = (run: (trx: Database) => Promise<void>): Promise<Outcome<null>> =>
  inOneStroke((trx) => run(trx).then(() => null));
