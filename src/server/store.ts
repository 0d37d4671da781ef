import { join } from 'node:path';
import { DateTime } from 'luxon';
import type { Database } from '../db/database';
import { openDatabase } from '../db/database';
import { lookUpSaid } from './upgrade';
import type { IsoDay } from '../core/week/week';

const held = globalThis as unknown as { hobnailStore?: Promise<Database> };

/** The one database of this process; its file is named by HOBNAIL_DATA. */
export function store(): Promise<Database> {
  held.hobnailStore ??= openStore(process.env.HOBNAIL_DATA ?? join(process.cwd(), '.data', 'hobnail.sqlite'));
  return held.hobnailStore;
}

async function openStore(file: string): Promise<Database> {
  const db = await openDatabase(file);
  await lookUpSaid(db);
  return db;
}

/** Today, or the day that HOBNAIL_TODAY names. */
export const today = (): IsoDay => process.env.HOBNAIL_TODAY ?? DateTime.local().toISODate();
