import 'server-only';
import type { Book } from '../core/book/book';
import { BadInput, quoted } from '../core/format/fault';
import { leanings, ownOf } from '../core/manner/choices';
import { MANNERS, mannerNamed } from '../core/manner/registry';
import type { ContextData } from '../core/spread/context';
import { isWeekName } from '../core/week/week';
import { findBook } from '../db/books';
import type { Database } from '../db/database';
import { findKit } from '../db/kits';
import { heededChoices } from '../db/liked-choices';
import { listManners } from '../db/manners';
import type { StartSpreadDto } from './dto/spread.dto';
import { boxesBefore } from './boxes-before';
import { ownerHand } from './settings';
import { weekDemands } from './spread-data';
import { stocked, usualStash } from './stash';

/** What a new week is laid out with: all of it is there. */
export interface NewWeek {
  readonly week: string;
  readonly book: Book;
  readonly school: string;
  readonly options: object;
  readonly ways: object;
}

/** Looks up what was chosen for a new week. @throws BadInput that says which of it is not there */
export async function newWeek(db: Database, { week, bookId, kitId, manner }: StartSpreadDto): Promise<NewWeek> {
  const bad = (where: string, found: string, expected: string): BadInput =>
    new BadInput([{ file: 'new week', where, found: quoted(found), expected }]);
  if (!isWeekName(week)) throw bad('week', week, 'a week of that year');
  const book = await findBook(db, bookId);
  if (!book) throw bad('book', bookId, 'one of your books');
  if (!(await findKit(db, kitId))) throw bad('kit', kitId, 'one of your kits');
  const own = (await listManners(db)).find((m) => m.name === manner);
  if (!own && !mannerNamed(manner))
    throw bad('manner', manner, `a manner of your own, or one of ${Object.keys(MANNERS).join(', ')}`);
  if (own) return { week, book, school: own.school, options: own.options, ways: own.ways };
  const liked = (await heededChoices(db)).get(manner) ?? [];
  return { week, book, school: manner, ...ownOf(leanings(manner, liked)) };
}

/** What a week would be laid out from that is not begun, with what is there of its kit and stash. @throws BadInput */
export async function dataOfNewWeek(db: Database, chosen: StartSpreadDto): Promise<ContextData> {
  const { week, book, school, options, ways } = await newWeek(db, chosen);
  const stock = await stocked(db, -1, chosen.kitId, await usualStash(db, week, chosen.kitId), []);
  if (!stock) throw new Error(`kit ${chosen.kitId} went away meanwhile`);
  return {
    book,
    kit: stock.kit,
    stash: stock.stash,
    week: await weekDemands(db, week, book.weekStart),
    manner: school,
    ways,
    options: { hand: await ownerHand(db), ...options },
    seed: 1,
    boxesBefore: await boxesBefore(db, week),
    usedElsewhere: stock.gone,
  };
}
