import type SQLite from 'better-sqlite3';
import type { Counts } from './manifest';

/** What lies in a database. */
export function countsOf(sqlite: SQLite.Database, pictures: number): Counts {
  const number = (query: string): number => Number(sqlite.prepare(query).pluck().get() ?? 0);
  return {
    weeks: number('select count(*) from spread'),
    stickers: number('select count(*) from placement'),
    kits: number('select count(*) from kit'),
    calendars: number('select count(*) from calendar'),
    pictures,
    lastWeek: text(sqlite, 'select max(week) from spread'),
  };
}

export const schemaOf = (sqlite: SQLite.Database): string => text(sqlite, 'select max(name) from kysely_migration');

function text(sqlite: SQLite.Database, query: string): string {
  const value: unknown = sqlite.prepare(query).pluck().get();
  return typeof value === 'string' ? value : '';
}
