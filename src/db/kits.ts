import type { Insertable, Selectable } from 'kysely';
import type { Kit, Piece } from '../core/kit/kit';
import { pieceKey } from '../core/kit/kit';
import type { Database } from './database';
import { transaction } from './database';
import type { GatheredFacts } from './gathered';
import { gatheredFacts } from './gathered';
import { asObject, asRect, asStrings } from './json';
import type { KitFacts } from '../core/kit/suggest';
import { NO_FACTS } from '../core/kit/suggest';
import type { KitTable, PieceTable } from './schema';

export interface KitRow {
  readonly id: string;
  readonly role: KitTable['role'];
  readonly facts: KitFacts;
}

/** All kits and stashes; what was gathered for a week is none. */
export async function listKits(db: Database): Promise<KitRow[]> {
  const rows = await ownKits(db);
  return rows.map((r) => ({ ...r, facts: { ...NO_FACTS, ...(asObject(r.facts) as Partial<KitFacts>) } }));
}

const ownKits = async (db: Database): Promise<Selectable<KitTable>[]> =>
  (await db.selectFrom('kit').selectAll().orderBy('id').execute()).filter((r) => gatheredFacts(r.facts) === null);

/** What is known of some kits. */
export async function factsOf(db: Database, kits: readonly string[]): Promise<KitRow[]> {
  const rows = await db.selectFrom('kit').selectAll().where('id', 'in', kits).orderBy('id').execute();
  return rows.map((r) => ({ ...r, facts: { ...NO_FACTS, ...(asObject(r.facts) as Partial<KitFacts>) } }));
}

const read = new WeakMap<Database, { time: number; kits: Promise<Kit[]> }>();

/** All kits and stashes, read once until one of them changes: a search goes through all of them at every letter. */
export async function allKits(db: Database): Promise<Kit[]> {
  const { time } = await db.selectFrom('kit_clock').select('time').executeTakeFirstOrThrow();
  let known = read.get(db);
  if (known?.time !== time) {
    const fresh = { time, kits: readAll(db) };
    read.set(db, fresh);
    // what could not be read once can be later
    fresh.kits.catch(() => read.get(db) === fresh && read.delete(db));
    known = fresh;
  }
  return known.kits;
}

async function readAll(db: Database): Promise<Kit[]> {
  return Promise.all((await ownKits(db)).map((r) => kitOf(db, r)));
}

/** A row as the core knows pieces. What it says of kind, shape and the like was checked when it came in. */
export const pieceOfRow = ({ kit_id, position: _, picture, clear, ground, ...rest }: Selectable<PieceTable>): Piece =>
  ({
    ...rest,
    kit: kit_id,
    ...(picture ? { picture } : {}),
    ...(clear ? { clear: asRect(clear) } : {}),
    ...(ground ? { ground: asStrings(ground) } : {}),
  }) as Piece;

/** A piece as a row. */
export const pieceRow = ({ kit, picture = '', clear, ground, ...rest }: Piece, position: number) =>
  ({
    ...rest,
    kit_id: kit,
    position,
    picture,
    clear: clear ? JSON.stringify(clear) : null,
    ground: ground ? JSON.stringify(ground) : null,
  }) satisfies Insertable<PieceTable>;

export async function findKit(db: Database, id: string): Promise<Kit | null> {
  const row = await db.selectFrom('kit').selectAll().where('id', '=', id).executeTakeFirst();
  return row ? kitOf(db, row) : null;
}

async function kitOf(db: Database, { id, facts }: Selectable<KitTable>): Promise<Kit> {
  const gathered = gatheredFacts(facts);
  if (gathered) return gatheredKit(db, id, gathered);
  const rows = await db.selectFrom('piece').selectAll().where('kit_id', '=', id).orderBy('position').execute();
  const { title } = asObject(facts) as Partial<KitFacts>;
  return { name: id, ...(title ? { title } : {}), pieces: rows.map(pieceOfRow) };
}

/** A gathered kit with the stickers that are still in their kits, in the order in which they were gathered. */
async function gatheredKit(db: Database, id: string, { title, gathered }: GatheredFacts): Promise<Kit> {
  const place = new Map(gathered.map((key, i) => [key, i]));
  const kits = [...new Set(gathered.map((key) => key.slice(0, key.lastIndexOf('/'))))];
  const rows = kits.length ? await db.selectFrom('piece').selectAll().where('kit_id', 'in', kits).execute() : [];
  const pieces = rows
    .map(pieceOfRow)
    .filter((p) => place.has(pieceKey(p)))
    .sort((a, b) => (place.get(pieceKey(a)) as number) - (place.get(pieceKey(b)) as number));
  return { name: id, title, gathered: true, pieces };
}

/** Stores a kit with all its pieces, or nothing. @returns false when one of that name is there already */
export function addKit(db: Database, kit: Kit, role: KitTable['role']): Promise<boolean> {
  return transaction(db, async (trx) => {
    const there = await trx.selectFrom('kit').select('id').where('id', '=', kit.name).executeTakeFirst();
    if (there) return false;
    await trx.insertInto('kit').values({ id: kit.name, role }).execute();
    const rows = kit.pieces.map(pieceRow);
    for (let i = 0; i < rows.length; i += 500)
      await trx
        .insertInto('piece')
        .values(rows.slice(i, i + 500))
        .execute();
    return true;
  });
}
