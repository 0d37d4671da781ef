import fc from 'fast-check';
import { demand, demoKit, kitOf, piece, weekWith } from '../../../tests/fixtures';
import { boldness } from '../color/boldness';
import { difference } from '../color/color';
import { readOrders, writeOrders } from '../format/orders-csv';
import { readKit, writeKit } from '../format/kit-csv';
import { orderBy } from './order';
import { KIND_NAMES } from './kinds';
import type { Piece } from './kit';
import { palette } from './kit';
import { searchOf } from './search';
import type { StockEvent, Use } from './stock';
import { goneBy, stockOfKit, sumsOf } from './stock';
import type { Wanted } from './substitutes';
import { lookOf, saySubstitute, substitutesFor } from './substitutes';
import { NO_FACTS, pairsThatGo, seasonOf, suggestKits } from './suggest';
import { typicalKit } from './typical';

const kit = kitOf(
  piece({ code: 'L', kind: 'checklist', count: 3, height: 48, rows: 6 }),
  piece({ code: 'W', kind: 'washi', count: 2, width: 120, height: 8 }),
  piece({ code: 'Q', count: 4 }),
);
const use = (code: string, copy: number, cut: Use['cut'] = null): Use => ({
  kit: 'test',
  code,
  copy,
  cut,
  where: '2027-W06',
});
const event = (what: StockEvent['what'], code: string, copy: number, cut: StockEvent['cut'] = null): StockEvent => ({
  what,
  kit: 'test',
  code,
  copy,
  reason: 'torn',
  cut,
});

describe('stock', () => {
  it('tells whole, cut, used and spoiled copies, with what is left and where the rest went', () => {
    const stock = stockOfKit(
      kit,
      [use('L', 1, { x: 0, y: 0, w: 38.1, h: 32 }), use('L', 2), use('W', 1, { x: 0, y: 0, w: 110, h: 8 })],
      [event('spoiled', 'Q', 1), event('found', 'Q', 5)],
    );
    expect(stock.map((s) => s.copies.map((c) => c.state))).toEqual([
      ['cut', 'used', 'whole'],
      ['used', 'whole'],
      ['spoiled', 'whole', 'whole', 'whole', 'whole'],
    ]);
    expect(stock[0]!.copies[0]).toMatchObject({ where: ['2027-W06'], left: [{ y: 32, h: 16, rows: 2 }] });
    expect(stock[2]!.copies[0]!.where).toEqual(['torn']);
    expect(goneBy([event('spoiled', 'Q', 1), event('found', 'Q', 5)])).toEqual([
      { kit: 'test', code: 'Q', copy: 1, cut: null },
    ]);
  });

  it('always adds up: every copy is in one state, whatever happened to it', () => {
    const anyUse = fc
      .record({
        code: fc.constantFrom('L', 'W', 'Q'),
        copy: fc.integer({ min: 1, max: 4 }),
        w: fc.integer({ min: 1, max: 120 }),
        h: fc.integer({ min: 1, max: 48 }),
      })
      .map(({ code, copy, w, h }) => use(code, copy, { x: 0, y: 0, w, h }));
    const anyEvent = fc
      .record({
        what: fc.constantFrom<StockEvent['what'][]>('spoiled', 'used', 'found'),
        code: fc.constantFrom('L', 'W', 'Q'),
        copy: fc.integer({ min: 1, max: 6 }),
      })
      .map((e) => event(e.what, e.code, e.copy));
    fc.assert(
      fc.property(fc.array(anyUse), fc.array(anyEvent), (uses, events) => {
        const sums = sumsOf(stockOfKit(kit, uses, events));
        expect(sums.whole + sums.cut + sums.used + sums.spoiled).toBe(
          9 + events.filter((e) => e.what === 'found').length,
        );
      }),
      { numRuns: 200 },
    );
  });
});

describe('substitutes', () => {
  /**
   * The ranking anew, by the handbook's words: nearest in color (C1), not bolder (C5), fitting, saying nothing else.
   */
  function byHand(wanted: Wanted, pieces: readonly ReturnType<typeof piece>[]): string[] {
    const own = demoKit('rockpool');
    const boldest = own.pieces.reduce((most, p) => Math.max(most, boldness(p.color)), 0);
    const cost = (p: ReturnType<typeof piece>): number => {
      let away = Infinity;
      for (const c of palette(own, 12)) away = Math.min(away, difference(p.color, c));
      let sum = away + 60 * Math.max(0, boldness(p.color) - boldest);
      for (const [has, wants] of [
        [p.width, wanted.width],
        [p.height, wanted.height],
      ] as const)
        sum += has > wants ? 1.5 * (has - wants) : 4 * (wants - has);
      if (p.words && p.words.toLowerCase() !== wanted.words.toLowerCase()) sum += 14;
      if (p.finish !== wanted.finish) sum += 5;
      return sum;
    };
    return pieces
      .filter((p) => p.kind === wanted.kind && p.count > 0)
      .map((p) => ({ code: p.code, cost: cost(p) }))
      .sort((a, b) => a.cost - b.cost || (a.code < b.code ? -1 : 1))
      .map((p) => p.code);
  }
  const color = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
  const some = fc.array(
    fc.record({
      color,
      width: fc.integer({ min: 20, max: 60 }),
      height: fc.integer({ min: 4, max: 20 }),
      words: fc.constantFrom('', 'to do', 'today'),
      finish: fc.constantFrom('matte-removable' as const, 'glossy' as const),
      count: fc.integer({ min: 0, max: 3 }),
      kind: fc.constantFrom('header' as const, 'label' as const),
    }),
    { maxLength: 12 },
  );

  it('come in the order of a brute-force ranking', () => {
    const look = lookOf(demoKit('rockpool'));
    const wanted: Wanted = { kind: 'header', width: 38.1, height: 6.4, words: 'to do', finish: 'matte-removable' };
    fc.assert(
      fc.property(some, (list) => {
        const pieces = list.map((p, i) => piece({ ...p, code: `P${String(i).padStart(2, '0')}` }));
        expect(substitutesFor(wanted, look, pieces).map((s) => s.piece.code)).toEqual(byHand(wanted, pieces));
        expect(substitutesFor(wanted, look, pieces, new Set(), 3).map((s) => s.piece.code)).toEqual(
          byHand(wanted, pieces).slice(0, 3),
        );
      }),
      { numRuns: 150 },
    );
  });

  it('say what speaks against them', () => {
    const look = lookOf(demoKit('rockpool'));
    const wanted: Wanted = { kind: 'header', width: 38.1, height: 6.4, words: '', finish: 'matte-removable' };
    const [first, second] = substitutesFor(wanted, look, [
      piece({ code: 'A', kind: 'header', color: '#00ff00', width: 40, height: 6.4, words: 'today', finish: 'glossy' }),
      piece({ code: 'B', kind: 'header', color: '#1f6f78', height: 6.4 }),
    ]);
    expect(first).toMatchObject({ piece: { code: 'B' }, trim: 0 });
    expect(saySubstitute(first!, 'mm')).toMatch(/kit’s colors/);
    expect(saySubstitute(second!, 'mm')).toBe('looks foreign to the kit, trim 1.9 mm, says “today”, glossy');
    expect(saySubstitute(second!, 'in')).toBe('looks foreign to the kit, trim 1/16 in, says “today”, glossy');
  });
});

it.each([
  ['coral header', 'HD-2'],
  ['laundry', 'LT-1'],
  ['checklist', 'CL-1'],
  ['38.1x48.3 lighthouse', 'FB-1'],
  ['#1f6f78 header today', 'HD-1'],
])('finds %s', (query, code) =>
  expect(
    demoKit('rockpool')
      .pieces.filter(searchOf(query))
      .map((p) => p.code),
  ).toContain(code),
);

it('finds nothing where one of the words is nowhere', () =>
  expect(demoKit('rockpool').pieces.filter(searchOf('header zeppelin'))).toEqual([]));

describe('a kit for a week', () => {
  const offer = (name: string, facts = {}, left = 1) => ({
    kit: { ...demoKit('rockpool'), name },
    facts: { ...NO_FACTS, ...facts },
    left,
  });
  const week = weekWith(demand({ title: 'choir rehearsal', categories: ['choir'] }));
  const names = (...offers: ReturnType<typeof offer>[]) => suggestKits(week, offers).map((s) => s.kit);

  it('is first the one kept for it, then what must be used soon, fits the season or the words', () => {
    expect(
      names(
        offer('plain'),
        offer('winter', { season: 'winter' }),
        offer('choir', { moods: 'choir, sea' }),
        offer('soon', { useBy: '2027-02-20' }),
        offer('kept', { keptFor: '2027-W06' }),
      ),
    ).toEqual(['kept', 'soon', 'choir', 'winter', 'plain']);
  });
  it('is never one kept for another week, used up, or past its day', () => {
    expect(
      names(offer('kept', { keptFor: '2027-W51' }), offer('gone', {}, 0.05), offer('late', { useBy: '2027-01-31' })),
    ).toEqual([]);
  });
  it('is rather a whole one than a half-used one that fits better', () =>
    expect(names(offer('half', { season: 'winter', moods: 'choir' }, 0.4), offer('whole'))).toEqual(['whole', 'half']));
  it('is a kit that was not on the pages of the last weeks, rather than one that was', () => {
    const seen = (name: string, weeksAgo: number | null) => ({ ...offer(name), weeksAgo });
    expect(names(seen('last', 1), seen('before', 2), seen('third', 3), seen('old', 4), seen('new', null))).toEqual([
      'new',
      'old',
      'third',
      'before',
      'last',
    ]);
    const [last] = suggestKits(week, [seen('last', 1)]);
    expect(last!.why).toContain('on last week’s pages');
  });
  it('knows the seasons', () =>
    expect(['2027-01-15', '2027-03-01', '2027-06-30', '2027-11-30', '2027-12-01'].map(seasonOf)).toEqual([
      'winter',
      'spring',
      'summer',
      'autumn',
      'winter',
    ]));
  it('finds two begun kits that go together', () => {
    const night = { kit: demoKit('night-almanac'), facts: NO_FACTS, left: 0.4 };
    expect(
      pairsThatGo([offer('a', {}, 0.5), offer('b', {}, 0.3), night, offer('whole')]).map((p) => [p.one, p.other]),
    ).toEqual([['a', 'b']]);
  });
});

describe('orders', () => {
  const order = {
    what: '=cmd()',
    count: 2,
    shop: 'the print loft',
    days: 6,
    neededBy: '2027-02-15',
    state: 'to order' as const,
  };
  it('are placed in time for the shop, with a day to spare', () => expect(orderBy(order)).toBe('2027-02-08'));
  it('are written and read back, and never as a formula', () => {
    expect(writeOrders([order])).toContain(`'=cmd()`);
    expect(readOrders(writeOrders([order, { ...order, what: 'headers, plain', state: 'ordered' }]), 'o.csv')).toEqual([
      order,
      { ...order, what: 'headers, plain', state: 'ordered' },
    ]);
  });
  it('are refused by line and column', () => {
    expect(() => readOrders('what,count,shop,days,needed_by\nheaders,two,x,3,2027-02-30x\n', 'o.csv')).toThrow(
      /line 2, count: found "two"[\s\S]*line 2, needed_by/,
    );
    expect(() => readOrders('what,count\n', 'o.csv')).toThrow('a column named shop');
  });
});

it.each(['mini', 'full'] as const)('a usual %s kit is one that can be read, with codes of its own', (size) => {
  const typical = typicalKit('mine', size);
  expect(readKit(writeKit(typical), 'mine.kit.csv', 'mine')).toEqual(typical);
  expect(typical.pieces.filter((p) => p.kind === 'full-box').reduce((n, p) => n + p.count, 0)).toBe(8);
});

describe('a usual kit in its five colors', () => {
  const five = ['#2f6f73', '#e8a87c', '#f4e3c1', '#c38d9e', '#41506b'];
  const kit = typicalKit('mine', 'full', five);
  const copies = (of: { pieces: readonly Piece[] }, kind: string) =>
    of.pieces.filter((p) => p.kind === kind).reduce((n, p) => n + p.count, 0);
  it('has as many stickers of each kind as a plain one', () => {
    const plain = typicalKit('mine', 'full');
    for (const kind of KIND_NAMES) expect([kind, copies(kit, kind)]).toEqual([kind, copies(plain, kind)]);
    expect(new Set(kit.pieces.map((p) => p.code)).size).toBe(kit.pieces.length);
  });
  it('has boxes and headers in each color, as evenly as they go', () => {
    for (const kind of ['full-box', 'quarter-box', 'label']) {
      const of = kit.pieces.filter((p) => p.kind === kind);
      expect(new Set(of.map((p) => p.color))).toEqual(new Set(five));
      expect(Math.max(...of.map((p) => p.count)) - Math.min(...of.map((p) => p.count))).toBeLessThanOrEqual(1);
    }
    // one sheet of covers is one design
    expect(kit.pieces.filter((p) => p.kind === 'date-cover')).toHaveLength(1);
  });
  it('is never gray, and no sticker has one color twice', () => {
    for (const p of kit.pieces) {
      expect(five).toContain(p.color);
      expect(five).toContain(p.accent);
      expect(p.accent).not.toBe(p.color);
    }
  });
});
