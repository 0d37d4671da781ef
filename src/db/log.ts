import type { Database } from './database';
import { asObject } from './json';

/** Whose edits: a spread's, a book's, the agenda's, or those of kits and all that belongs to them. */
export type Scope =
  | { readonly room: 'spread'; readonly spread: number }
  | { readonly room: 'book'; readonly book: string }
  | { readonly room: 'agenda' }
  | { readonly room: 'kits' };

/** What undo and redo would do next, as data; null: nothing. */
export interface Steps<D> {
  readonly undo: D | null;
  readonly redo: D | null;
  /** their numbers, by which the step that a button names is asked for */
  readonly at: { readonly undo: number | null; readonly redo: number | null };
}

/** Another window has done something since: the step that was asked for is not the next one. */
export class StaleStep extends Error {}

/** One edit in the log: what was done, and what that did, in the form of the version that wrote it. */
export interface Entry {
  readonly seq: number;
  readonly version: number;
  readonly effects: unknown;
}

/** The form in which effects are written now. A reader knows all earlier ones. */
export const LOG_VERSION = 2;

/** Edits kept to be undone, and the letters that their effects may take: the oldest go first, a few always stay. */
const MOST_EDITS: Readonly<Record<Scope['room'], number>> = { spread: 100, book: 100, agenda: 50, kits: 200 };
const MOST_LETTERS = 2 ** 19;
const ALWAYS = 10;

const whereOf = (scope: Scope) => ({
  room: scope.room,
  spread_id: scope.room === 'spread' ? scope.spread : null,
  book_id: scope.room === 'book' ? scope.book : null,
});

function of(db: Database, scope: Scope) {
  const { room, spread_id, book_id } = whereOf(scope);
  const own = db.selectFrom('log').where('room', '=', room);
  if (spread_id !== null) return own.where('spread_id', '=', spread_id);
  return book_id === null ? own : own.where('book_id', '=', book_id);
}

/** The edits that undo and redo would take next. */
export async function stepsOf<D>(db: Database, scope: Scope): Promise<Steps<D>> {
  const [done, undone] = await Promise.all([
    of(db, scope).select(['seq', 'deed']).where('undone', '=', 0).orderBy('seq', 'desc').executeTakeFirst(),
    of(db, scope).select(['seq', 'deed']).where('undone', '=', 1).orderBy('seq').executeTakeFirst(),
  ]);
  return {
    undo: done ? (asObject(done.deed) as D) : null,
    redo: undone ? (asObject(undone.deed) as D) : null,
    at: { undo: done?.seq ?? null, redo: undone?.seq ?? null },
  };
}

/**
 * Writes an edit down; what was undone before it can no longer be redone. To be called within its transaction.
 * @returns its number
 */
export async function record(trx: Database, scope: Scope, deed: object, effects: unknown): Promise<number> {
  const undone = await of(trx, scope).select('seq').where('undone', '=', 1).execute();
  if (undone.length)
    await trx
      .deleteFrom('log')
      .where(
        'seq',
        'in',
        undone.map((e) => e.seq),
      )
      .execute();
  const { seq } = await trx
    .insertInto('log')
    .values({
      ...whereOf(scope),
      version: LOG_VERSION,
      deed: JSON.stringify(deed),
      effects: JSON.stringify(effects),
      undone: 0,
    })
    .returning('seq')
    .executeTakeFirstOrThrow();
  await prune(trx, scope, MOST_EDITS[scope.room]);
  return seq;
}

/** Writes down anew what an edit did. */
export async function amend(trx: Database, { seq }: Pick<Entry, 'seq'>, effects: unknown): Promise<void> {
  await trx
    .updateTable('log')
    .set({ effects: JSON.stringify(effects) })
    .where('seq', '=', seq)
    .execute();
}

/**
 * Forgets the oldest edits beyond `most`, and those that make the log long. What is known of them that is needed later
 * (peels, likes) is kept apart as facts.
 */
export async function prune(trx: Database, scope: Scope, most: number): Promise<void> {
  const edits = await of(trx, scope)
    // in bytes, which stand before a text: to count its letters it would have to be read
    .select((e) => ['seq', e.fn<number>('octet_length', ['effects']).as('letters')])
    .orderBy('seq', 'desc')
    .execute();
  let letters = 0;
  const gone = edits.filter((e, i) => {
    letters += e.letters;
    return i >= most || (i >= ALWAYS && letters > MOST_LETTERS);
  });
  if (gone.length)
    await trx
      .deleteFrom('log')
      .where(
        'seq',
        'in',
        gone.map((e) => e.seq),
      )
      .execute();
}

/** The edits that undo would take one after the other, the next first, at most so many. */
export async function stepsBack<D>(
  db: Database,
  scope: Scope,
  most: number,
): Promise<(Entry & { readonly deed: D })[]> {
  const rows = await of(db, scope)
    .select(['seq', 'version', 'effects', 'deed'])
    .where('undone', '=', 0)
    .orderBy('seq', 'desc')
    .limit(most)
    .execute();
  return rows.map(({ seq, version, effects, deed }) => ({
    seq,
    version,
    effects: asObject(effects),
    deed: asObject(deed) as D,
  }));
}

/**
 * The edit that undo or redo takes next.
 * @param only the number of the one that is meant; null: whichever it is
 * @throws StaleStep where it is another one
 */
export async function nextStep(
  trx: Database,
  scope: Scope,
  way: 'undo' | 'redo',
  only: number | null = null,
): Promise<Entry | null> {
  const row = await of(trx, scope)
    .select(['seq', 'version', 'effects'])
    .where('undone', '=', way === 'undo' ? 0 : 1)
    .orderBy('seq', way === 'undo' ? 'desc' : 'asc')
    .executeTakeFirst();
  if (only !== null && row?.seq !== only) throw new StaleStep(way);
  return row ? { ...row, effects: asObject(row.effects) } : null;
}

/** Notes that an edit was taken back, or made again. */
export async function noteStep(trx: Database, { seq }: Pick<Entry, 'seq'>, way: 'undo' | 'redo'): Promise<void> {
  await trx
    .updateTable('log')
    .set({ undone: way === 'undo' ? 1 : 0 })
    .where('seq', '=', seq)
    .execute();
}
