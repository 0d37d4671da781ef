import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { demoKit } from '../../tests/fixtures';
import { done, layWeek, placementsOf, refusal, spreadNow } from '../../tests/house';
import { demoAgenda } from '../../demo/agenda';
import { photoOfSpread } from '../../demo/photo-of-spread';
import { putCalendar } from '../db/calendars';
import type { Database } from '../db/database';
import { keepOf, ratingsByManner, setPhoto } from '../db/keeps';
import { addKit } from '../db/kits';
import { finishSpread } from './bench-actions';
import {
  cornersOfPhoto,
  layMemoryPiece,
  memoryOffersOf,
  rateSpread,
  straightenPhoto,
  tagSpread,
  takePhotoBack,
} from './keep-actions';
import { keepPhoto, keepPicture, rasterOf } from './pictures';
import { sharedPicture } from './share';
import { store } from './store';
import { thumbnail } from './thumbnails';

const root = mkdtempSync(join(tmpdir(), 'hobnail-keeps-'));
let db: Database;
let id: number;
let n = 0;
beforeEach(async () => {
  process.env.HOBNAIL_DATA = join(root, String(n++), 'hobnail.sqlite');
  process.env.HOBNAIL_TODAY = '2027-02-12';
  delete (globalThis as { hobnailStore?: unknown }).hobnailStore;
  db = await store();
  await addKit(db, demoKit('rockpool'), 'kit');
  await addKit(db, demoKit('stash'), 'stash');
  await putCalendar(db, 'household', demoAgenda('2027-02-03'));
  id = await layWeek(db);
});
afterEach(() => db.destroy());
afterAll(() => rmSync(root, { recursive: true, force: true }));

it('a week is rated and tagged once it is on paper, and not before', async () => {
  expect(refusal(await rateSpread({ spreadId: id, rating: 3 }))).toContain('a finished spread');
  expect(refusal(await tagSpread({ spreadId: id, tags: ['frost'] }))).toContain('a finished spread');
  done(await finishSpread({ spreadId: id }));
  done(await rateSpread({ spreadId: id, rating: 3 }));
  done(await tagSpread({ spreadId: id, tags: ['frost', '##frost', ' first snow '] }));
  expect(await keepOf(db, id)).toMatchObject({ rating: 3, tags: ['frost', 'first snow'] });
  expect(await ratingsByManner(db)).toEqual(new Map([['scattered', { mean: 3, weeks: 1 }]]));
  expect(refusal(await rateSpread({ spreadId: id, rating: 6 }))).toContain('greater than 5');
});

describe('a photo', () => {
  const page = `<svg xmlns="http://www.w3.org/2000/svg" width="1150" height="739"><rect width="1150" height="739" fill="#fffdf8"/><rect x="80" y="80" width="200" height="160" fill="#1f6f78"/></svg>`;
  it('is straightened by the corners that are found in it, and can be had back as it was', async () => {
    done(await finishSpread({ spreadId: id }));
    const before = await keepPhoto(await photoOfSpread(page), 'photo');
    await setPhoto(db, id, before);
    const { corners, sure } = done(await cornersOfPhoto({ spreadId: id }));
    expect(sure).toBe(true);
    // turned by 2.6 degrees: its upper edge rises to the right
    expect(Math.atan2(corners[0].y - corners[1].y, corners[1].x - corners[0].x) * (180 / Math.PI)).toBeCloseTo(2.6, 0);
    expect(done(await straightenPhoto({ spreadId: id, corners: [...corners] }))).toEqual({ before });
    const after = (await keepOf(db, id))!.photo;
    const flat = (await rasterOf(after))!;
    const { pages } = (await spreadNow(id)).context.book;
    const ratio = pages.reduce((sum, p) => sum + p.width, 0) / pages[0]!.height;
    expect(flat.width / flat.height).toBeCloseTo(ratio, 2);
    // where the green field is, measured in the flat picture: at 80/1150 and 80/739 of it
    const at = (x: number, y: number) => {
      const [column, row] = [Math.round(x * flat.width), Math.round(y * flat.height)];
      return flat.data[4 * (row * flat.width + column)]!;
    };
    const [left, field, right, below] = [at(0.04, 0.08), at(0.16, 0.2), at(0.3, 0.2), at(0.16, 0.4)];
    expect([left > 180, field < 110, right > 180, below > 180]).toEqual([true, true, true, true]);
    done(await takePhotoBack({ spreadId: id, photo: before }));
    expect((await keepOf(db, id))!.photo).toBe(before);
  });
  it('without one, with corners on one line, or one that was never kept, nothing changes', async () => {
    done(await finishSpread({ spreadId: id }));
    expect(refusal(await cornersOfPhoto({ spreadId: id }))).toContain('a photo that is kept');
    const photo = await keepPhoto(await photoOfSpread(page), 'photo');
    await setPhoto(db, id, photo);
    const line = [0, 400, 800, 1200].map((x) => ({ x, y: x }));
    expect(refusal(await straightenPhoto({ spreadId: id, corners: line }))).toContain('the four corners');
    expect(refusal(await straightenPhoto({ spreadId: id, corners: line.slice(1) }))).toContain('4');
    expect(refusal(await takePhotoBack({ spreadId: id, photo: 'b'.repeat(64) }))).toContain('a photo that is kept');
    expect((await keepOf(db, id))!.photo).toBe(photo);
  });
});

it('leftovers are offered for empty places of days that are over, laid, and offered no more', async () => {
  const offers = done(await memoryOffersOf({ spreadId: id }));
  expect(offers.length).toBeGreaterThan(0);
  expect(offers.every((o) => o.day <= 4)).toBe(true); // it is Friday
  const [offer] = offers;
  const { kit, code, day, sort } = offer!;
  const before = await placementsOf(db, id);
  const left = done(await layMemoryPiece({ spreadId: id, kit, code, day, sort, text: 'seals' }));
  expect(await placementsOf(db, id)).toHaveLength(before.length + 1);
  expect(left).not.toContainEqual(offer);
  expect(refusal(await layMemoryPiece({ spreadId: id, kit, code: 'none', day, sort, text: '' }))).toContain(
    'empty place',
  );
});

it('a shared picture has its size, no word of its owner’s, and nothing beside the picture', async () => {
  const asked = (as: string, texts: string, width: string | null) => sharedPicture(id, { as, texts, width });
  const png = Buffer.from(await (await asked('png', 'left out', '1080'))!.arrayBuffer());
  const { width, format, exif, icc, xmp, iptc } = await sharp(png).metadata();
  expect([width, format, exif, icc, xmp, iptc]).toEqual([1080, 'png', undefined, undefined, undefined, undefined]);
  expect(png.includes('tEXt') || png.includes('iTXt')).toBe(false);
  const [kept, out] = await Promise.all(['kept', 'left out'].map(async (t) => (await asked('svg', t, null))!.text()));
  expect(out!.length).toBeLessThan(kept!.length);
  // what is not known is taken for what gives least away
  expect(await (await asked('svg', 'constructor', 'wide'))!.text()).toBe(out);
  expect((await asked('png', 'kept', '7'))!.headers.get('content-disposition')).not.toMatch(/W06|Feb/);
  expect(await sharedPicture(99, { as: 'png', texts: null, width: null })).toBeNull();
});

it('a small picture is made once for each state of a spread', async () => {
  const first = (await thumbnail(id))!;
  expect((await sharp(first).metadata()).format).toBe('webp');
  expect(Buffer.compare((await thumbnail(id))!, first)).toBe(0);
  expect(first.length).toBeLessThan(90_000);
  expect([await thumbnail(99), await thumbnail(NaN)]).toEqual([null, null]);
});

it('a scanned sticker’s own picture is in the small picture and in the shared one', async () => {
  const red = await sharp({ create: { width: 200, height: 200, channels: 3, background: '#e01010' } })
    .png()
    .toBuffer();
  const hash = await keepPicture(new Uint8Array(red), 'red');
  await db.updateTable('piece').set({ picture: hash }).where('kind', '=', 'full-box').execute();
  await db
    .updateTable('spread')
    .set((e) => ({ revision: e('revision', '+', 1) }))
    .execute();
  await db.updateTable('kit_clock').set((e) => ({ time: e('time', '+', 1) })).execute(); // prettier-ignore
  const isRed = async (picture: Uint8Array): Promise<number> => {
    const { data } = await sharp(picture).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    let count = 0;
    for (let i = 0; i < data.length; i += 3) if (data[i]! > 200 && data[i + 1]! < 60 && data[i + 2]! < 60) count++;
    return (3 * count) / data.length;
  };
  const shared = await sharedPicture(id, { as: 'png', texts: 'left out', width: '1080' });
  expect(await isRed((await thumbnail(id))!)).toBeGreaterThan(0.05);
  expect(await isRed(new Uint8Array(await shared!.arrayBuffer()))).toBeGreaterThan(0.05);
});
