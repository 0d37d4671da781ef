import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { BOOKS } from '../src/core/book/registry';
import { arrange } from '../src/core/arrange/arrange';
import { contextFrom } from '../src/core/spread/context';
import type { Calendar } from '../src/core/week/calendar';
import { readCalendar } from '../src/core/format/calendar';
import { readKit } from '../src/core/format/kit-csv';
import { demandsOfWeek } from '../src/core/week/demands';
import { weekAfter, weekOf } from '../src/core/week/week';
import { listCalendars, noteAsked, putCalendar } from '../src/db/calendars';
import type { Database } from '../src/db/database';
import type { Book } from '../src/core/book/book';
import type { Kit, Piece } from '../src/core/kit/kit';
import type { WeekDemands } from '../src/core/week/demand';
import type { KitFacts } from '../src/core/kit/suggest';
import { NO_FACTS } from '../src/core/kit/suggest';
import { addKit } from '../src/db/kits';
import { setMark } from '../src/db/marks';
import { addSpread, chooseStash } from '../src/db/spreads';
import { makeEdit } from '../src/db/spread-edits';
import { isTicked } from '../src/core/week/undone';
import { LEFT_UNDONE, demoAgenda } from './agenda';
import { householdFeed } from './household-service/feed';

const kitFile = (name: string) =>
  readKit(readFileSync(join(__dirname, 'kits', `${name}.kit.csv`), 'utf8'), `${name}.kit.csv`, name);

const SUPPLIES = [
  { name: 'correction tape', unit: 'm', amount: 5.5, warnAt: 2 },
  { name: 'black gel pen', unit: 'pens', amount: 2, warnAt: 1 },
  { name: 'white gel pen', unit: 'pens', amount: 1, warnAt: 1 },
  { name: 'black permanent marker, fine', unit: 'pens', amount: 2, warnAt: 1 },
];
const WEEKS_BACK = 10;

/**
 * Lays the demo scenario around a day: two books, three kits and a stash, a calendar with ten weeks behind it, the feed
 * of the simulated household where its address is given, last week and this one laid out already.
 * @param keep stores the third kit's pictures; without it that is drawn as the others are
 */
export async function seedDemo(
  db: Database,
  today: string,
  feed: string | null = null,
  keep: KeepPicture | null = null,
): Promise<void> {
  const [rockpool, nightAlmanac, stash] = [kitFile('rockpool'), kitFile('night-almanac'), kitFile('stash')];
  const album = await withPictures(kitFile('tideline-album'), keep);
  await addKit(db, rockpool, 'kit');
  await addKit(db, nightAlmanac, 'kit');
  await addKit(db, album, 'kit');
  await addKit(db, stash, 'stash');
  await know(db, rockpool.name, { ...NO_FACTS, moods: 'sea, ferry, allotment', price: 18.5, shop: 'the print loft' });
  await know(db, nightAlmanac.name, {
    ...NO_FACTS,
    season: 'winter',
    moods: 'night, choir, stars',
    price: 9.8,
    shop: 'the print loft',
    notes: 'The mushroom box is a favorite.',
  });
  await know(db, album.name, {
    ...NO_FACTS,
    moods: 'photographs, harbor, frost',
    price: 14.2,
    shop: 'the print loft',
    place: 'gray folder',
  });
  for (const { warnAt, ...supply } of SUPPLIES)
    await db
      .insertInto('supply')
      .values({ ...supply, warn_at: warnAt })
      .execute();
  const ics = demoAgenda(today);
  await putCalendar(db, 'household', ics);
  const calendar = readCalendar(ics, 'household');
  if (feed) await subscribeTo(db, feed, today);
  await tickPast(db, calendar, today);
  const week = demandsOfWeek([calendar], weekOf(today));
  const book = BOOKS['three-box'];
  if (!book) return;
  await lay(db, book, nightAlmanac, [stash], week);
  await lay(db, book, album, [], demandsOfWeek([calendar], weekAfter(weekOf(today), -1)));
}

async function lay(db: Database, book: Book, kit: Kit, stash: readonly Kit[], week: WeekDemands): Promise<void> {
  const how = { manner: 'scattered', seed: 1 };
  const context = contextFrom({ ...how, book, kit, stash: [...stash], week, options: {}, usedElsewhere: [] });
  const place = { week: week.week, book_id: 'three-box', kit_id: kit.name };
  const id = await addSpread(db, { ...how, ...place, options: '{}' });
  await chooseStash(
    db,
    id,
    stash.map((s) => s.name),
  );
  await makeEdit(db, id, { deed: { do: 'arrange', what: 'week' }, before: [], after: [...arrange(context)] });
}

/** Stores a sticker's picture, and says what the sticker is then. */
type KeepPicture = (piece: Piece, bytes: Uint8Array) => Promise<Piece>;

const ALBUM = join(__dirname, 'tideline-album', 'pictures');

async function withPictures(kit: Kit, keep: KeepPicture | null): Promise<Kit> {
  if (!keep) return kit;
  const pieces: Piece[] = [];
  for (const p of kit.pieces) {
    const file = join(ALBUM, `${p.code}.webp`);
    pieces.push(existsSync(file) ? await keep(p, readFileSync(file)) : p);
  }
  return { ...kit, pieces };
}

const know = (db: Database, kit: string, facts: KitFacts) =>
  db
    .updateTable('kit')
    .set({ facts: JSON.stringify(facts) })
    .where('id', '=', kit)
    .execute();

async function subscribeTo(db: Database, address: string, today: string): Promise<void> {
  const ics = householdFeed(today, 0);
  await putCalendar(db, 'shared house', ics, address);
  const [feed] = (await listCalendars(db)).filter((c) => c.address === address);
  if (!feed) return;
  await noteAsked(db, feed.id, {
    at: `${today}T07:00:00.000Z`,
    trouble: null,
    read: { ics, etag: '"0"', changes: JSON.stringify({ added: [], changed: [], removed: [] }) },
  });
}

/** What is past was done, but for a little of last week. */
async function tickPast(db: Database, calendar: Calendar, today: string): Promise<void> {
  for (let away = -WEEKS_BACK; away <= 0; away++) {
    for (const d of demandsOfWeek([calendar], weekAfter(weekOf(today), away)).demands) {
      if (isTicked(d) && d.on < today && !(away === -1 && LEFT_UNDONE.includes(d.title)))
        await setMark(db, d.uid, d.on, 'done');
    }
  }
}
