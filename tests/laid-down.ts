import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Bytes as a file on the disk of the tests' houses. */
export function laidDown(bytes: Uint8Array): string {
  const file = join(mkdtempSync(join(tmpdir(), 'hobnail-laid-')), 'file');
  writeFileSync(file, bytes);
  return file;
}
