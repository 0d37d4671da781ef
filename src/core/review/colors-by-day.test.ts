import { context, demoSpread, kitOf, piece, placement } from '../../../tests/fixtures';
import { colorName } from '../color/color-name';
import { colorsByDay } from './balance';
import { viewOf } from './review';

it('tells each color once, with what it covers on each day', () => {
  const { context, placements } = demoSpread();
  const view = viewOf(context, placements);
  const colors = colorsByDay(view);
  const names = colors.map((c) => colorName(c.color));
  expect(new Set(names).size).toBe(names.length);
  const lying = placements.filter((p) => p.day !== null && p.layer === 0 && view.pieceOf(p));
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  expect(sum(colors.map((c) => c.area))).toBeCloseTo(sum(lying.map((p) => p.w * p.h)), 3);
  for (const c of colors) expect(c.areas).toHaveLength(7);
});

it('counts a color’s near-equals with it, day by day, and nothing that lies on others or on no day', () => {
  const kit = kitOf(
    piece({ code: 'red', color: '#9b2743' }),
    piece({ code: 'as red', color: '#9d2944' }),
    piece({ code: 'blue', color: '#2c4a86' }),
  );
  const laid = [
    placement({ code: 'red', w: 10, h: 4 }),
    placement({ id: 'b', code: 'as red', day: 2, x: 126.3, w: 10, h: 3 }),
    placement({ id: 'c', code: 'blue', day: 2, x: 126.3, y: 80, w: 10, h: 6 }),
    placement({ id: 'd', code: 'blue', day: 2, x: 126.3, y: 80, w: 2, h: 2, layer: 1 }),
    placement({ id: 'e', code: 'blue', day: null, x: 6, w: 10, h: 10 }),
  ];
  const colors = colorsByDay(viewOf(context({ kit }), laid));
  expect(colors.map(({ area, pieces, areas }) => ({ area, pieces, areas }))).toEqual([
    { area: 70, pieces: 2, areas: [40, 0, 30, 0, 0, 0, 0] },
    { area: 60, pieces: 1, areas: [0, 0, 60, 0, 0, 0, 0] },
  ]);
});
