import { own } from '../core/measure/own';
import type { Options } from '../core/manner/options/registry';
import type { ShortForm } from '../core/manner/options/short-forms';
import type { Hand } from '../core/measure/hand';
import { USUAL_HAND } from '../core/measure/hand';
import type { RecordHabits } from '../core/keep/day-record';
import { USUAL_RECORDS } from '../core/keep/day-record';
import type { TaughtWord } from '../core/week/taught';
import type { TypingHabits } from '../core/week/typed/habits';
import { USUAL_HABITS } from '../core/week/typed/habits';
import type { Database } from '../db/database';
import { listSupplies } from '../db/plans';
import { isTape } from '../db/tape';
import { readSetting } from '../db/settings';

/** The owner's hand as measured; null until it is. */
export const measuredHand = (db: Database): Promise<Hand | null> => readSetting(db, 'hand', isHand);

/** The owner's hand as measured; a usual one until it is. */
export const ownerHand = async (db: Database): Promise<Hand> => (await measuredHand(db)) ?? USUAL_HAND;

/** The owner's own words and what they mean. */
export const taughtWords = async (db: Database): Promise<TaughtWord[]> =>
  (await readSetting(db, 'taught words', areTaughtWords)) ?? [];

/** Words that the owner writes shorter where the whole word does not fit. */
export const ownShortForms = async (db: Database): Promise<ShortForm[]> =>
  (await readSetting(db, 'short forms', areShortForms)) ?? [];

/** The zone that was set; null until one is. */
export const setZone = (db: Database): Promise<string | null> => readSetting(db, 'zone', isText);

/** How the owner writes days and hours; the usual way until it is set. */
export const typingHabits = async (db: Database): Promise<TypingHabits> =>
  (await readSetting(db, 'typing', areHabits)) ?? USUAL_HABITS;

/** What its owner writes down of each day; the usual until it is set. */
export const recordHabits = async (db: Database): Promise<RecordHabits> =>
  (await readSetting(db, 'records', areRecordHabits)) ?? USUAL_RECORDS;

const areTexts = (value: unknown): boolean => Array.isArray(value) && value.every(isText);
const areRecordHabits = (value: unknown): value is RecordHabits =>
  holds(value, 'string', ['currency']) &&
  (['habits', 'hours', 'spending'] as const).every((k) => areTexts((value as RecordHabits)[k]));

const areHabits = (value: unknown): value is TypingHabits =>
  holds(value, 'string', ['dateOrder']) && holds((value as TypingHabits).afterNoon, 'number', ['from', 'to']);

const isText = (value: unknown): value is string => typeof value === 'string';

const holds = (value: unknown, type: 'number' | 'string', keys: readonly string[]): boolean =>
  typeof value === 'object' &&
  value !== null &&
  keys.every((k) => typeof own(value as Record<string, unknown>, k) === type);

const isHand = (value: unknown): value is Hand => holds(value, 'number', ['lettersPerLine', 'lineWidth', 'linePitch']);

const listOf =
  <T>(keys: readonly string[]) =>
  (value: unknown): value is T[] =>
    Array.isArray(value) && value.every((each) => holds(each, 'string', keys));

const areTaughtWords = listOf<TaughtWord>(['word', 'means']);
const areShortForms = listOf<ShortForm>(['word', 'short']);

/** What holds in every week unless it says otherwise: the owner's hand and short forms, and the correction tape. */
export async function houseOptions(db: Database): Promise<Partial<Options>> {
  const [hand, forms, supplies] = await Promise.all([ownerHand(db), ownShortForms(db), listSupplies(db)]);
  const tape = supplies.filter(isTape);
  return {
    hand,
    ...(forms.length ? { shortForms: Object.fromEntries(forms.map((f) => [f.word, f.short])) } : {}),
    ...(tape.length ? { tapeMeters: tape.reduce((sum, s) => sum + s.amount, 0) } : {}),
  };
}
