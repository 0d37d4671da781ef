import { blankPicture, paint } from '../../../tests/pictures';
import { colorsOf } from './colors-of';
import { cutOut } from './cut-out';
import { foilOf } from './foil-of';
import { kindOf } from './kind-of';
import { rowsOf } from './rows-of';
import { CELLS, designsOf } from './same-design';
import type { Look } from './same-design';
import { shapeOf } from './shape-of';

/** An outline of a width at each row, mm; 10 rows a mm. */
const outline = (w: number, h: number, ends: (y: number) => readonly [number, number]) => {
  const rows = Array.from({ length: h * 10 }, (_, i) => ends((i + 0.5) / 10));
  const filled = rows.reduce((sum, [l, r]) => sum + r - l, 0) / rows.length / w;
  return { width: w, height: h, rows, filled };
};

describe('an outline', () => {
  it.each([
    ['rect', outline(38, 12, () => [0, 38])],
    ['rounded', outline(38, 12, (y) => { const d = Math.max(0, 2.4 - Math.min(y, 12 - y)); const g = 2.4 - Math.sqrt(2.4 ** 2 - d ** 2); return [g, 38 - g]; })],
    ['circle', outline(14, 14, (y) => { const c = Math.sqrt(49 - (y - 7) ** 2); return [7 - c, 7 + c]; })],
    ['notched', outline(38, 10, (y) => [0, 38 - 4 * (1 - Math.abs(y - 5) / 5)])],
    ['pointed', outline(38, 9, (y) => [0, 34 + 4 * (1 - Math.abs(y - 4.5) / 4.5)])],
    ['scalloped', outline(38, 12, (y) => { const g = 0.5 - 0.5 * Math.abs(Math.sin((y * Math.PI) / 3)); return [g, 38 - g]; })],
    ['free', outline(30, 30, (y) => [10 * Math.abs(Math.sin(y)), 30 - 12 * Math.abs(Math.cos(y / 2))])],
  ] as const)('is named %s', (name, shape) => expect(shapeOf(shape)).toBe(name)); // prettier-ignore
});

describe('a kind', () => {
  it.each([
    [38.1, 48.3, 'rect', 0, 'full-box'],
    [38.1, 48.3, 'rect', 6, 'checklist'],
    [38, 6.4, 'rect', 0, 'header'],
    [8, 8, 'circle', 0, 'date-dot'],
    [14, 14, 'circle', 0, 'circle'],
    [38, 12, 'scalloped', 0, 'label'],
    [38, 10, 'notched', 0, 'flag'],
    [160, 11, 'rect', 0, 'bottom-washi'],
  ] as const)('of %d x %d, %s, %d rows', (w, h, shape, rows, kind) =>
    expect(kindOf(w, h, shape, rows).kind).toBe(kind),
  );
});

it('the main color is the one that most has, the second another one', () => {
  const red = [53, 45, 35];
  const white = [96, 0, 2];
  const samples = Float32Array.from(Array.from({ length: 100 }, (_, i) => (i < 70 ? red : white)).flat());
  const { color, accent, share } = colorsOf(samples);
  expect([color !== accent, share]).toEqual([true, 0.7]);
  expect(colorsOf(Float32Array.from(red)).accent).toBe(colorsOf(Float32Array.from(red)).color);
});

describe('rows', () => {
  const signal = (n: number, pitch: number) => Float32Array.from({ length: n }, (_, i) => (i % pitch < 4 ? 10 : 0));
  const flat = new Float32Array(380);
  it('are what repeats downwards', () => expect(rowsOf(signal(480, 60), flat, 10)).toBe(8));
  it('are none in a pattern that repeats both ways', () =>
    expect(rowsOf(signal(480, 60), signal(360, 60), 10)).toBe(0));
  it('are none where nothing repeats', () => expect(rowsOf(flat, flat, 10)).toBe(0));
});

describe('foil', () => {
  const line = (l: (i: number) => number, a: number, b: number) =>
    Float32Array.from(Array.from({ length: 60 }, (_, i) => [l(i), a, b]).flat());
  const wave = (i: number) => 70 + 22 * Math.sin(i / 4);
  it('shines softly in a metal’s color', () => {
    expect([foilOf(line(wave, 3, 35)), foilOf(line(wave, 0, 1)), foilOf(line(wave, 14, 14))]).toEqual([
      'gold',
      'silver',
      'rose-gold',
    ]);
  });
  it('is no hard stripes, no fade and no blue', () => {
    const hard = (i: number) => (i % 8 < 4 ? 50 : 92);
    expect([foilOf(line(hard, 3, 35)), foilOf(line((i) => 40 + i, 3, 35)), foilOf(line(wave, 0, -35))]).toEqual([
      'none',
      'none',
      'none',
    ]);
  });
});

describe('copies', () => {
  type Paint = (x: number, y: number) => number;
  /** a sticker in cells of a quarter millimeter, as light as told */
  const look = (w: number, h: number, light: Paint, cut = false): Look => {
    const [columns, rows] = [w * CELLS, h * CELLS].map(Math.round) as [number, number];
    const cells = new Float32Array(columns * rows * 3);
    for (let y = 0; y < rows; y++)
      for (let x = 0; x < columns; x++) cells[3 * (y * columns + x)] = light(x / CELLS, y / CELLS);
    return { w, h, cut, columns, rows, cells };
  };
  const plain =
    (l: number): Paint =>
    () =>
      l;
  const dots =
    (aside = 0): Paint =>
    (x, y) =>
      Math.hypot(((x + aside) % 5) - 2.5, (y % 5) - 2.5) < 1.2 ? 40 : 90;
  const lined =
    (at: number): Paint =>
    (_, y) =>
      Math.abs(y - at) < 0.3 ? 40 : 90;

  it('are alike in size and in looks', () =>
    expect(
      designsOf([look(20, 10, plain(50)), look(20.3, 10, plain(51)), look(22, 10, plain(50)), look(20, 10, plain(80))]),
    ).toEqual([0, 0, 1, 2]));

  it('may lie a hair aside, and differ more where a cut laid an edge', () => {
    expect(designsOf([look(30, 15, dots()), look(30, 15, dots(0.4)), look(30, 15, dots(2.5))])).toEqual([0, 0, 1]);
    expect(designsOf([look(20, 10, plain(50)), look(21.2, 10, plain(50))])).toEqual([0, 1]);
    expect(designsOf([look(20, 10, plain(50)), look(21.2, 10, plain(50), true)])).toEqual([0, 0]);
  });

  it('have the same fine lines, and no more than dust beside', () => {
    expect(designsOf([look(30, 15, plain(90)), look(30, 15, lined(7))])).toEqual([0, 1]);
    expect(designsOf([look(30, 15, lined(4)), look(30, 15, lined(11))])).toEqual([0, 1]);
    const speck: Paint = (x, y) => (Math.hypot(x - 11, y - 6) < 0.4 ? 20 : 90);
    expect(designsOf([look(30, 15, plain(90)), look(30, 15, speck)])).toEqual([0, 0]);
  });

  it('are not found by way of one that is like both: neighbors may be a chain', () =>
    expect(designsOf([50, 55, 52.5].map((l) => look(20, 10, plain(l))))).toEqual([0, 1, 0]));
});

it('a sticker is cut out of its sheet with nothing round it', () => {
  const picture = blankPicture(200, 100, '#f4f1ea');
  paint(picture, { x: 20, y: 20, w: 100, h: 60 }, '#2f6f73');
  const sheet = { ...picture, scale: 10 };
  const alpha = (x: number, y: number, { width, data }: { width: number; data: ArrayLike<number> }) =>
    data[(y * width + x) * 4 + 3];
  const free = cutOut(sheet, { x: 1, y: 1, w: 12, h: 8 }, 'free', '#f4f1ea');
  expect([free.width, free.height, alpha(2, 2, free), alpha(60, 40, free)]).toEqual([120, 80, 0, 255]);
  const rect = cutOut(sheet, { x: 1, y: 1, w: 12, h: 8 }, 'rect', '#f4f1ea');
  expect(alpha(2, 2, rect)).toBe(255);
  const round = cutOut(sheet, { x: 2, y: 2, w: 6, h: 6 }, 'circle', '#f4f1ea');
  expect([alpha(0, 0, round), alpha(30, 30, round)]).toEqual([0, 255]);
  // one that looks as the backing does stays whole
  const bare = cutOut(sheet, { x: 13, y: 1, w: 5, h: 5 }, 'free', '#f4f1ea');
  expect(alpha(2, 2, bare)).toBe(255);
});
