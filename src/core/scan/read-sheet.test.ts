import type { Drawn } from '../../../tests/pictures';
import { blankPicture, frame, paint } from '../../../tests/pictures';
import { difference } from '../color/color';
import { findSheet } from './find-sheet';
import { readSheet } from './read-sheet';
import { straightened } from './straighten';

const SCALE = 10;
const BACKING = '#f4f1ea';
const LINE = '#c9c4b8';

/** A sheet of 70 x 60 mm drawn by a test: what lies where is told in mm. */
function sheetOf(
  draw: (put: (x: number, y: number, w: number, h: number, color: string, line?: string) => void) => void,
) {
  const picture = blankPicture(700, 600, BACKING);
  draw((x, y, w, h, color, line = LINE) => {
    const px = { x: x * SCALE, y: y * SCALE, w: w * SCALE, h: h * SCALE };
    paint(picture, px, color);
    frame(picture, px, line, 1);
  });
  return { ...picture, scale: SCALE };
}

describe('a sheet that is read', () => {
  it('has each sticker where it is, with size, color and copies', () => {
    const { pieces, width, height, backing } = readSheet(
      sheetOf((put) => {
        put(6, 6, 20, 12, '#c2543d');
        put(30, 6, 20, 12, '#c2543d');
        put(6, 24, 30, 9, '#2f6f73');
      }),
    );
    expect([width, height]).toEqual([70, 60]);
    expect(difference(backing, BACKING)).toBeLessThan(1);
    expect(pieces.map((p) => [p.x, p.y, p.w, p.h, p.design])).toEqual([
      [expect.closeTo(6, 0), expect.closeTo(6, 0), expect.closeTo(20, 0), expect.closeTo(12, 0), 0],
      [expect.closeTo(30, 0), expect.closeTo(6, 0), expect.closeTo(20, 0), expect.closeTo(12, 0), 0],
      [expect.closeTo(6, 0), expect.closeTo(24, 0), expect.closeTo(30, 0), expect.closeTo(9, 0), 1],
    ]);
    for (const p of pieces) {
      expect(Math.abs(p.w - (p.design ? 30 : 20))).toBeLessThan(0.4);
      expect(difference(p.color, p.design ? '#2f6f73' : '#c2543d')).toBeLessThan(3);
      expect(p.shape).toBe('rect');
    }
  });

  it('has a sticker of the backing’s own color by its cut line alone, and says so', () => {
    const { pieces } = readSheet(sheetOf((put) => put(8, 8, 38, 12, BACKING)));
    expect(pieces).toHaveLength(1);
    expect(pieces[0]).toMatchObject({ doubts: expect.arrayContaining(['faint']) });
    expect(Math.abs(pieces[0]!.w - 38)).toBeLessThan(0.4);
  });

  const places = (pieces: readonly Placed[]) =>
    pieces.map((p) => [p.x, p.y, p.w, p.h].map(Math.round)).sort((a, b) => a[1]! - b[1]! || a[0]! - b[0]!);
  type Placed = { readonly x: number; readonly y: number; readonly w: number; readonly h: number };

  it('parts a staircase of touching stickers where pale meets dark and no cut goes from edge to edge', () => {
    const put: [number, number, number, number, string][] = [
      [6, 6, 18, 12, '#d8e6df'],
      [24, 6, 18, 12, '#d8e6df'],
      [42, 6, 20, 7, '#2f4a7c'],
      [6, 18, 20, 7, '#2f4a7c'],
      [26, 18, 30, 16, '#c2543d'],
      [6, 34, 18, 12, '#7a5c99'],
      [24, 34, 18, 12, '#7a5c99'],
    ];
    const { pieces } = readSheet(sheetOf((draw) => put.forEach((p) => draw(...p))));
    // where no line shows a cut lies within a millimeter
    const [found, drawn] = [places(pieces), places(put.map(([x, y, w, h]) => ({ x, y, w, h })))];
    expect(found).toEqual(
      drawn.map((box) => box.map((mm) => ({ asymmetricMatch: (v: unknown) => Math.abs((v as number) - mm) <= 1 }))),
    );
    expect(new Set(pieces.map((p) => p.design)).size).toBe(4);
  });

  it('parts a row of copies whose print hides the knife, and leaves alone what only has their size twice', () => {
    const sheet = sheetOf((put) => {
      put(6, 6, 20, 10, '#d8e6df');
      put(46, 6, 20, 10, '#d8e6df');
      put(6, 22, 20, 10, '#d8e6df', '#d8e6df');
      put(26, 22, 20, 10, '#d8e6df', '#d8e6df');
      put(6, 40, 40, 10, '#d8e6df', '#d8e6df');
    });
    const blot = (x: number, y: number) =>
      paint(sheet, { x: x * SCALE, y: y * SCALE, w: 3 * SCALE, h: 10 * SCALE }, '#3d4f7c');
    // the same twice; a picture that goes on over twice the size
    [8, 15, 28, 35].forEach((x) => blot(x, 22));
    [9, 21, 30, 41].forEach((x) => blot(x, 40));
    expect(places(readSheet(sheet).pieces)).toEqual([
      [6, 6, 20, 10],
      [46, 6, 20, 10],
      [6, 22, 20, 10],
      [26, 22, 20, 10],
      [6, 40, 40, 10],
    ]);
  });

  it('parts what touches by the cut line, and not by a printed line that stops short', () => {
    const { pieces } = readSheet(
      sheetOf((put) => {
        put(6, 6, 20, 14, '#d8e6df');
        put(26, 6, 20, 14, '#d8e6df');
        put(6, 30, 40, 14, '#f3d9c8');
        put(25, 32, 0.2, 10, LINE);
      }),
    );
    expect(pieces.map((p) => [Math.round(p.x), Math.round(p.w)])).toEqual([
      [6, 20],
      [26, 20],
      [6, 40],
    ]);
  });

  it('is read under a spot of light on the backing, and says what the light lies on', () => {
    const sheet = blankPicture(700, 600, '#d6d3cc');
    const put: [number, number, number, number, string][] = [
      [8, 8, 24, 12, '#2f6f73'],
      [46, 6, 20, 10, '#7a5c99'],
      [8, 26, 24, 12, '#c2543d'],
      [38, 40, 24, 12, '#3d4f7c'],
    ];
    for (const [x, y, w, h, color] of put)
      paint(sheet, { x: x * SCALE, y: y * SCALE, w: w * SCALE, h: h * SCALE }, color);
    for (let y = 0; y < 600; y++)
      for (let x = 0; x < 700; x++) {
        const light = 60 * Math.max(0, 1 - Math.hypot(x - 330, y - 300) / 200) ** 2;
        for (let c = 0; c < 3; c++) sheet.data[(y * 700 + x) * 4 + c]! += light;
      }
    const { pieces } = readSheet({ ...sheet, scale: SCALE });
    expect(places(pieces)).toEqual(places(put.map(([x, y, w, h]) => ({ x, y, w, h }))));
    const lit = pieces.filter((p) => p.doubts.includes('glare')).map((p) => [Math.round(p.x), Math.round(p.y)]);
    expect(lit).toContainEqual([8, 26]);
    expect(lit).not.toContainEqual([46, 6]);
  });

  it('counts the rows of a list, and none of a plain box', () => {
    const { pieces } = readSheet(
      sheetOf((put) => {
        put(5, 5, 30, 36, '#f3d9c8');
        for (let i = 0; i < 6; i++) {
          put(6.5, 7 + i * 6, 2.4, 2.4, '#ffffff', '#3d4f7c');
          put(11, 10.5 + i * 6, 22, 0.2, '#3d4f7c', '#3d4f7c');
        }
        put(38, 5, 25, 36, '#f3d9c8');
      }),
    );
    expect(pieces.map((p) => [p.rows, p.kind === 'checklist'])).toEqual([
      [6, true],
      [0, false],
    ]);
  });

  it('finds nothing on a bare backing, nor dust', () => {
    const bare = sheetOf((put) => put(20, 20, 0.3, 0.3, '#444444', '#444444'));
    expect(readSheet(bare).pieces).toEqual([]);
  });

  it('tells each step before it is taken', () => {
    const steps: string[] = [];
    readSheet(
      sheetOf(() => {}),
      (step) => steps.push(step),
    );
    expect(steps).toEqual(['light', 'lines', 'outlines', 'parting', 'measuring']);
  });
});

describe('a sheet in a picture', () => {
  const table = (): Drawn => {
    const picture = blankPicture(400, 500, '#4a3a2c');
    paint(picture, { x: 60, y: 80, w: 280, h: 340 }, '#f4f1ea');
    return picture;
  };

  it('is found by its corners, and seen straight from above', () => {
    const { corners, sure } = findSheet(table());
    expect(sure).toBe(true);
    const wanted = [
      [60, 80],
      [340, 80],
      [340, 420],
      [60, 420],
    ] as const;
    corners.forEach((c, i) => expect(Math.hypot(c.x - wanted[i]![0], c.y - wanted[i]![1])).toBeLessThan(1.5));
    const flat = straightened(table(), corners, 70, 85, 4);
    expect([flat.width, flat.height, flat.scale]).toEqual([280, 340, 4]);
    expect([...flat.data.slice((170 * 280 + 140) * 4, (170 * 280 + 140) * 4 + 3)]).toEqual([0xf4, 0xf1, 0xea]);
  });

  it('is the whole picture where none can be told from it', () => {
    const { corners, sure } = findSheet(blankPicture(300, 200, '#f4f1ea'));
    expect([sure, corners[2]]).toEqual([false, { x: 300, y: 200 }]);
  });
});
