/** @jest-environment node */
import { deskSheet } from '../../../tests/desk/sheets';
import type { DeskShot } from '../../../tests/desk/device';
import { asRaster, taken } from '../../../tests/desk/device';
import { findSheet } from './find-sheet';
import type { Quad } from './homography';
import { readSheet } from './read-sheet';
import { straightened } from './straighten';
import { whitened } from './white-balance';

/** Pictures of sheets as they lie on desks, drawn by a generator that shares nothing with demo/scanner-service. */
const shots = new Map<string, Promise<DeskShot>>();
const sheets = {
  covers: deskSheet('covers', 1),
  labels: deskSheet('labels', 1),
  used: deskSheet('used up, weeded', 2),
};
const shot = (sheet: keyof typeof sheets, device: string): Promise<DeskShot> => {
  const key = `${sheet} ${device}`;
  const made = shots.get(key) ?? taken(sheets[sheet], device);
  shots.set(key, made);
  return made;
};
/** How far the worst corner is off, mm. */
const off = (found: Quad, { corners: c }: DeskShot, width: number): number =>
  Math.max(...found.map((p, i) => Math.hypot(p.x - c[i]!.x, p.y - c[i]!.y))) /
  (Math.hypot(c[1].x - c[0].x, c[1].y - c[0].y) / width);

describe('a sheet is found', () => {
  it.each(['flatbed, white lid', 'flatbed, gray lid', 'phone, marble', 'phone, white table', 'phone, cutting mat'])(
    'within a millimeter: %s',
    async (device) => {
      const taken = await shot('labels', device);
      const { corners, sure } = findSheet(await asRaster(taken.bytes));
      expect(sure).toBe(true);
      expect(off(corners, taken, sheets.labels.width)).toBeLessThan(1);
    },
  );
  it('as the whole picture where that is cut to the sheet, and is not sure of it', async () => {
    const taken = await shot('labels', 'flatbed, cropped');
    const { corners, sure } = findSheet(await asRaster(taken.bytes));
    expect(sure).toBe(false);
    expect(off(corners, taken, sheets.labels.width)).toBeLessThan(1);
  });
});

const readOf = async (sheet: keyof typeof sheets, device: string) => {
  const { bytes, corners, isPhone } = await shot(sheet, device);
  const flat = straightened(await asRaster(bytes), corners, sheets[sheet].width, sheets[sheet].height, 10);
  return readSheet(isPhone ? whitened(flat) : flat);
};

it('print beyond the knife’s line is no part of a sticker', async () => {
  const { pieces } = await readOf('covers', 'flatbed, dark lid');
  expect(pieces).toHaveLength(sheets.covers.stickers.length);
  for (const s of sheets.covers.stickers) {
    const own = pieces.find((p) => Math.hypot(p.x + p.w / 2 - s.x - s.w / 2, p.y + p.h / 2 - s.y - s.h / 2) < 1);
    expect(Math.abs((own?.w ?? 0) - s.w)).toBeLessThan(0.5);
    expect(Math.abs((own?.h ?? 0) - s.h)).toBeLessThan(0.5);
  }
});

it('seven covers with a word each are seven designs', async () => {
  const { pieces } = await readOf('covers', 'flatbed, dark lid');
  const covers = pieces.filter((p) => p.h > 9);
  expect(new Set(covers.map((p) => p.design)).size).toBe(
    new Set(sheets.covers.stickers.filter((s) => s.h > 9).map((s) => s.design)).size,
  );
});

it('a title and a maker’s line on the paper are no stickers', async () => {
  const { pieces } = await readOf('labels', 'phone, marble');
  expect(pieces.filter((p) => p.y < 11 || p.y > sheets.labels.height - 7)).toEqual([]);
});

it('colors are those of white light, whatever the lamp', async () => {
  const { backing } = await readOf('labels', 'phone, white table');
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => parseInt(backing.slice(i, i + 2), 16));
  expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThan(9);
  expect(Math.min(r, g, b)).toBeGreaterThan(238);
});

it('a place whose sticker was used up is asked about', async () => {
  const { pieces } = await readOf('used', 'flatbed, white lid');
  const wrong = pieces.filter(
    (p) =>
      !sheets.used.stickers.some(
        (s) => Math.abs(s.x + s.w / 2 - p.x - p.w / 2) < 2 && Math.abs(s.y + s.h / 2 - p.y - p.h / 2) < 2,
      ),
  );
  expect(wrong.length).toBeGreaterThan(0);
  expect(wrong.filter((p) => !p.doubts.length)).toEqual([]);
});
