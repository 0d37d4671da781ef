import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import { demoKit } from '../../../tests/fixtures';
import { done, refusal } from '../../../tests/house';
import { POST } from './route';
import { addKit } from '../../db/kits';
import type { Outcome } from '../../server/outcome';
import { store } from '../../server/store';
import { backupFolder, listBackups, backupNamed } from '../../server/backup/backup-files';
import { makeBackup } from '../../server/backup/make-backup';
import { addPiece } from '../../server/backup/piecewise';
import { openZip } from '../../server/backup/zip-file';

const ID = '0a1b2c3d-0000-4000-8000-00000000000f';
const home = mkdtempSync(join(tmpdir(), 'hobnail-pieces-'));
beforeAll(async () => {
  process.env.HOBNAIL_DATA = join(home, 'hobnail.sqlite');
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  await addKit(await store(), demoKit('stash'), 'stash');
});
beforeEach(() => rmSync(backupFolder(), { recursive: true, force: true }));
afterAll(async () => {
  await (await store()).destroy();
  rmSync(home, { recursive: true, force: true });
});
const left = (): string[] => readdirSync(backupFolder()).filter((f) => f.endsWith('.part'));

/** Sends bytes as the settings page does. @returns what the last piece is answered */
async function sent(bytes: Uint8Array, size: number): Promise<Outcome<{ name: string | null }>> {
  let answer: Outcome<{ name: string | null }> | null = null;
  for (let at = 0; at < bytes.length; at += size) {
    const url = `http://127.0.0.1/backups?upload=${ID}&at=${at}&of=${bytes.length}&name=mine.zip`;
    const body = Uint8Array.from(bytes.subarray(at, at + size));
    answer = (await (await POST(new Request(url, { method: 'POST', body }))).json()) as Outcome<{
      name: string | null;
    }>;
    if (!answer.ok) break;
  }
  return answer!;
}

describe('a file that comes in pieces', () => {
  it('is whole after the last one, in the order they came', async () => {
    const piece = (at: number, text: string, of = 9) => addPiece({ id: ID, at, of, bytes: Buffer.from(text) });
    expect([await piece(0, 'abc'), await piece(3, 'def')]).toEqual([null, null]);
    await expect(piece(3, 'ghi')).rejects.toThrow('byte 6, where the one before it ended');
    await expect(piece(6, 'ghij')).rejects.toThrow('9 bytes, as was said');
    expect(readFileSync((await piece(6, 'ghi'))!, 'utf8')).toBe('abcdefghi');
    // begun anew, the old one is gone
    expect(await piece(0, 'x')).toBeNull();
    expect(readFileSync(join(backupFolder(), left()[0]!), 'utf8')).toBe('x');
  });

  it.each([
    ['a name that leads elsewhere', { id: '../../data' }],
    ['no name', { id: '' }],
    ['more than is taken', { of: 2 ** 40 }],
    ['a size that is none', { of: NaN }],
    ['a place that is none', { at: -1 }],
  ])('is refused with %s', async (_, over) => {
    await expect(addPiece({ id: ID, at: 0, of: 3, bytes: Buffer.from('abc'), ...over })).rejects.toThrow();
    expect(existsSync(backupFolder()) ? left() : []).toEqual([]);
  });

  it('is thrown away where nobody went on with it for a day', async () => {
    await addPiece({ id: ID, at: 0, of: 9, bytes: Buffer.from('abc') });
    const old = join(backupFolder(), left()[0]!);
    utimesSync(old, new Date(0), new Date(0));
    const other = '1a1b2c3d-0000-4000-8000-00000000000f';
    await addPiece({ id: other, at: 0, of: 9, bytes: Buffer.from('abc') });
    expect(left()).toEqual([`taken-${other}.part`]);
  });
});

describe('a backup that comes in pieces', () => {
  it('lies among the others then, and its pieces are gone', async () => {
    const { name } = await makeBackup();
    const bytes = readFileSync(backupNamed(name)!);
    rmSync(backupNamed(name)!);
    expect(done(await sent(bytes, 10_000)).name).toBe(name);
    expect(readFileSync(backupNamed(name)!).equals(bytes)).toBe(true);
    expect(left()).toEqual([]);
  });

  it('is refused by its own name where it is none, or was altered on the way, and nothing is kept', async () => {
    expect(refusal(await sent(zipSync({ 'a.txt': Buffer.from('a') }), 50))).toContain('mine.zip');
    const { name } = await makeBackup();
    const bytes = readFileSync(backupNamed(name)!);
    rmSync(backupNamed(name)!);
    bytes[bytes.length >> 1]! ^= 1;
    expect(refusal(await sent(bytes, 1 << 20))).toContain('a whole backup or export');
    expect(refusal(await sent(bytes.subarray(0, 5000), 999))).toContain('breaks off');
    expect([left(), listBackups()]).toEqual([[], []]);
  });
});

describe('a packed file', () => {
  it('is read file by file, with the hash of each', async () => {
    const file = join(home, 'packed.zip');
    writeFileSync(file, zipSync({ 'a/b.txt': Buffer.from('one'), 'c.txt': Buffer.from('two') }));
    const zip = await openZip(file);
    expect([...zip.files.keys()]).toEqual(['a/b.txt', 'c.txt']);
    expect(Buffer.from(await zip.files.get('c.txt')!.bytes()).toString()).toBe('two');
    // SHA-256 of "abc" is published in FIPS 180-4; of "one" it is what sha256sum says
    expect(await zip.files.get('a/b.txt')!.unpack(join(home, 'out', 'b.txt'))).toBe(
      '7692c3ad3540bb803c020b3aee66cd8887123234ea0c6e7143c0add73ff431ed',
    );
    expect(readFileSync(join(home, 'out', 'b.txt'), 'utf8')).toBe('one');
    zip.close();
  });
});
