import { demoSpread, context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import { apply } from '../edit/change';
import { intersect } from '../measure/rect';
import { review, viewOf } from '../review/review';
import { footprint, matchDemands } from '../spread/placement';
import { closeUp, makeRoom } from './make-room';
import { dressThere, offersFor } from './offers';

const { context: c, placements } = demoSpread();
const item = c.week.demands.find((d) => d.title.startsWith('vet'))!;
const { key } = item;
const carrier = placements.find((p) => p.items.includes(item.uid))!;
const without = placements.filter(
  (p) => p.id !== carrier.id && !(p.layer > 0 && intersect(footprint(p), footprint(carrier))),
);

describe('an item without a place', () => {
  const offers = offersFor(c, without, key);
  it('is offered places and pieces, its own day first', () => {
    const own = c.week.demands.find((d) => d.key === key)!.day;
    expect(offers.length).toBeGreaterThan(1);
    expect(offers[0]!.day).toBe(own);
    const near = offers.map((o) => Math.abs((o.day ?? 0) - own));
    expect(near).toEqual([...near].sort((a, b) => a - b));
  });
  it.each(offers.map((o, i) => [i, o] as const))(
    'is placed by offer %i, and nothing new stops the week',
    (_, offer) => {
      const after = apply(without, offer.change);
      expect(matchDemands(after, c.week.demands).has(key)).toBe(true);
      const stops = (list: typeof placements) =>
        review(viewOf(c, list)).filter((f) => f.severity === 'stop' && f.rule[0] === 'F').length;
      expect(stops(after)).toBeLessThanOrEqual(stops(without));
    },
  );
  it('is dressed on the day that it is dragged to, and its own day in the agenda stays', () => {
    const way = dressThere(c, [], item.key, (item.day + 2) % 7)!;
    expect(way.change.after.some((p) => p.items.includes(item.uid) && p.day === (item.day + 2) % 7)).toBe(true);
    expect(dressThere(c, apply([], way.change), item.key, 1)).toBeNull();
  });
});

describe('in a column', () => {
  const label = piece({ code: 'L', kind: 'label', height: 12, count: 9 });
  const early = demand({ uid: 'early', title: 'ferry', day: 1, start: 480 });
  const late = demand({ uid: 'late', title: 'choir', day: 1, start: 1140 });
  const small = context({ kit: kitOf(label), week: weekWith(early, late) });
  const column = dayColumn(small.book, 1)!;
  const put = (id: string, y: number, items: readonly string[] = []) =>
    placement({
      id,
      kit: 'test',
      code: 'L',
      page: column.page,
      x: column.x,
      y,
      w: 38.1,
      h: 12,
      day: 1,
      role: 'day',
      items,
    });
  it('others make room for what was put between them, as few as can be', () => {
    const laid = [put('p1', 60), put('p2', 80), put('p3', 120)];
    const dropped = [...laid, put('p4', 74)];
    const made = makeRoom(small, dropped, 'p4')!;
    const after = apply(dropped, made.change);
    expect(made.moved).toBe(1);
    expect(after.find((p) => p.id === 'p4')!.y).toBe(74);
    for (const a of after) for (const b of after) if (a !== b) expect(intersect(footprint(a), footprint(b))).toBeNull();
    expect(makeRoom(small, laid, 'p2')).toBeNull();
  });
  it('a day closes up in the order of time, from its top on', () => {
    const laid = [put('p1', 60, ['late']), put('p2', 120, ['early'])];
    const after = apply(laid, closeUp(small, laid, 1)!.change);
    const [first, second] = [after.find((p) => p.id === 'p2')!, after.find((p) => p.id === 'p1')!];
    expect(first.y).toBeCloseTo(column.y);
    expect(second.y).toBeCloseTo(column.y + 12 + small.options.gap);
    expect(closeUp(small, after, 1)).toBeNull();
  });
  it('nothing passes what is stuck down when a day closes up', () => {
    const held = { ...put('p2', 90), locked: true };
    const laid = [put('p1', 62, ['late']), held, put('p3', 140, ['early'])];
    const after = apply(laid, closeUp(small, laid, 1)!.change);
    const y = (id: string) => after.find((p) => p.id === id)!.y;
    expect([y('p1'), y('p2')]).toEqual([expect.closeTo(column.y), 90]);
    expect(y('p3')).toBeCloseTo(102 + small.options.gap);
  });
});
