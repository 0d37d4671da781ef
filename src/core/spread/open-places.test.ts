import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import { contains, intersect } from '../measure/rect';
import type { Demand } from '../week/demand';
import { isPlannedAhead } from './ahead';
import type { Context, Placement } from './placement';
import { besidePlaces, keepsPlace, openPlaces, placeHeight, sharing } from './open-places';

const hand = { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 };
const week = (...demands: Demand[]): Context =>
  context({
    kit: kitOf(piece({ count: 9 })),
    week: weekWith(...demands),
    options: { ahead: 'work' },
    ways: { marksPlaces: true },
  });
const shift = demand({ key: 'w', uid: 'w', title: 'early shift', start: 420 });
const laid = (over: Partial<Placement> = {}): Placement => placement({ items: ['w'], y: 60, ...over });

describe('what is planned ahead', () => {
  const by = (ahead: 'all' | 'work' | 'skeleton', title: string): boolean =>
    isPlannedAhead(demand({ title }), { options: { ...week().options, ahead } });
  it('is all, only work, or nothing but the skeleton', () => {
    expect((['all', 'work', 'skeleton'] as const).map((a) => by(a, 'early shift'))).toEqual([true, true, false]);
    expect((['all', 'work', 'skeleton'] as const).map((a) => by(a, 'swim'))).toEqual([true, false, false]);
  });
  it('keeps a place for the rest, but for bands, and where places are marked', () => {
    const c = week();
    expect(keepsPlace(demand({ title: 'swim' }), c)).toBe(true);
    expect(keepsPlace(demand({ title: 'camp', kind: 'band' }), c)).toBe(false);
    expect(keepsPlace(shift, c)).toBe(false);
    expect(keepsPlace(demand({ title: 'swim' }), { ...c, ways: { ...c.ways, marksPlaces: false } })).toBe(false);
  });
});

describe('a place', () => {
  it('is as high as its lines at the owner’s hand, and a flag at least', () => {
    expect(placeHeight([demand({ title: 'swim' })], 38.1, hand)).toBe(9);
    expect(placeHeight([demand({ title: 'one two three four' })], 38.1, hand)).toBe(2 * 4.5 + 2);
    expect(placeHeight([demand(), demand(), demand()], 38.1, hand)).toBe(3 * 4.5 + 2);
  });
  it('is shared by the rows of a list, and by nothing else', () => {
    const oats = demand({ key: 'a', list: 'to buy', title: 'oats' });
    const soap = demand({ key: 'b', list: 'to buy', title: 'soap' });
    const swim = demand({ key: 'c', title: 'swim', start: 420 });
    expect(sharing([soap, swim, oats]).map((g) => g.map((d) => d.key))).toEqual([['c'], ['a', 'b']]);
    expect(sharing([])).toEqual([]);
  });
});

describe('the open places of a spread', () => {
  const swim = demand({ key: 's', uid: 's', title: 'swim', start: 9 * 60 });
  const film = demand({ key: 'f', uid: 'f', title: 'film', start: 20 * 60 });
  it('are none on a bare page, nor where all is planned', () => {
    expect(openPlaces(week(shift, swim), [])).toEqual([]);
    expect(openPlaces(week(shift), [laid()])).toEqual([]);
  });
  it('stand between what is earlier and what is later', () => {
    const late = demand({ key: 'l', uid: 'l', title: 'late shift', start: 15 * 60 });
    const c = week(shift, swim, late, film);
    const there = [laid(), laid({ id: 'p2', copy: 2, items: ['l'], y: 120 })];
    const places = openPlaces(c, there);
    expect(places.map((p) => p.demands[0]?.key)).toEqual(['s', 'f']);
    const [first, second] = places;
    expect(first && first.y >= 72 && first.y + first.h <= 120).toBe(true);
    expect(second && second.y >= 132).toBe(true);
  });
  it('lie in their column, on nothing and not on each other', () => {
    const many = Array.from({ length: 8 }, (_, i) => demand({ key: `d${i}`, uid: `d${i}`, title: `read ${i}` }));
    const c = week(shift, ...many);
    const there = [laid()];
    const places = openPlaces(c, there);
    const column = dayColumn(c.book, 0);
    if (!column) throw new Error('no column');
    expect(places.length).toBeGreaterThan(3);
    for (const p of places) {
      expect(contains(column, p)).toBe(true);
      for (const q of there) expect(intersect(p, q)).toBeNull();
      for (const q of places) if (p !== q) expect(intersect(p, q)).toBeNull();
    }
  });
  it('that find no room are none', () => {
    const full = [laid({ y: 31, h: 171.4 })];
    expect(openPlaces(week(shift, swim), full)).toEqual([]);
  });
  it('are taken by what is laid for them', () =>
    expect(openPlaces(week(shift, swim), [laid(), laid({ id: 'p2', copy: 2, items: ['s'], y: 90 })])).toEqual([]));
});

describe('free stretches beside places', () => {
  const place = { page: 0, day: 0, demands: [], x: 0, y: 50, w: 38, h: 10 };
  it('are what is left over and under them, a gap away', () =>
    expect(besidePlaces([{ from: 30, to: 100 }], [place], 2)).toEqual([
      { from: 30, to: 48 },
      { from: 62, to: 100 },
    ]));
  it('stay whole where no place is', () =>
    expect(besidePlaces([{ from: 70, to: 100 }], [place], 2)).toEqual([{ from: 70, to: 100 }]));
  it('that are slivers are dropped', () =>
    expect(besidePlaces([{ from: 46, to: 100 }], [place], 2)).toEqual([{ from: 62, to: 100 }]));
});
