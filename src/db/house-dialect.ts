import { statSync } from 'node:fs';
import type SQLite from 'better-sqlite3';
import type { CompiledQuery as Query, DatabaseConnection, Driver, QueryResult, SqliteDatabase } from 'kysely';
import { SqliteDialect, SqliteDriver } from 'kysely';
import { StoreTrouble, asTrouble } from './trouble';

/** SQLite as this house uses it. @param file its name; null for one in memory */
export class HouseDialect extends SqliteDialect {
  constructor(
    private readonly sqlite: SQLite.Database,
    private readonly file: string | null,
  ) {
    super({ database: sqlite });
  }

  override createDriver(): Driver {
    return new HouseDriver(this.sqlite, this.file);
  }
}

class HouseDriver extends SqliteDriver {
  private connection: DatabaseConnection | null = null;
  private readonly inode: number | null;

  constructor(
    private readonly sqlite: SQLite.Database,
    private readonly file: string | null,
  ) {
    super({ database: preparedOnce(sqlite) });
    this.inode = file === null ? null : inodeOf(file);
  }

  override async acquireConnection(): Promise<DatabaseConnection> {
    const plain = await super.acquireConnection();
    return (this.connection ??= {
      executeQuery: <R>(query: Query): Promise<QueryResult<R>> => this.run<R>(plain, query),
      streamQuery: (query, size) => plain.streamQuery(query, size),
    });
  }

  private async run<R>(plain: DatabaseConnection, query: Query): Promise<QueryResult<R>> {
    if (!this.sqlite.open) throw new StoreTrouble('replaced');
    const alone = !this.sqlite.inTransaction && WRITING.has(query.query.kind);
    try {
      if (!alone) return await plain.executeQuery<R>(query);
      this.begin();
      const result = await plain.executeQuery<R>(query);
      this.sqlite.exec('commit');
      return result;
    } catch (error) {
      if (alone && this.sqlite.inTransaction) this.sqlite.exec('rollback');
      throw asTrouble(error);
    }
  }

  /**
   * Takes the lock for writing, then looks whether the file is still the one in place: what is written to one that was
   * moved away, or replaced by a backup, would be lost. Asked before the lock it could be replaced in between.
   */
  private begin(): void {
    try {
      this.sqlite.exec('begin immediate');
    } catch (error) {
      this.mustBeInPlace(); // SQLite calls one that was moved away read-only
      throw error;
    }
    this.mustBeInPlace();
  }

  private mustBeInPlace(): void {
    const inode = this.file === null ? this.inode : inodeOf(this.file);
    if (inode === this.inode) return;
    if (this.sqlite.inTransaction) this.sqlite.exec('rollback');
    throw new StoreTrouble(inode === null ? 'moved' : 'replaced');
  }

  /** At once for writing: who begins by reading and writes later is refused without any waiting. */
  override async beginTransaction(): Promise<void> {
    if (!this.sqlite.open) throw new StoreTrouble('replaced');
    try {
      this.begin();
    } catch (error) {
      throw asTrouble(error);
    }
  }

  /** A full disk has rolled it back already. */
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    if (this.sqlite.inTransaction) await super.rollbackTransaction(connection);
  }
}

/** Statements that change rows. */
const WRITING: ReadonlySet<string> = new Set([
  'InsertQueryNode',
  'UpdateQueryNode',
  'DeleteQueryNode',
  'MergeQueryNode',
]);

/** Statements kept prepared; the house uses some two hundred. */
const MOST_PREPARED = 500;

/** Prepares a statement once: that takes longer than most of them run. */
function preparedOnce(sqlite: SQLite.Database): SqliteDatabase {
  const known = new Map<string, SQLite.Statement>();
  return {
    close: () => void sqlite.close(),
    prepare: (text) => {
      const statement = known.get(text) ?? sqlite.prepare(text);
      known.delete(text); // the one used last is the last to go
      known.set(text, statement);
      const oldest = known.size > MOST_PREPARED ? known.keys().next().value : undefined;
      if (oldest !== undefined) known.delete(oldest);
      return statement;
    },
  };
}

/** @returns null where there is no such file */
export function inodeOf(file: string): number | null {
  return statSync(file, { throwIfNoEntry: false })?.ino ?? null;
}
