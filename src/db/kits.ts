import type { Insertable, Selectable } from 'kysely';
import { sql } from 'kysely';
import type { Kit, Piece } from '../core/kit/kit';
import type { Database } from './database';
import { together } from './database';
import { asObject } from './json';
import type { KitFacts } from '../core/kit/suggest';
import { NO_FACTS } from '../core/kit/suggest';
import type { KitTable, PieceTable } from './schema';

export interface KitRow {
  readonly id: string;
  readonly role: KitTable['role'];
  readonly facts: KitFacts;
}

export async function listKits(db: Database): Promise<KitRow[]> {
  const rows = await db.selectFrom('kit').selectAll().orderBy('id').execute();
  return rows.map((r) => ({ ...r, facts: { ...NO_FACTS, ...(asObject(r.facts) as Partial<KitFacts>) } }));
}

/** What is known of some kits. */
export async function factsOf(db: Database, kits: readonly string[]): Promise<KitRow[]> {
  const rows = await db.selectFrom('kit').selectAll().where('id', 'in', kits).orderBy('id').execute();
  return rows.map((r) => ({ ...r, facts: { ...NO_FACTS, ...(asObject(r.facts) as Partial<KitFacts>) } }));
}

const read = new WeakMap<Database, { stamp: string; kits: Promise<Kit[]> }>();

/** All kits and stashes, read once until a piece is added: a search goes through all of them at every letter. */
export async function allKits(db: Database): Promise<Kit[]> {
  const { pieces, last } = await db
    .selectFrom('piece')
    .select((e) => [e.fn.countAll<number>().as('pieces'), sql<number>`max(rowid)`.as('last')])
    .executeTakeFirstOrThrow();
  const stamp = `${pieces} ${last}`;
  let known = read.get(db);
  if (known?.stamp !== stamp) {
    known = { stamp, kits: listKits(db).then((rows) => Promise.all(rows.map((r) => kitOf(db, r.id)))) };
    read.set(db, known);
  }
  return known.kits;
}

/** A row as the core knows pieces. What it says of kind, shape and the like was checked when it came in. */
export const pieceOfRow = ({ kit_id, position: _, picture, ...rest }: Selectable<PieceTable>): Piece =>
  ({ ...rest, kit: kit_id, ...(picture ? { picture } : {}) }) as Piece;

export async function findKit(db: Database, id: string): Promise<Kit | null> {
  const row = await db.selectFrom('kit').select('id').where('id', '=', id).executeTakeFirst();
  return row ? kitOf(db, id) : null;
}

async function kitOf(db: Database, id: string): Promise<Kit> {
  const rows = await db.selectFrom('piece').selectAll().where('kit_id', '=', id).orderBy('position').execute();
  return { name: id, pieces: rows.map(pieceOfRow) };
}

/** Stores a kit with all its pieces, or nothing. @returns false when one of that name is there already */
export function addKit(db: Database, kit: Kit, role: KitTable['role']): Promise<boolean> {
  return together(db, async (trx) => {
    const there = await trx.selectFrom('kit').select('id').where('id', '=', kit.name).executeTakeFirst();
    if (there) return false;
    await trx.insertInto('kit').values({ id: kit.name, role }).execute();
    const rows = kit.pieces.map(({ kit: kit_id, ...rest }, position): Insertable<PieceTable> => ({
      picture: '',
      ...rest,
      kit_id,
      position,
    }));
    for (let i = 0; i < rows.length; i += 500)
      await trx
        .insertInto('piece')
        .values(rows.slice(i, i + 500))
        .execute();
    return true;
  });
}
