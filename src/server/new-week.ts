import 'server-only';
import type { Book } from '../core/book/book';
import { BadInput, quoted } from '../core/format/fault';
import { leanings, ownOf } from '../core/manner/choices';
import { MANNERS, mannerNamed } from '../core/manner/registry';
import type { ContextData } from '../core/spread/context';
import { isWeekName } from '../core/week/week';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { factsOf } from '../db/kits';
import { heededChoices } from '../db/liked-choices';
import { listManners } from '../db/manners';
import type { StartSpreadDto } from './dto/spread.dto';
import type { Chosen } from './context-data';
import { contextDataOf } from './context-data';
import { usualStash } from './stash';

/** A new week's seed. */
export const FIRST_SEED = 1;

/** A manner as a spread keeps it: a school, and what differs from its habits. */
export type MannerSet = Pick<Chosen, 'manner' | 'options' | 'ways'>;

/** What a new week is laid out with: all of it is there. */
export interface NewWeek extends MannerSet {
  readonly week: string;
  readonly book: Book;
}

const missing = (where: string, found: string, expected: string): BadInput =>
  new BadInput([{ file: 'new week', where, found: quoted(found), expected }]);

/** Looks up a manner of one's own, or a school with what its owner was seen to like. @throws BadInput */
export async function mannerSet(db: Database, name: string): Promise<MannerSet> {
  const own = (await listManners(db)).find((m) => m.name === name);
  if (own) return { manner: own.school, options: own.options, ways: own.ways };
  if (!mannerNamed(name))
    throw missing('manner', name, `a manner of your own, or one of ${Object.keys(MANNERS).join(', ')}`);
  const liked = (await heededChoices(db)).get(name) ?? [];
  return { manner: name, ...ownOf(leanings(name, liked)) };
}

/** Looks up what was chosen for a new week. @throws BadInput that says which of it is not there */
export async function newWeek(db: Database, { week, bookId, kitId, manner }: StartSpreadDto): Promise<NewWeek> {
  if (!isWeekName(week)) throw missing('week', week, 'a week of that year');
  const book = await findBook(db, bookId);
  if (!book) throw missing('book', bookId, 'one of your books');
  if (!(await factsOf(db, [kitId])).length) throw missing('kit', kitId, 'one of your kits');
  return { week, book, ...(await mannerSet(db, manner)) };
}

/** What a week would be laid out from that is not begun, as its spread would be once it is. @throws BadInput */
export async function dataOfNewWeek(db: Database, chosen: StartSpreadDto): Promise<ContextData> {
  const { kitId: kit } = chosen;
  const made = await newWeek(db, chosen);
  const stash = await usualStash(db, made.week, kit);
  const data = await contextDataOf(db, { ...made, kit, stash, seed: FIRST_SEED });
  if (!data) throw new Error(`kit ${kit} went away meanwhile`);
  return data;
}
