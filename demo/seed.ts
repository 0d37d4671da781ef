import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { BOOKS } from '../src/core/book/registry';
import { arrange } from '../src/core/arrange/arrange';
import { contextFrom } from '../src/core/arrange/context';
import { readCalendar } from '../src/core/format/calendar';
import { readKit } from '../src/core/format/kit-csv';
import { demandsOfWeek } from '../src/core/week/demands';
import { weekOf } from '../src/core/week/week';
import { addBook } from '../src/db/books';
import { putCalendar } from '../src/db/calendars';
import type { Database } from '../src/db/database';
import { addKit } from '../src/db/kits';
import { addSpread, makeEdit } from '../src/db/spreads';
import { demoAgenda } from './agenda';

const kitFile = (name: string) => readKit(readFileSync(join(__dirname, 'kits', `${name}.kit.csv`), 'utf8'), `${name}.kit.csv`, name);

/** Lays the demo scenario around a day: two books, two kits and a stash, one calendar, and this week laid out already. */
export async function seedDemo(db: Database, today: string): Promise<void> {
  for (const [id, book] of Object.entries(BOOKS)) await addBook(db, id, book);
  const [rockpool, nightAlmanac, stash] = [kitFile('rockpool'), kitFile('night-almanac'), kitFile('stash')];
  await addKit(db, rockpool, 'kit');
  await addKit(db, nightAlmanac, 'kit');
  await addKit(db, stash, 'stash');
  const ics = demoAgenda(today);
  await putCalendar(db, 'household', ics);
  const week = demandsOfWeek([readCalendar(ics, 'household')], weekOf(today));
  const book = BOOKS['three-box'];
  if (!book) return;
  const data = { book, kit: nightAlmanac, stash: [stash], week, manner: 'scattered', options: {}, seed: 1, usedElsewhere: [] };
  const id = await addSpread(db, { week: week.week, book_id: 'three-box', kit_id: nightAlmanac.name, manner: 'scattered', seed: 1, options: '{}' });
  await makeEdit(db, id, { label: 'Arrange the week', before: [], after: [...arrange(contextFrom(data))] });
}
