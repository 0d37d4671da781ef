import { context, piece, placement } from '../../../tests/fixtures';
import { piecesOn } from './placement';
import { alignX } from './align';
import { fitCost, fitText, shortenedBy, sizesDownTo } from './fit-text';
import { foilCost, foilOfDay } from './foil';
import { isList, strippedRoom } from './is-list';
import { linesOfRows, listText, rowsTaken } from './list-text';
import { trimTo } from './trim';

describe('the text of a list (docs/formats/spread.md)', () => {
  const row = (...lines: readonly string[]) => ({ lines, inOneRow: false });
  it.each([
    ['one line a row', [row('oats'), row('soap')], 'oats\nsoap'],
    ['a row that goes on', [row('a very', 'long one'), row('soap')], 'a very\n  long one\nsoap'],
    ['two lines in one row', [{ lines: ['a very', 'long one'], inOneRow: true }], 'a very / long one'],
    ['a row left empty', [row('oats'), row(''), row('soap')], 'oats\n\nsoap'],
    ['nothing', [], ''],
  ])('%s', (_, items, text) => expect(listText(items)).toBe(text));
  it.each([
    ['oats\nsoap', false, [['oats'], ['soap']]],
    ['a very\n  long one', false, [['a very'], ['long one']]],
    ['a very / long one\nsoap', true, [['a very', 'long one'], ['soap']]],
    ['and / or', false, [['and / or']]],
    ['', true, [['']]],
  ])('%j is read by its rows (%j)', (text, twoLines, rows) => expect(linesOfRows(text, twoLines)).toEqual(rows));
  it.each([
    [['a', 'b'], null, 2],
    [['a'], 'one\n  two', 2],
    [['a', 'b', 'c'], 'one\ntwo', 3],
    [[], null, 0],
  ])('items %j with the text %j take %d rows', (items, text, rows) => expect(rowsTaken({ items, text })).toBe(rows));
});

describe('trimming (F1)', () => {
  const box = piece({ kind: 'full-box', width: 40, height: 48 });
  it('is nothing where it fits, to a hair', () => {
    expect([trimTo(box, 40), trimTo(box, 39.96), trimTo(box, 60, 48)]).toEqual([null, null, null]);
  });
  it.each([
    ['both sides of a box without a face', {}, 1],
    ['the right of a scene that looks left', { faces: 'left' }, 0],
    ['the left of a scene that looks right', { faces: 'right' }, 2],
    ['the right of a flag', { kind: 'flag' }, 0],
  ] as const)('takes %s', (_, over, x) => {
    expect(trimTo({ ...box, ...over }, 38)).toEqual({ x, y: 0, w: 38, h: 48 });
  });
  it('takes height in the middle', () => expect(trimTo(box, 40, 44)).toEqual({ x: 0, y: 2, w: 40, h: 44 }));
  it('is not done to what may not be cut', () => {
    expect(trimTo({ ...box, kind: 'circle' }, 38)).toBeUndefined();
    expect(trimTo({ ...box, kind: 'circle' }, 40)).toBeNull();
  });
});

it('pieces stand on one edge all over the spread (F4)', () => {
  const column = { x: 10, w: 38 };
  const c = context();
  const flush = { ways: { ...c.ways, align: 'flush left' as const } };
  const centered = { ways: { ...c.ways, align: 'centered' as const } };
  expect([alignX(flush, column, 30), alignX(centered, column, 30)]).toEqual([10, 14]);
  // what is wider than the column hangs over on both sides, whatever the school
  expect([alignX(flush, column, 40), alignX(centered, column, 40)]).toEqual([9, 9]);
});

describe('foil (C6)', () => {
  const of = (...foils: string[]) => ({ options: { ...context().options, foils } });
  it.each([
    [[], [null, null, null]],
    [['gold'], ['gold', 'gold', 'gold']],
    [
      ['gold', 'rose-gold'],
      ['gold', 'rose-gold', 'gold'],
    ],
  ])('%j is by day %j', (foils, days) => {
    expect([0, 1, 2].map((d) => foilOfDay(of(...foils), d))).toEqual(days);
  });
  it('the day’s own is liked, none costs nothing, the other costs most', () => {
    const two = of('gold', 'rose-gold');
    const cost = (foil: string) => foilCost(two, { foil }, 0);
    expect(cost('gold') < cost('none') && cost('none') < cost('rose-gold')).toBe(true);
    expect(foilCost(of(), { foil: 'gold' }, 0)).toBe(0);
  });
});

describe('a list stripped of its shapes is a label (L4)', () => {
  const list = piece({ kind: 'checklist' });
  it.each([
    [null, true],
    [{ x: 0, y: 0, w: 38, h: 20 }, true],
    [{ x: 6, y: 0, w: 32, h: 20 }, false],
  ])('cut to %j it is a list: %j', (cut, is) => expect(isList(list, placement({ cut }))).toBe(is));
  it('and nothing else is one', () => {
    expect([isList(piece({ kind: 'label' }), placement()), isList(null, placement())]).toEqual([false, false]);
  });
  it('is written on between its margins', () => {
    expect(strippedRoom({ w: 30, h: 12 })).toMatchObject({ y: 0, h: 12 });
    expect(strippedRoom({ w: 1, h: 12 }).w).toBe(0);
  });
});

describe('a text in a room (P4)', () => {
  const hand = { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 };
  const options = { ...context().options, hand, smallest: 0.8, shortForms: { with: 'w/' } };
  it.each([
    ['vet', { w: 38.1, h: 4.6 }, { text: 'vet', size: 1 }],
    ['a letter or two more', { w: 38.1, h: 4.6 }, { text: 'a letter or two more', size: 0.9 }],
    ['lunch out with Odile there', { w: 38.1, h: 4.6 }, null],
    ['two lines of it are here', { w: 38.1, h: 9.2 }, { text: 'two lines of it are here', size: 1 }],
  ])('%j in %j', (text, room, fitted) => expect(fitText(text, room, options)).toEqual(fitted));
  it('has short forms only where the whole words do not fit', () => {
    const tight = { w: 24.5, h: 4.6 };
    expect(fitText('tea with Mum', { w: 38.1, h: 4.6 }, options)?.text).toBe('tea with Mum');
    expect(fitText('coffee with Wren', tight, options)?.text).toBe('coffee w/ Wren');
    expect(fitText('coffee with Wren', tight, { ...options, shortForms: {} })).toBeNull();
    expect(shortenedBy({ with: 'w/' }, 'WITH or without')).toEqual(['w/ or without']);
    expect(shortenedBy({}, 'with')).toEqual([]);
    expect(shortenedBy({ vet: 'v' }, 'with')).toEqual([]);
  });
  it('smaller and shorter cost, and the hand itself costs nothing', () => {
    expect(fitCost({ text: 'a', size: 1 }, 'a')).toBe(0);
    expect(fitCost({ text: 'a', size: 0.8 }, 'a')).toBeGreaterThan(fitCost({ text: 'a', size: 0.9 }, 'a'));
    expect(fitCost({ text: 'w/', size: 1 }, 'with')).toBeGreaterThan(0);
  });
  it.each([
    [1, [1]],
    [0.8, [1, 0.9, 0.8]],
    [0.6, [1, 0.8, 0.6]],
  ])('sizes down to %d are %j', (smallest, sizes) => expect(sizesDownTo(smallest)).toEqual(sizes));
});

it('the designs on a spread are each there once; ink and what is unknown are none', () => {
  const [a, b] = [piece({ code: 'A' }), piece({ code: 'B' })];
  const c = context({ kit: { name: 'test', pieces: [a, b] } });
  const on = ['B', 'A', 'B', 'gone'].map((code, i) => placement({ id: `p${i}`, code, kit: 'test' }));
  expect(piecesOn(c, on).map((p) => p.code)).toEqual(['B', 'A']);
  expect(piecesOn(c, [placement({ kit: '', code: '' })])).toEqual([]);
});
