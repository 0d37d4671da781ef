import type { Kysely, Migration } from 'kysely';
import { sql } from 'kysely';
import * as first from './migrations/0001-first';
import * as agendaEdits from './migrations/0002-agenda-edits';
import * as lookAhead from './migrations/0003-look-ahead';
import * as stock from './migrations/0004-stock';
import * as manners from './migrations/0005-manners';
import * as waved from './migrations/0006-waved';
import * as likes from './migrations/0007-likes';
import * as ground from './migrations/0008-ground';
import * as writings from './migrations/0009-writings';
import * as parts from './migrations/0010-parts';
import * as pictures from './migrations/0011-pictures';
import * as corrections from './migrations/0012-corrections';
import * as bench from './migrations/0013-bench';
import * as records from './migrations/0014-records';
import * as choices from './migrations/0015-choices';
import * as pictureGround from './migrations/0016-ground';
import { StoreTrouble } from './trouble';

/** In order. One line a migration. */
export const MIGRATIONS: readonly (readonly [string, Pick<Migration, 'up'>])[] = [
  ['0001-first', first],
  ['0002-agenda-edits', agendaEdits],
  ['0003-look-ahead', lookAhead],
  ['0004-stock', stock],
  ['0005-manners', manners],
  ['0006-waved', waved],
  ['0007-likes', likes],
  ['0008-ground', ground],
  ['0009-writings', writings],
  ['0010-parts', parts],
  ['0011-pictures', pictures],
  ['0012-corrections', corrections],
  ['0013-bench', bench],
  ['0014-records', records],
  ['0015-choices', choices],
  ['0016-ground', pictureGround],
];

/**
 * Brings a database up to date, each step with its entry in one transaction: whatever ends the process, the next start
 * finds the step done or not begun. Foreign keys are to be off meanwhile, since steps build tables anew.
 * @param last the step to stop at; all of them where it is not given
 * @throws StoreTrouble for a database of a later version
 */
export async function migrate(db: Kysely<unknown>, last?: string): Promise<void> {
  // the table that Kysely's own migrator kept before this one: it cannot run a step of SQLite in a transaction
  await sql`create table if not exists kysely_migration (name varchar(255) not null primary key, timestamp varchar(255) not null)`.execute(
    db,
  );
  const { rows } = await sql<{ name: string }>`select name from kysely_migration`.execute(db);
  const done = new Set(rows.map((r) => r.name));
  const unknown = [...done].filter((name) => !MIGRATIONS.some(([known]) => known === name));
  if (unknown.length) throw new StoreTrouble('newer');
  for (const [name, step] of MIGRATIONS) {
    if (!done.has(name)) {
      await db.transaction().execute(async (trx) => {
        const meanwhile = await sql`select 1 from kysely_migration where name = ${name}`.execute(trx);
        if (meanwhile.rows.length) return; // by another start of this application
        await step.up(trx);
        await sql`insert into kysely_migration (name, timestamp) values (${name}, ${new Date().toISOString()})`.execute(
          trx,
        );
      });
    }
    if (name === last) return;
  }
}
