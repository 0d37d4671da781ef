import { sql } from 'kysely';
import type { Database } from './database';

/** Rows whose number of change names what is held of them, here and in browsers: it only ever rises. */
const RISING = [
  { table: 'spread', by: 'revision' },
  { table: 'calendar', by: 'revision' },
  { table: 'kit_clock', by: 'time' },
] as const;

/**
 * Puts the rows of another database of the same schema in the place of all that is here, in one transaction of this
 * database's own: whatever ends the process, it is all as before or all as given, and no program that has it open sees
 * anything else. Ids and revisions go on from the higher of both, so that nothing that was held of a row is taken for
 * another.
 * @param file the other database
 * @param first done before, while nobody can write
 */
export async function replaceAll<T>(db: Database, file: string, first: () => Promise<T>): Promise<T> {
  return db.connection().execute(async (house) => {
    await sql`attach ${file} as given`.execute(house);
    await sql`pragma foreign_keys = off`.execute(house);
    try {
      return await house.transaction().execute(async (trx) => {
        const done = await first();
        await replace(trx);
        return done;
      });
    } finally {
      await sql`pragma foreign_keys = on`.execute(house);
      await sql`detach given`.execute(house);
    }
  });
}

async function replace(trx: Database): Promise<void> {
  const all = (
    await sql<{ type: string; name: string; sql: string }>`select type, name, sql from main.sqlite_master
      where type in ('table', 'trigger') and name not like 'week_text_%' and name not like 'sqlite_%'`.execute(trx)
  ).rows;
  const triggers = all.filter((t) => t.type === 'trigger');
  const tables = all.filter((t) => t.type === 'table' && t.name !== 'week_text' && t.name !== 'kysely_migration');
  const heights = new Map<string, number | null>();
  for (const { table, by } of RISING) {
    const { rows } = await sql<{
      at: number | null;
    }>`select max(${sql.ref(by)}) as at from main.${sql.ref(table)}`.execute(trx);
    heights.set(table, rows[0]?.at ?? null);
  }
  for (const { name } of triggers) await sql`drop trigger ${sql.ref(name)}`.execute(trx);
  for (const { name } of tables) {
    const { rows } = await sql<{ name: string }>`select name from pragma_table_info(${name})`.execute(trx);
    const columns = sql.join(rows.map((c) => sql.ref(c.name)));
    await sql`delete from main.${sql.ref(name)}`.execute(trx);
    await sql`insert into main.${sql.ref(name)} (${columns}) select ${columns} from given.${sql.ref(name)}`.execute(
      trx,
    );
  }
  for (const { table, by } of RISING) {
    const at = heights.get(table) ?? null;
    if (at !== null)
      await sql`update ${sql.table(table)} set ${sql.ref(by)} = max(${sql.ref(by)}, ${at}) + 1`.execute(trx);
  }
  for (const { sql: text } of triggers) await sql.raw(text).execute(trx);
  // the words of weeks are written anew when they are next looked for
  await sql`delete from week_text`.execute(trx);
  await sql`insert into sqlite_sequence (name, seq) select name, 0 from given.sqlite_sequence
    where name not in (select name from main.sqlite_sequence)`.execute(trx);
  await sql`update main.sqlite_sequence set seq = max(seq, coalesce((
    select g.seq from given.sqlite_sequence g where g.name = main.sqlite_sequence.name), 0))`.execute(trx);
}
