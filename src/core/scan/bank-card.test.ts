/**
 * @jest-environment node
 */
import sharp from 'sharp';
import { FLATBED, PHONE, scanned } from '../../../demo/scanner-service/device';
import { madeUpSheet } from '../../../demo/scanner-service/made-up-sheets';
import { cardAmong, cardLengths } from './bank-card';
import { findSheet } from './find-sheet';
import type { Quad } from './homography';
import { sizeByLengths } from './known-length';

const quad = (...points: readonly (readonly [number, number])[]): Quad =>
  points.map(([x, y]) => ({ x, y })) as unknown as Quad;
const SHEET = quad([100, 50], [1370, 50], [1370, 1830], [100, 1830]);

describe('the size of a sheet', () => {
  it('is told by two lengths that run across each other', () => {
    const size = sizeByLengths(SHEET, [
      { from: { x: 0, y: 0 }, to: { x: 1000, y: 0 }, mm: 100 },
      { from: { x: 0, y: 0 }, to: { x: 0, y: 1000 }, mm: 100 },
    ]);
    expect([size?.width, size?.height]).toEqual([expect.closeTo(127, 6), expect.closeTo(178, 6)]);
  });

  it('is told by one length as the picture shows its sides, and by none not at all', () => {
    const size = sizeByLengths(SHEET, [{ from: { x: 10, y: 1900 }, to: { x: 1010, y: 1900 }, mm: 50 }]);
    expect([size?.width, size?.height]).toEqual([expect.closeTo(63.5, 6), expect.closeTo(89, 6)]);
    expect(sizeByLengths(SHEET, [])).toBeNull();
    expect(sizeByLengths(SHEET, [{ from: { x: 5, y: 5 }, to: { x: 5, y: 5 }, mm: 50 }])).toBeNull();
    expect(sizeByLengths(SHEET, [{ from: { x: 5, y: 5 }, to: { x: 50, y: 5 }, mm: 0 }])).toBeNull();
  });

  it.each([0, 0.3, Math.PI / 4, 1.2])('is told by a card that lies turned by %f rad, also at 45 degrees', (turn) => {
    const at = (x: number, y: number): readonly [number, number] => [
      1500 + 10 * (x * Math.cos(turn) - y * Math.sin(turn)),
      400 + 10 * (x * Math.sin(turn) + y * Math.cos(turn)),
    ];
    const size = sizeByLengths(SHEET, cardLengths(quad(at(0, 0), at(85.6, 0), at(85.6, 53.98), at(0, 53.98))));
    expect([size?.width, size?.height]).toEqual([expect.closeTo(127, 6), expect.closeTo(178, 6)]);
  });
});

describe('a card', () => {
  it('is the thing whose sides are as a card’s are, lying or upright', () => {
    const square = quad([1400, 0], [1900, 0], [1900, 500], [1400, 500]);
    const upright = quad([1400, 600], [1940, 600], [1940, 1456], [1400, 1456]);
    expect(cardAmong([square, upright], SHEET)).toBe(upright);
    expect(cardAmong([square], SHEET)).toBeNull();
    expect(cardAmong([], SHEET)).toBeNull();
  });

  // the sheet's true size and the corners are the stand-in's truth
  it.each([
    ['straight from above', { ...FLATBED, dpi: 150, behind: PHONE.behind }],
    ['in a photo', { ...PHONE, dpi: 200 }],
  ])('beside a sheet is found and tells its size within half a percent, %s', async (_, knobs) => {
    const sheet = madeUpSheet('boxes', 3);
    const shot = await scanned(sheet, { ...knobs, card: 1 });
    const { data, info } = await sharp(shot.bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    const { corners, card } = findSheet({ width: info.width, height: info.height, data });
    expect(card).not.toBeNull();
    card?.forEach((c, i) => expect(Math.hypot(c.x - shot.card![i]!.x, c.y - shot.card![i]!.y)).toBeLessThan(3));
    const size = sizeByLengths(corners, cardLengths(card as Quad));
    expect(Math.abs((size?.width ?? 0) / sheet.width - 1)).toBeLessThan(0.005);
    expect(Math.abs((size?.height ?? 0) / sheet.height - 1)).toBeLessThan(0.005);
  });

  it('is not seen where none lies', async () => {
    const { bytes } = await scanned(madeUpSheet('mixed', 4), { ...PHONE, dpi: 100 });
    const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    expect(findSheet({ width: info.width, height: info.height, data }).card).toBeNull();
  });
});
