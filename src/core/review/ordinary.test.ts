import { demoSpread } from '../../../tests/fixtures';
import { isOrdinary } from './ordinary';
import { review, viewOf } from './review';

it('parts the steps of every week from what is amiss', () => {
  const { context, placements } = demoSpread();
  const found = review(viewOf(context, placements));
  expect(new Set(found.filter(isOrdinary).map((f) => f.rule))).toEqual(new Set(['B1', 'P3']));
  expect(isOrdinary({ rule: 'B1', severity: 'stop' })).toBe(false);
  expect(isOrdinary({ rule: 'D5', severity: 'look' })).toBe(false);
});
