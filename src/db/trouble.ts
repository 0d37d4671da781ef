/** What can be wrong with the data file or its disk. */
export const STORE_TROUBLES = [
  'corrupt',
  'not a database',
  'read-only',
  'locked',
  'full',
  'no folder',
  'no access',
  'moved',
  'replaced',
  'newer',
] as const;
export type StoreTroubleKind = (typeof STORE_TROUBLES)[number];

/** The data file cannot be used as it is; nothing of what was wanted has been written. */
export class StoreTrouble extends Error {
  /** reaches the error page in place of the message, which is not sent there */
  readonly digest: string;

  constructor(
    readonly trouble: StoreTroubleKind,
    options?: ErrorOptions,
  ) {
    super(trouble, options);
    this.digest = digestOf(trouble);
  }
}

const PREFIX = 'store: ';
const digestOf = (trouble: StoreTroubleKind): string => `${PREFIX}${trouble}`;

/** The trouble that an error page is told of; null where its error was another. */
export const troubleOfDigest = (digest: string | undefined): StoreTroubleKind | null =>
  STORE_TROUBLES.find((t) => digestOf(t) === digest) ?? null;

/** By the first word of SQLite's result codes after `SQLITE_` (sqlite.org, "Result and Error Codes"). */
const OF_SQLITE = new Map<string, StoreTroubleKind>([
  ['CORRUPT', 'corrupt'],
  ['NOTADB', 'not a database'],
  ['READONLY', 'read-only'],
  ['BUSY', 'locked'],
  ['LOCKED', 'locked'],
  ['FULL', 'full'],
  ['CANTOPEN', 'no access'],
  ['PERM', 'no access'],
  ['IOERR', 'no access'],
]);

/** By the codes of the file system (POSIX errno). */
const OF_SYSTEM = new Map<string, StoreTroubleKind>([
  ['ENOENT', 'no folder'],
  ['ENOTDIR', 'no folder'],
  ['EEXIST', 'no folder'],
  ['EACCES', 'no access'],
  ['EPERM', 'no access'],
  ['EROFS', 'read-only'],
  ['ENOSPC', 'full'],
  ['EDQUOT', 'full'],
]);

/** The error as a trouble of the data file, where it is one; all others as they are. */
export function asTrouble(error: unknown): unknown {
  const code = (error as { code?: unknown } | null)?.code;
  if (error instanceof StoreTrouble || typeof code !== 'string') return error;
  const kind = OF_SYSTEM.get(code) ?? OF_SQLITE.get(code.split('_')[1] ?? '');
  return kind ? new StoreTrouble(kind, { cause: error }) : error;
}

/** Whether an error is the disk's, and no file's own: it is full, or cannot be written. */
export function isOfDisk(error: unknown): boolean {
  const trouble = asTrouble(error);
  return trouble instanceof StoreTrouble && ['full', 'read-only', 'no folder', 'no access'].includes(trouble.trouble);
}
