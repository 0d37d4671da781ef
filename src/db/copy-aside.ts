import { renameSync, rmSync } from 'node:fs';
import type SQLite from 'better-sqlite3';
import { MIGRATIONS } from './migrate';

/**
 * Lays a copy of a database beside it that is about to be brought up to date, named by the last step it had:
 * `hobnail.as-of-0009-writings.sqlite`. It is written under another name first, so that one that was cut short is
 * taken for none. Nothing is copied of a database that is new or has every step.
 * @throws where the disk has no room for it; the database is then as it was
 */
export function copyAside(sqlite: SQLite.Database, file: string, last?: string): void {
  const begun = sqlite.prepare("select 1 from sqlite_master where name = 'kysely_migration'").get();
  if (!begun) return;
  const done = sqlite.prepare('select name from kysely_migration').pluck().all() as string[];
  const names = MIGRATIONS.map(([name]) => name);
  const wanted = names.slice(0, last === undefined ? names.length : names.indexOf(last) + 1);
  const latest = names.filter((name) => done.includes(name)).at(-1);
  if (latest === undefined || wanted.every((name) => done.includes(name))) return;
  const copy = copyNamed(file, latest);
  const unfinished = `${copy}.part`;
  rmSync(unfinished, { force: true });
  sqlite.prepare('vacuum into ?').run(unfinished);
  renameSync(unfinished, copy);
}

/** Where the copy of a database is laid that had all steps up to one. */
export const copyNamed = (file: string, step: string): string =>
  `${file.replace(/\.sqlite$/, '')}.as-of-${step}.sqlite`;
