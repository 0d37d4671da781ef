import type { IsoDay } from '../core/week/week';
import type { Database } from './database';
import { asStrings } from './json';
import { learnChoices } from './liked-choices';
import { learn } from './likes';

/** What came of a spread that is on paper. */
export interface Keep {
  readonly finished: IsoDay;
  /** hash of its photo; empty where there is none */
  readonly photo: string;
  /** `kit/code` of designs that were loved, and of those that jarred */
  readonly loved: readonly string[];
  readonly jarred: readonly string[];
  /** the same of how it was laid out (`choiceOf`) */
  readonly choices: Judged;
  readonly note: string;
  /** 1 to 5; 0: none was given */
  readonly rating: number;
  /** words that its owner finds it by */
  readonly tags: readonly string[];
}

/** What was loved of something, and what jarred. */
export interface Judged {
  readonly loved: readonly string[];
  readonly jarred: readonly string[];
}

export async function keepOf(db: Database, spreadId: number): Promise<Keep | null> {
  const row = await db.selectFrom('keep').selectAll().where('spread_id', '=', spreadId).executeTakeFirst();
  return row
    ? {
        finished: row.finished,
        photo: row.photo,
        loved: asStrings(row.loved),
        jarred: asStrings(row.jarred),
        choices: { loved: asStrings(row.loved_choices), jarred: asStrings(row.jarred_choices) },
        note: row.note,
        rating: row.rating,
        tags: asStrings(row.tags),
      }
    : null;
}

/** Notes that a spread is on paper. Once it is, the day stays. */
export async function finish(db: Database, spreadId: number, finished: IsoDay): Promise<void> {
  await db
    .insertInto('keep')
    .values({ spread_id: spreadId, finished })
    .onConflict((c) => c.doNothing())
    .execute();
}

/** It is not on paper after all; what was said of it goes too. */
export async function unfinish(trx: Database, spreadId: number): Promise<void> {
  const nothing = { loved: [], jarred: [] };
  await judge(trx, spreadId, nothing);
  await judgeChoices(trx, spreadId, nothing);
  await trx.deleteFrom('keep').where('spread_id', '=', spreadId).execute();
}

export async function setPhoto(db: Database, spreadId: number, photo: string): Promise<void> {
  await db.updateTable('keep').set({ photo }).where('spread_id', '=', spreadId).execute();
}

export async function setNote(db: Database, spreadId: number, note: string): Promise<void> {
  await db.updateTable('keep').set({ note }).where('spread_id', '=', spreadId).execute();
}

export async function setRating(db: Database, spreadId: number, rating: number): Promise<void> {
  await db.updateTable('keep').set({ rating }).where('spread_id', '=', spreadId).execute();
}

/** How weeks came out by the school that they were laid out in: the mean of their ratings, and of how many weeks. */
export async function ratingsByManner(
  db: Database,
): Promise<ReadonlyMap<string, { readonly mean: number; readonly weeks: number }>> {
  const rows = await db
    .selectFrom('keep')
    .innerJoin('spread', 'spread.id', 'keep.spread_id')
    .select((e) => ['manner', e.fn.avg<number>('rating').as('mean'), e.fn.countAll<number>().as('weeks')])
    .where('rating', '>', 0)
    .groupBy('manner')
    .execute();
  return new Map(rows.map(({ manner, mean, weeks }) => [manner, { mean: Number(mean), weeks: Number(weeks) }]));
}

export async function setTags(db: Database, spreadId: number, tags: readonly string[]): Promise<void> {
  await db
    .updateTable('keep')
    .set({ tags: JSON.stringify(tags) })
    .where('spread_id', '=', spreadId)
    .execute();
}

/**
 * Notes what was loved and what jarred; what is said anew is learned, and what is taken back is unlearned (handbook 7).
 */
export async function judge(trx: Database, spreadId: number, { loved, jarred }: Judged): Promise<void> {
  const before = await keepOf(trx, spreadId);
  if (!before) return;
  await learn(
    trx,
    [...changeOf(before, { loved, jarred })].map(([key, by]) => {
      const at = key.indexOf('/');
      return { kit: key.slice(0, at), code: key.slice(at + 1), by };
    }),
  );
  await trx
    .updateTable('keep')
    .set({ loved: JSON.stringify(loved), jarred: JSON.stringify(jarred) })
    .where('spread_id', '=', spreadId)
    .execute();
}

/** Notes what was loved and what jarred of how it was laid out; it is learned of the school (handbook 7). */
export async function judgeChoices(trx: Database, spreadId: number, { loved, jarred }: Judged): Promise<void> {
  const before = await keepOf(trx, spreadId);
  const spread = await trx.selectFrom('spread').select('manner').where('id', '=', spreadId).executeTakeFirst();
  if (!before || !spread) return;
  await learnChoices(trx, spread.manner, changeOf(before.choices, { loved, jarred }));
  await trx
    .updateTable('keep')
    .set({ loved_choices: JSON.stringify(loved), jarred_choices: JSON.stringify(jarred) })
    .where('spread_id', '=', spreadId)
    .execute();
}

/** By how much each is liked more, or less, after another judgement. */
function changeOf(before: Judged, after: Judged): ReadonlyMap<string, number> {
  const weights = new Map<string, number>();
  const add = (keys: readonly string[], by: number): void => {
    for (const key of keys) weights.set(key, (weights.get(key) ?? 0) + by);
  };
  add(before.loved, -1);
  add(before.jarred, 1);
  add(after.loved, 1);
  add(after.jarred, -1);
  return new Map([...weights].filter(([, by]) => by !== 0));
}
