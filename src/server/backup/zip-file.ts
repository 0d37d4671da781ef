import { createHash } from 'node:crypto';
import { createWriteStream, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Readable } from 'node:stream';
import { Transform, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Entry } from 'yauzl';
import { fromBufferPromise, openPromise } from 'yauzl';
import { asTrouble, isOfDisk } from '../../db/trouble';
import { NoBackup } from './manifest';

/** A file in a packed file: read only when it is asked for, and never whole into memory but by `bytes`. */
export interface Packed {
  readonly name: string;
  /** as unpacked */
  readonly size: number;
  readonly bytes: () => Promise<Uint8Array>;
  /** unpacks it to a file, or only looks at it. @returns its SHA-256 */
  readonly unpack: (target: string | null) => Promise<string>;
}

export interface ZipFile {
  readonly files: ReadonlyMap<string, Packed>;
  readonly close: () => void;
}

/** No single thing that is read whole is larger; a file that says so is damaged, or means ill. */
const MOST_WHOLE = 256 * 2 ** 20;
/** Tables of rows pack far less than this (from memory); what packs so small says one thing over and over. */
const MOST_PACKED = 100;

/**
 * Opens a packed file and reads its list.
 * @param file where it lies, or its bytes
 * @throws NoBackup where it breaks off, or is none
 */
export async function openZip(file: string | Buffer): Promise<ZipFile> {
  const options = { autoClose: false, lazyEntries: true } as const;
  const opened = typeof file === 'string' ? openPromise(file, options) : fromBufferPromise(file, options);
  const zip = await opened.catch(broken);
  const stream = (entry: Entry): Promise<Readable> => zip.openReadStreamPromise(entry).catch(broken);
  const files = new Map<string, Packed>();
  try {
    for await (const entry of zip.eachEntry()) {
      const { fileName: name, uncompressedSize: size } = entry;
      if (name.endsWith('/')) continue;
      files.set(name, {
        name,
        size,
        bytes: async () => {
          if (size > MOST_WHOLE || (size > 2 ** 20 && size > entry.compressedSize * MOST_PACKED))
            throw new NoBackup(
              `${name.slice(0, 60)} in it is too large: it would unpack to ${Math.round(size / 2 ** 20)} MB`,
            );
          const chunks: Uint8Array[] = [];
          for await (const chunk of await stream(entry)) chunks.push(chunk as Uint8Array);
          return Buffer.concat(chunks);
        },
        unpack: async (target) => {
          const hash = createHash('sha256');
          const hashed = new Transform({
            transform(chunk: Buffer, _, done) {
              hash.update(chunk);
              done(null, chunk);
            },
          });
          if (target) mkdirSync(dirname(target), { recursive: true });
          const out = target ? createWriteStream(target, { flush: true }) : nowhere();
          await pipeline(await stream(entry), hashed, out).catch(broken);
          return hash.digest('hex');
        },
      });
    }
  } catch (error) {
    zip.close();
    return broken(error);
  }
  return { files, close: () => zip.close() };
}

const nowhere = (): Writable => new Writable({ write: (_chunk, _encoding, done) => done() });

/** @throws what the disk has against it as it is: the file is not to blame for that */
function broken(error: unknown): never {
  if (isOfDisk(error)) throw asTrouble(error);
  throw new NoBackup('it breaks off, or is no backup');
}
