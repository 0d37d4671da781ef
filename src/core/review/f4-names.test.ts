import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { INK } from '../spread/placement';

const list = piece({ code: 'C', kind: 'checklist', height: 48, rows: 6 });
const c = context({
  kit: kitOf(piece({ count: 5 }), list),
  week: weekWith(
    ...['a', 'b', 'c'].map((uid) => demand({ uid, key: uid, title: uid, list: uid === 'b' ? 'to buy' : null })),
  ),
});
const at = (id: string, uid: string, y: number) =>
  placement({ id, copy: Number(id.slice(1)), y, items: [uid], text: uid });
/** A list of one row under the name that is written over it. */
const named = (y: number) => [
  { ...placement({ ...INK, id: 'n', y, h: 4.5, text: 'to buy', items: [] }), ...INK, role: 'day' as const, day: 0 },
  placement({ id: 'l', code: 'C', y: y + 5.1, h: 8, cut: { x: 0, y: 0, w: 38.1, h: 8 }, items: ['b'], text: 'b' }),
];

it('F4 measures the gap to a list from the name over it', () => {
  // 2 mm to the name, 2 mm below the row
  expect(found('F4', c, [at('p1', 'a', 60), ...named(74), at('p3', 'c', 89.1)])).toEqual([]);
});

it('F4 still sees a gap that is wider on one side', () => {
  expect(found('F4', c, [at('p1', 'a', 60), ...named(74), at('p3', 'c', 93.1)])).toMatchObject([
    { about: { is: 'uneven' } },
  ]);
});
