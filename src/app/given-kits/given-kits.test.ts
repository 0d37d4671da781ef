import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { kitOf, piece } from '../../../tests/fixtures';
import { done, refusal } from '../../../tests/house';
import { GET } from '../kits/[name]/give/route';
import { POST } from './route';
import { writePicturedKit } from '../../core/format/kit-csv';
import type { GivenKit } from '../../core/format/given-kit';
import { addKit, findKit, listKits } from '../../db/kits';
import { addCheckedKit } from '../../server/kit-actions';
import type { Outcome } from '../../server/outcome';
import { keepPicture, readPicture } from '../../server/pictures';
import { store } from '../../server/store';

const root = mkdtempSync(join(tmpdir(), 'hobnail-given-'));
const before = process.env.HOBNAIL_DATA;
let n = 0;

/** A house of its own on the disk. */
async function moveIn() {
  process.env.HOBNAIL_DATA = join(root, String(++n), 'hobnail.sqlite');
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  return store();
}
afterAll(() => {
  if (before === undefined) delete process.env.HOBNAIL_DATA;
  else process.env.HOBNAIL_DATA = before;
  rmSync(root, { recursive: true });
});

/** A picture with the lower half light, to be written on. */
const picture = (color: string, side = 200) =>
  sharp({ create: { width: side, height: side, channels: 4, background: color } })
    .composite([
      {
        input: { create: { width: side, height: side / 2, channels: 4, background: '#fdfaf2' } },
        top: side / 2,
        left: 0,
      },
    ])
    .png()
    .toBuffer();

const given = async (name: string, note = '') => {
  const asked = new Request(`http://localhost/kits/x/give?note=${encodeURIComponent(note)}`);
  return GET(asked, { params: Promise.resolve({ name: encodeURIComponent(name) }) });
};
const looked = async (bytes: Uint8Array, file = 'mist.hobnail-kit.zip'): Promise<Outcome<GivenKit>> => {
  const form = new FormData();
  form.set('file', new File([new Uint8Array(bytes)], file));
  const answer = await POST(new Request('http://localhost/given-kits', { method: 'POST', body: form }));
  return (await answer.json()) as Outcome<GivenKit>;
};
const stored = ({ kit, note }: GivenKit, name = kit.name) =>
  addCheckedKit({ name, role: 'kit', csv: writePicturedKit(kit, (p) => `${p}.webp`), note });

const CARD = strToU8('{"format":"hobnail.kit/1","name":"Harbor mist"}');
const list = (picture: string) =>
  strToU8(`code,kind,count,width_mm,height_mm,picture\nFB-1,full-box,2,38,48,${picture}\n`);
const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

it('goes from one house to another, looked over before it is stored: list, pictures, free parts, note', async () => {
  const first = await moveIn();
  const hash = await keepPicture(await picture('#2f6f73'), 'FB-1');
  const clear = { x: 2, y: 26, w: 30, h: 18 };
  const kit = 'harbor-mist';
  const shown = piece({ kit, kind: 'full-box', code: 'FB-1', height: 48, picture: hash, clear });
  const other = piece({ kit, kind: 'icon', code: 'IC-1', writable: 'no' });
  await addKit(first, { ...kitOf(shown, other), name: kit }, 'kit');
  const answer = await given('harbor-mist', 'for the choir');
  expect(answer.headers.get('content-disposition')).toContain(encodeURIComponent('Harbor Mist.hobnail-kit.zip'));
  const file = new Uint8Array(await answer.arrayBuffer());
  expect(Object.keys(unzipSync(file)).sort()).toEqual(['kit.csv', 'kit.json', `pictures/${hash}.webp`]);
  expect((await given('nowhere'))?.status).toBe(404);

  const second = await moveIn();
  const read = done(await looked(file));
  expect(await listKits(second)).toEqual([]);
  expect(read.note).toBe('for the choir');
  done(await stored(read));
  const [box, icon] = (await findKit(second, 'Harbor Mist'))!.pieces;
  expect(box).toMatchObject({ clear: shown.clear, width: shown.width, count: shown.count });
  expect(box!.ground).toHaveLength(2);
  expect(readPicture(box!.picture!)).not.toBeNull();
  expect(icon).toEqual({ ...other, kit: 'Harbor Mist' });
  expect((await listKits(second))[0]!.facts.notes).toBe('for the choir');
  // given back to where it came from, it brings no second picture
  expect(done(await looked(file)).kit.pieces[0]!.picture).toBe(box!.picture);
  expect(refusal(await stored(read))).toContain('a name that no kit has yet');
});

it('is read as a maker packs it by hand: in one folder, with pictures of any size', async () => {
  await moveIn();
  const large = new Uint8Array(await picture('#c2543d', 4400));
  const name = `${hashOf(large)}.png`;
  const read = done(
    await looked(
      zipSync({
        'Harbor mist/kit.csv': list(name),
        'Harbor mist/kit.json': CARD,
        [`Harbor mist/pictures/${name}`]: large,
        '__MACOSX/Harbor mist/kit.csv': strToU8('x'),
      }),
    ),
  );
  const kept = await sharp(readPicture(read.kit.pieces[0]!.picture!)!).metadata();
  expect([kept.format, kept.width]).toEqual(['webp', 4000]);
  done(await stored(read));
});

it('keeps nothing of what is not as it should be, and says where', async () => {
  const db = await moveIn();
  const sound = new Uint8Array(await picture('#c2543d'));
  const name = `${hashOf(sound)}.png`;
  const svg = strToU8('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
  const wide = new Uint8Array(
    await sharp({ create: { width: 8000, height: 5001, channels: 3, background: '#fff' } })
      .png()
      .toBuffer(),
  );
  const packed = (files: Record<string, Uint8Array>) => zipSync({ 'kit.csv': list(name), 'kit.json': CARD, ...files });
  const at = (bytes: Uint8Array) => `pictures/${hashOf(bytes)}.png`;
  const whole = packed({ [`pictures/${name}`]: sound });
  for (const [bytes, said] of [
    [strToU8('no zip'), 'found no zip file, or one that breaks off'],
    [whole.subarray(0, whole.length - 60), 'found no zip file, or one that breaks off'],
    [zipSync({ 'kit.json': CARD }), 'found no kit.csv'],
    [zipSync({ 'kit.csv': list('') }), 'found no kit.json'],
    [zipSync({ 'a/kit.csv': list(''), 'b/kit.csv': list(''), 'a/kit.json': CARD }), 'found no kit.csv'],
    [packed({}), `kit.csv, line 2, picture: found "${name.slice(0, 60)}`],
    [zipSync({ 'kit.csv': list('../../x.png'), 'kit.json': CARD }), 'kit.csv, line 2, picture'],
    [packed({ [`pictures/${name}`]: svg }), `pictures/${name}, the whole file: found bytes whose SHA-256 is`],
    [packed({ 'kit.csv': list(at(svg).slice(9)), [at(svg)]: svg }), 'found no picture'],
    [packed({ 'kit.csv': list(at(wide).slice(9)), [at(wide)]: wide }), 'at most 40 megapixels'],
    [packed({ 'kit.csv': new Uint8Array(65 * 2 ** 20) }), 'more than 64 MB in it'],
    [new Uint8Array(65 * 2 ** 20), 'found 65 MB, expected at most 64 MB'],
  ] as const)
    expect([said, refusal(await looked(bytes))]).toEqual([said, expect.stringContaining(said)]);
  expect(await listKits(db)).toEqual([]);
  const pictures = join(root, String(n), 'pictures');
  expect(existsSync(pictures) ? readdirSync(pictures) : []).toEqual([]);
  const answer = await POST(new Request('http://localhost/given-kits', { method: 'POST', body: new FormData() }));
  expect(refusal((await answer.json()) as Outcome<unknown>)).toContain('a kit as one file');
  expect(refusal(await addCheckedKit({ name: 'x', role: 'kit', csv: strOf(list(name)) }))).toContain('line 2, picture');
});

const strOf = (bytes: Uint8Array) => new TextDecoder().decode(bytes);
