import { demoKit, kitOf, piece } from '../../../tests/fixtures';
import { randomFrom } from '../measure/random';
import { area, intersect } from '../measure/rect';
import { leftOver } from './left-over';
import { offcutsOf, worthKeeping } from './offcut';
import type { OrderLine } from './order';
import { byUrgency, orderBy } from './order';
import { sheetsOf } from './sheet-layout';

describe('sheets as they lie on the table', () => {
  it.each(['rockpool', 'night-almanac', 'tideline-album', 'stash'])(
    'of %s: every copy once, none on another',
    (name) => {
      const kit = demoKit(name);
      for (const sheet of sheetsOf(kit)) {
        for (const [i, one] of sheet.lying.entries()) {
          expect(one.x + one.w).toBeLessThanOrEqual(sheet.width);
          expect(one.y + one.h).toBeLessThanOrEqual(sheet.height);
          for (const other of sheet.lying.slice(i + 1)) {
            const shared = intersect(one, other);
            expect(shared === null || area(shared) < 1e-6).toBe(true);
          }
        }
      }
      const lying = sheetsOf(kit).flatMap((s) => s.lying.map((l) => `${l.piece.code} ${l.copy}`));
      expect(new Set(lying).size).toBe(lying.length);
    },
  );
  it('are widened by what is wider, in the order of their numbers, and a roll lies on none', () => {
    const kit = kitOf(
      piece({ code: 'A', sheet: 2, width: 300, height: 10, count: 1 }),
      piece({ code: 'B', sheet: 1, count: 2 }),
      piece({ code: 'R', sheet: 3, kind: 'washi', width: 5000, height: 15, count: 1 }),
    );
    expect(sheetsOf(kit).map((s) => [s.number, s.lying.length])).toEqual([
      [1, 2],
      [2, 1],
    ]);
    expect(sheetsOf(kit)[1]!.width).toBeGreaterThanOrEqual(308);
    expect(sheetsOf(kitOf())).toEqual([]);
  });
});

describe('what is left after the knife', () => {
  const list = piece({ kind: 'checklist', rows: 6, width: 38, height: 48 });
  it('of a list has its whole rows', () => {
    expect(offcutsOf(list, [{ x: 0, y: 0, w: 38, h: 32 }])).toEqual([{ x: 0, y: 32, w: 38, h: 16, rows: 2 }]);
    expect(offcutsOf(list, [{ x: 0, y: 0, w: 38, h: 44 }])).toEqual([{ x: 0, y: 44, w: 38, h: 4 }]);
  });
  it('without its left edge it has none: the shapes are there', () => {
    expect(offcutsOf(list, [{ x: 0, y: 0, w: 6, h: 48 }])).toEqual([{ x: 6, y: 0, w: 32, h: 48 }]);
  });
  it('of all of it is nothing, and of none of it all', () => {
    expect(offcutsOf(list, [{ x: 0, y: 0, w: 38, h: 48 }])).toEqual([]);
    expect(offcutsOf(list, [])).toEqual([{ x: 0, y: 0, w: 38, h: 48, rows: 6 }]);
  });
  it('and what was used are together the whole, whatever is cut (seed 3)', () => {
    const random = randomFrom(3);
    const plain = piece({ kind: 'full-box', rows: 0, width: 40, height: 50 });
    for (let n = 0; n < 200; n++) {
      const upTo = (most: number) => Math.round(random() * most);
      const used = { x: upTo(20), y: upTo(25), w: 1 + upTo(19), h: 1 + upTo(24) };
      const left = offcutsOf(plain, [used]);
      expect(left.reduce((sum, r) => sum + area(r), area(used))).toBeCloseTo(2000, 6);
      for (const r of left) expect(intersect(r, used)).toBeNull();
    }
  });
  it.each([
    [{ x: 0, y: 0, w: 5, h: 5, rows: 1 }, true],
    [{ x: 0, y: 0, w: 20, h: 4 }, true],
    [{ x: 0, y: 0, w: 19.9, h: 40 }, false],
    [{ x: 0, y: 0, w: 80, h: 3.9 }, false],
    [{ x: 0, y: 0, w: 5, h: 5, rows: 0 }, false],
  ])('%j is worth keeping: %j', (offcut, worth) => expect(worthKeeping(offcut)).toBe(worth));
});

describe('a strip that is measured anew', () => {
  const strip = piece({ kind: 'washi', code: 'W', width: 120, height: 8 });
  const gone = (w: number) => [{ copy: 1, cut: { x: 0, y: 0, w, h: 8 } }];
  it('has lost what lies between what was used and what is left', () => {
    expect(leftOver(strip, 1, gone(40), 50)).toMatchObject({
      what: 'used',
      copy: 1,
      cut: { x: 40, y: 0, w: 30, h: 8 },
    });
    expect(leftOver(strip, 1, [], 100)).toMatchObject({ cut: { x: 0, w: 20 } });
  });
  it('has lost nothing where as much is left, or more', () => {
    expect([leftOver(strip, 1, gone(40), 80), leftOver(strip, 1, gone(40), 90)]).toEqual([null, null]);
  });
  it('of another copy is another', () =>
    expect(leftOver(strip, 2, gone(40), 80)).toMatchObject({ copy: 2, cut: { x: 0, w: 40 } }));
});

describe('what is to be ordered', () => {
  const line = (over: Partial<OrderLine> = {}): OrderLine => ({
    what: 'headers', count: 7, shop: 'the print loft', days: 5, neededBy: '2027-03-01', state: 'to order', ...over,
  }); // prettier-ignore
  it('is ordered so early that it is there, with a day to spare, over a month’s end', () => {
    expect([orderBy(line()), orderBy(line({ days: 0 }))]).toEqual(['2027-02-23', '2027-02-28']);
  });
  it('stands with the most pressing first, what is here last', () => {
    const lines = [
      line({ what: 'here', state: 'here', neededBy: '2027-01-01' }),
      line({ what: 'late', neededBy: '2027-03-09' }),
      line({ what: 'under way', state: 'ordered' }),
      line({ what: 'far shop', days: 30 }),
      line({ what: 'a tie' }),
      line({ what: 'b tie' }),
    ];
    expect([...lines].sort(byUrgency).map((l) => l.what)).toEqual([
      'far shop', 'a tie', 'b tie', 'late', 'under way', 'here',
    ]); // prettier-ignore
  });
});
