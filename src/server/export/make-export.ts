import { existsSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { writeBook } from '../../core/format/book-json';
import { writeKit } from '../../core/format/kit-csv';
import { asCsv } from '../../core/keep/log-table';
import { findBook, listBooks } from '../../db/books';
import { calendarText, listCalendars } from '../../db/calendars';
import { allKits } from '../../db/kits';
import { snapshot } from '../../db/snapshot';
import { pictureFolder } from '../backup/backup-files';
import type { ToPack } from '../backup/pack-zip';
import { packZip } from '../backup/pack-zip';
import { passingFolder } from '../backup/passing';
import { heavily } from '../heavy/heavily';
import { LOG_ROOMS } from '../log/registry';
import { keepPastWeeks } from '../past-weeks';
import { spreadOf } from '../spread-of';
import { dataFile, store } from '../store';
import { today } from '../today';
import { EXPORT_README } from './readme';
import { EXPORT_FORMAT, EXPORT_NAME } from './tables';

const NOT_DRAWN = 'These weeks could not be drawn. All that they are made of is in data/, and is taken in with it.';

/** px */
const PNG_WIDTH = 960;

/**
 * Everything in open formats as one file, piece by piece: data and pictures, then the same as people and other programs
 * read it. The same house gives the same bytes.
 */
export const makeExport = (): ReadableStream<Uint8Array> =>
  Readable.toWeb(packZip(exported())) as ReadableStream<Uint8Array>;

async function* exported(): AsyncGenerator<ToPack> {
  const db = await store();
  await keepPastWeeks(db, await today());
  yield { name: 'README.txt', bytes: EXPORT_README };
  yield* dataFiles();
  for (const { name } of await listCalendars(db))
    yield { name: `agenda/${fileName(name)}.ics`, bytes: (await calendarText(db, name)) ?? '' };
  for (const kit of await allKits(db)) yield { name: `kits/${fileName(kit.name)}.kit.csv`, bytes: writeKit(kit) };
  for (const { id } of await listBooks(db)) {
    const book = await findBook(db, id);
    if (book) yield { name: `books/${fileName(id)}.book.json`, bytes: writeBook(book) };
  }
  for (const room of LOG_ROOMS)
    for (const table of await room.load(db, { today: await today(), year: null, words: '' }))
      yield { name: `log/${table.name}.csv`, bytes: asCsv(table) };
  const notDrawn: string[] = [];
  const spreads = await db.selectFrom('spread').select(['id', 'week']).orderBy('week').execute();
  for (const { id, week } of spreads) {
    const spread = await spreadOf(db, id);
    if (!spread?.placements.length) continue;
    const { context, placements } = spread;
    try {
      const { json, svg, png } = await heavily('exported', { context, placements, width: PNG_WIDTH });
      yield { name: `weeks/${week}/spread.json`, bytes: json };
      yield { name: `weeks/${week}/spread.svg`, bytes: svg };
      yield { name: `weeks/${week}/spread.png`, bytes: png };
    } catch (error) {
      // one week that cannot be drawn costs itself: what it is made of is in data/ all the same
      console.error(error);
      notDrawn.push(week);
    }
  }
  if (notDrawn.length) yield { name: 'weeks/NOT-DRAWN.txt', bytes: `${NOT_DRAWN}\n\n${notDrawn.join('\n')}\n` };
}

/** What an import reads: the tables as they were in one moment, and the pictures. */
async function* dataFiles(): AsyncGenerator<ToPack> {
  const work = passingFolder(tmpdir());
  try {
    const copy = join(work, 'copy.sqlite');
    await snapshot(dataFile(), copy);
    const { schema, tables } = await heavily('tables', { copy });
    const told = { format: EXPORT_FORMAT, schema, tables: tables.map((t) => t.table) };
    yield { name: EXPORT_NAME, bytes: `${JSON.stringify(told, null, 2)}\n` };
    for (const { table, json } of tables) yield { name: `data/${table}.json`, bytes: json };
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
  const folder = pictureFolder();
  const pictures = existsSync(folder) ? readdirSync(folder).filter((f) => f.endsWith('.webp')) : [];
  for (const name of pictures.sort()) yield { name: `pictures/${name}`, file: join(folder, name) };
}

/** A name as every system takes it for a file's. */
const fileName = (name: string): string => name.replace(/[^\p{L}\p{N} ._-]/gu, '_').slice(0, 100) || '_';
