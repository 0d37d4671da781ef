import { kitOf, piece } from '../../../tests/fixtures';
import type { Source } from './gather';
import { apartFromTheme, gather, suiting } from './gather';
import type { Piece } from './kit';

const RED = '#c8452f';
const NAVY = '#23305a';
const theme = (foil: string | null = null) => ({ colors: [RED, NAVY], foil });
const of = (code: string, color: string, over: Partial<Piece> = {}) =>
  piece({ kind: 'full-box', code, color, accent: color, ...over });
const source = (pieces: readonly Piece[], over: Partial<Source> = {}): Source => ({
  kit: kitOf(...pieces),
  left: (p) => ({ whole: p.count, cut: 0 }),
  inSeason: null,
  ...over,
});
const codes = (sources: readonly Source[], foil: string | null = null, meanings: readonly string[] = []) =>
  suiting(theme(foil), sources, new Set(meanings)).map((s) => s.piece.code);

it('a color goes with its tints and shades, paper with all, and another color with neither', () => {
  const apart = apartFromTheme(theme());
  const cost = (color: string, accent = color) => apart(of('x', color, { accent })).apart;
  expect(cost(RED)).toBe(0);
  expect(apart(of('x', NAVY)).color).toBe(1);
  for (const near of ['#e9b3a9', '#f4dad5', '#822d1f', '#a7acbd']) expect([near, cost(near) < 8]).toEqual([near, true]);
  for (const far of ['#3f9a4a', '#f0d020']) expect([far, cost(far) > 13]).toEqual([far, true]);
  // on paper it is the print that counts; paper alone stands behind what is in the colors
  expect(cost('#fdfcfa', RED)).toBe(0);
  expect(cost('#fdfcfa', '#3f9a4a')).toBeGreaterThan(13);
  expect(cost('#fdfcfa')).toBe(5);
  expect(cost(RED, '#fdfcfa')).toBe(0);
  // a second color counts less than the first
  expect(cost(RED, '#3f9a4a')).toBeLessThan(cost('#3f9a4a', RED));
});

it('what is used up, of another foil, or of other colors is not gathered', () => {
  const pieces = [
    of('RED', RED),
    of('GREEN', '#3f9a4a'),
    of('GONE', RED, { count: 0 }),
    of('GOLD', RED, { foil: 'gold' }),
    of('SILVER', RED, { foil: 'silver' }),
  ];
  expect(codes([source(pieces)])).toEqual(['GOLD', 'RED', 'SILVER']);
  expect(codes([source(pieces)], 'gold')).toEqual(['GOLD', 'RED']);
  expect(codes([source(pieces)], 'none')).toEqual(['RED']);
});

it('whole ones come before cut ones, the last of several is spared, the season and what items mean count', () => {
  const cut = of('CUT', RED);
  const last = of('LAST', RED, { count: 4 });
  const left: Source['left'] = (p) => (p === cut ? { whole: 0, cut: 1 } : { whole: p === last ? 1 : p.count, cut: 0 });
  expect(codes([source([cut, last, of('WHOLE', RED), of('ONE', RED)], { left })])).toEqual([
    'ONE',
    'WHOLE',
    'LAST',
    'CUT',
  ]);
  const each = (inSeason: boolean | null, code: string) => source([of(code, RED)], { inSeason });
  expect(codes([each(false, 'A'), each(null, 'B'), each(true, 'C')])).toEqual(['C', 'B', 'A']);
  const icons = [of('PLAIN', RED, { kind: 'icon' }), of('VET', '#d9a39a', { kind: 'icon', icon: 'vet' })];
  expect(codes([source(icons)])).toEqual(['PLAIN', 'VET']);
  expect(codes([source(icons)], null, ['vet'])).toEqual(['VET', 'PLAIN']);
});

it('pictures of what the nearest show most come first', () => {
  const fish = (n: number) => of(`FISH-${n}`, RED, { motif: 'fish' });
  const far = of('FISH-9', '#cd4f3a', { motif: 'fish' });
  expect(codes([source([of('BOAT', '#ca4934', { motif: 'boat' }), far, fish(1), fish(2)])])).toEqual([
    'FISH-1',
    'FISH-2',
    'FISH-9',
    'BOAT',
  ]);
});

it('of each kind as many as a full kit has, each color in its turn', () => {
  const boxes = Array.from({ length: 12 }, (_, i) => of(`R${i}`, RED)).concat(
    Array.from({ length: 4 }, (_, i) => of(`N${i}`, '#2a3763')),
  );
  const near = suiting(theme(), [source([...boxes, of('BN', RED, { kind: 'banner', count: 3 })])], new Set());
  const taken = gather(near, (p) => p.count);
  expect(taken.filter((p) => p.kind === 'full-box')).toHaveLength(8);
  expect(taken.filter((p) => p.code.startsWith('N')).length).toBeGreaterThanOrEqual(3);
  expect(taken.filter((p) => p.kind === 'banner')).toHaveLength(1);
  expect(gather([], () => 1)).toEqual([]);
});
