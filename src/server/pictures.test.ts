import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { keepPicture, pictureData, readPicture } from './pictures';

let folder: string;
const before = process.env.HOBNAIL_DATA;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'hobnail-pictures-'));
  process.env.HOBNAIL_DATA = join(folder, 'hobnail.sqlite');
});
afterEach(() => {
  if (before === undefined) delete process.env.HOBNAIL_DATA;
  else process.env.HOBNAIL_DATA = before;
  rmSync(folder, { recursive: true });
});
const picture = (color: string) =>
  sharp({ create: { width: 120, height: 80, channels: 4, background: color } })
    .withExif({ IFD3: { GPSLatitude: '53/1 33/1 0/1' } })
    .png()
    .toBuffer();

it('keeps a picture under the hash of its bytes, once, without what it says of its place', async () => {
  const hash = await keepPicture(await picture('#c2543d'), 'LA-1');
  expect(await keepPicture(await picture('#c2543d'), 'LA-2')).toBe(hash);
  expect(await keepPicture(await picture('#2f6f73'), 'LA-3')).not.toBe(hash);
  expect(readdirSync(join(folder, 'pictures'))).toHaveLength(2);
  const { format, width, exif } = await sharp(readPicture(hash)!).metadata();
  expect([format, width, exif]).toEqual(['webp', 120, undefined]);
  expect(pictureData(hash)).toMatch(/^data:image\/webp;base64,/);
});

it('keeps nothing of what is no picture, breaks off, or is too large', async () => {
  const whole = await picture('#c2543d');
  for (const [bytes, said] of [
    [Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 'no picture'],
    [whole.subarray(0, whole.length - 30), 'breaks off'],
    [Buffer.alloc(3_100_000), '3 MB'],
  ] as const)
    await expect(keepPicture(bytes, 'LA-1')).rejects.toThrow(said);
  expect(readdirSync(folder)).toEqual([]);
});

it('reads only what its own names name', () => {
  for (const name of ['../hobnail.sqlite', 'x', '', 'A'.repeat(64), '0'.repeat(64)])
    expect(readPicture(name)).toBeNull();
  expect(pictureData('x')).toBe('');
});
