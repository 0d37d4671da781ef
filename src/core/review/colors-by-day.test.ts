import { demoSpread } from '../../../tests/fixtures';
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
