import { sql } from 'kysely';
import { copyKey } from '../core/kit/ledger';
import { findingKey } from '../core/review/wave';
import { lookUpSaid } from './upgrade';
import { OLD_SCHEMAS, demoHistory, fillAsThen } from '../../tests/old-databases';
import { agendaHistory, stepAgenda } from '../db/agenda-edits';
import { findBook, listBooks } from '../db/books';
import type { Database } from '../db/database';
import { openDatabase } from '../db/database';
import { asStrings } from '../db/json';
import { kitHistory } from '../db/kit-edits';
import { listLikes } from '../db/likes';
import { favoritesOf } from '../db/manners';
import { MIGRATIONS, migrate } from '../db/migrate';
import { placementsOf } from '../db/placements';
import { historyOf, stepHistory } from '../db/spread-edits';
import { stashOf } from '../db/spreads';
import { kitSums } from '../db/stock';
import { peelsOf } from '../db/sticker-facts';
import { ticksOf } from '../db/ticks';

const demo = demoHistory();

/**
 * A database of an old schema with the demo week in it, brought up to date.
 * @param stop a later schema at which it was used for a while
 */
async function upgraded(schema: string, stop?: string): Promise<Database> {
  const db = await openDatabase(':memory:', schema);
  await sql`pragma foreign_keys = off`.execute(db);
  await fillAsThen(db, schema, demo);
  if (stop) await migrate(db as never, stop);
  await migrate(db as never);
  await sql`pragma foreign_keys = on`.execute(db);
  await lookUpSaid(db);
  return db;
}

/** Later schemas hold what these were turned into. */
const STOPS = MIGRATIONS.map(([name]) => name).filter((name) => !OLD_SCHEMAS.includes(name));

describe.each([
  ...OLD_SCHEMAS.map((schema) => ({ schema, stop: undefined })),
  ...STOPS.map((stop) => ({ schema: '0007-likes', stop })),
])('a database of $schema, used with $stop', ({ schema, stop }) => {
  let db: Database;
  beforeAll(async () => {
    db = await upgraded(schema, stop);
  });
  afterAll(() => db.destroy());

  it('keeps every sticker where it lay, and breaks no reference', async () => {
    expect(await placementsOf(db, 1)).toEqual(demo.placements);
    expect((await sql`pragma foreign_key_check`.execute(db)).rows).toEqual([]);
  });

  it('can be undone to its first edit and made again, knowing what each was', async () => {
    expect((await historyOf(db, 1)).undo).toMatchObject({ do: 'unlock' });
    const kinds: (string | undefined)[] = [];
    for (let made = await stepHistory(db, 1, 'undo'); made; made = await stepHistory(db, 1, 'undo'))
      kinds.push(made.change.deed.do);
    expect(kinds).toEqual(['unlock', 'stick down', 'swap', 'arrange']);
    expect(await placementsOf(db, 1)).toEqual([]);
    while (await stepHistory(db, 1, 'redo'));
    expect(await placementsOf(db, 1)).toEqual(demo.placements);
  });

  it('remembers the peel that only the log knew', async () => {
    expect(await peelsOf(db, 1)).toEqual({ [copyKey(demo.item)]: 1 });
  });

  it('finds ticks again that were named by their words, and drops what is not said any more', async () => {
    const keys = demo.steps.filter((s) => s.do === 'white-out' || s.do === 'cut').map((s) => s.key);
    const ticks = await ticksOf(db, 1);
    expect(ticks).toContain('place:p1');
    expect(ticks.filter((t) => keys.includes(t))).toHaveLength(2);
    expect(ticks).toHaveLength(3);
  });

  it('takes shipped books from the registry and keeps one’s own', async () => {
    expect((await sql<{ id: string }>`select id from book`.execute(db)).rows).toEqual([{ id: 'my-own' }]);
    expect((await findBook(db, 'three-box'))?.name).toBe(demo.context.book.name);
    expect((await listBooks(db)).map((b) => b.id)).toEqual(expect.arrayContaining(['three-box', 'hourly', 'my-own']));
  });

  it('sums the stock up, and may take from the stash', async () => {
    const used = new Set(demo.placements.filter((p) => p.kit === 'rockpool').map(copyKey));
    const spoiled = schema >= '0004' ? 1 : 0;
    expect((await kitSums(db)).find((k) => k.kit === 'rockpool')).toMatchObject({ touched: used.size, spoiled });
    expect(await stashOf(db, 1)).toEqual(['stash']);
  });
});

describe('what came with later schemas', () => {
  it('finds waves again that were named by their words', async () => {
    const db = await upgraded('0006-waved');
    const { waved } = await db.selectFrom('spread').select('waved').executeTakeFirstOrThrow();
    expect(asStrings(waved).sort()).toEqual([...new Set(demo.findings.slice(0, 2).map(findingKey))].sort());
    await db.destroy();
  });

  it('keeps likes, favorites and the edits of agenda and kits', async () => {
    const db = await upgraded('0007-likes');
    expect(await listLikes(db)).toEqual([{ kit: 'rockpool', code: demo.box.code, weight: -1, off: false }]);
    expect(await favoritesOf(db)).toEqual([`rockpool/${demo.box.code}`]);
    expect((await agendaHistory(db)).undo).toEqual({ do: 'as said', text: 'Add “vet”' });
    expect((await kitHistory(db)).undo).toEqual({ do: 'as said', text: 'Order dots' });
    expect(await stepAgenda(db, 'undo')).toBe(true);
    await db.destroy();
  });
});

describe('bringing up to date', () => {
  it('changes nothing the second time', async () => {
    const db = await upgraded('0007-likes');
    const before = (await sql`select * from sqlite_master order by name`.execute(db)).rows;
    await migrate(db as never);
    expect((await sql`select * from sqlite_master order by name`.execute(db)).rows).toEqual(before);
    await db.destroy();
  });

  it('does a step whole or not at all', async () => {
    const db = await openDatabase(':memory:', '0007-likes');
    await sql`create table log (a)`.execute(db);
    // SQLite's own errors may come from another test file's world, where `instanceof Error` does not hold
    const said = await migrate(db as never).then(() => 'nothing', String);
    expect(said).toContain('table log already exists');
    expect((await sql`select name from sqlite_master where name in ('sticker_fact', 'edit')`.execute(db)).rows).toEqual(
      [{ name: 'edit' }],
    );
    await sql`drop table log`.execute(db);
    await migrate(db as never);
    expect(await historyOf(db, 1)).toMatchObject({ revision: 0, undo: null, redo: null });
    await db.destroy();
  });

  it('leaves a database of a newer version alone', async () => {
    const db = await openDatabase(':memory:');
    await sql`insert into kysely_migration values ('9999-later', 'then')`.execute(db);
    await expect(migrate(db as never)).rejects.toMatchObject({ trouble: 'newer' });
    await db.destroy();
  });
});
