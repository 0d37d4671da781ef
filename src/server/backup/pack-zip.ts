import { createReadStream } from 'node:fs';
import type { Readable } from 'node:stream';
import { finished } from 'node:stream/promises';
import { ZipFile } from 'yazl';

/** What is packed: a file as it lies, or what is given. */
export type ToPack = { readonly name: string } & ({ readonly file: string } | { readonly bytes: string | Uint8Array });

/** The same files give the same bytes, whenever they are packed. */
const ALWAYS = { mtime: new Date(1980, 0, 1), mode: 0o100644, forceDosTimestamp: true };
/** as zlib counts: larger files for less time */
const LEVEL = 3;

/** Packs files one after the other: the next is asked for once one is packed. What goes wrong breaks the stream off. */
export function packZip(files: AsyncIterable<ToPack> | Iterable<ToPack>): Readable {
  const zip = new ZipFile();
  const packed = zip.outputStream as Readable;
  zip.on('error', (error: Error) => packed.destroy(error));
  addAll(zip, packed, files).catch((error: unknown) => packed.destroy(error as Error));
  return packed;
}

async function addAll(zip: ZipFile, packed: Readable, files: AsyncIterable<ToPack> | Iterable<ToPack>): Promise<void> {
  const left = new AbortController();
  packed.once('close', () => left.abort());
  for await (const given of files) {
    if (packed.destroyed) return;
    const isPacked = /\.(webp|png)$/.test(given.name);
    const options = { ...ALWAYS, compressionLevel: isPacked ? 0 : LEVEL };
    if ('bytes' in given) zip.addBuffer(Buffer.from(given.bytes as Uint8Array), given.name, options);
    else {
      const file = createReadStream(given.file, { signal: left.signal });
      zip.addReadStream(file, given.name, options);
      await finished(file);
    }
    await new Promise((next) => setImmediate(next)); // who waits meanwhile is answered
  }
  zip.end();
}
