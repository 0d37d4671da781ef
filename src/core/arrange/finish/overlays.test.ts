import { context, found, kitOf, piece, placement } from '../../../../tests/fixtures';
import { Draft } from '../../spread/draft';
import type { Placement } from '../../spread/placement';
import { overlays } from './overlays';

const box = (day: number, over: Partial<Placement> = {}) =>
  placement({ id: `p${day + 1}`, code: 'B', copy: day + 1, role: 'box', day, x: 46.1 + day * 40, h: 48.3, ...over });
const kit = kitOf(
  piece({ code: 'B', kind: 'full-box', height: 48.3, count: 8, foil: 'gold' }),
  piece({ code: 'G', kind: 'overlay', height: 48.3, count: 2, foil: 'gold', opacity: 0.4 }),
  piece({ code: 'S', kind: 'overlay', height: 12, count: 9, foil: 'silver', opacity: 0.4 }),
);
const laid = (c: ReturnType<typeof context>, boxes: readonly Placement[]) =>
  overlays(Draft.begin(c, boxes), c).placements.slice(boxes.length);

it('lays film over full boxes, in the kit’s own metal, as many as there are', () => {
  const c = context({ kit });
  const boxes = [0, 1, 2].map((day) => box(day, { page: 0 }));
  const over = laid(c, boxes);
  expect(over.map((p) => p.code)).toEqual(['G', 'G']);
  expect(over.every((p) => p.layer === 1 && p.role === 'finish' && p.h === 48.3)).toBe(true);
  for (const p of over) expect(boxes.find((b) => b.day === p.day)).toMatchObject({ x: p.x, y: p.y });
  expect(found('C6', c, [...boxes, ...over])).toEqual([]);
});

it('takes the day’s metal where two take turns, a lower one along the foot', () => {
  const c = context({ kit, options: { foils: ['gold', 'silver'] } });
  const over = laid(c, [box(0, { page: 0 }), box(1, { page: 0 })]);
  expect(over.map((p) => [p.day, p.code])).toEqual([
    [0, 'G'],
    [1, 'S'],
  ]);
  expect(over[1]!.y + over[1]!.h).toBeCloseTo(box(1).y + 48.3, 5);
});

it('leaves boxes alone that are written on, cut, turned or laid over, and weeks without pictures', () => {
  const c = context({ kit });
  const icon = placement({ id: 'p9', code: 'S', copy: 9, x: 50, y: 70, w: 10, h: 10, layer: 1 });
  expect(laid(c, [box(0, { text: 'sea' })])).toEqual([]);
  expect(laid(c, [box(0, { turn: 90 })])).toEqual([]);
  expect(laid(c, [box(0, { page: 0 }), icon])).toEqual([]);
  const plain = context({ kit, ways: { deco: 'none' } });
  expect(laid(plain, [box(0)])).toEqual([]);
});
