import { demoContext } from '../../../tests/fixtures';
import { review, viewOf } from '../review/review';
import { pieceIndex } from '../spread/placement';
import { restDays } from '../spread/rest-days';
import { pieceKey } from '../kit/kit';
import { arrange } from './arrange';

const SUNDAY = 6;
const { week } = demoContext();
const without = (...days: readonly number[]) => ({
  ...week,
  demands: week.demands.filter((d) => !days.some((day) => d.day <= day && d.lastDay >= day)),
});

it('a day or two without an item rest; of more the week is a light one, and none does', () => {
  expect([...restDays({ week: without(SUNDAY) })]).toEqual([SUNDAY]);
  expect([...restDays({ week: without(2, SUNDAY) })]).toEqual([2, SUNDAY]);
  expect([...restDays({ week: without(1, 2, SUNDAY) })]).toEqual([]);
  expect([...restDays({ week })]).toEqual([]);
});

it.each(['scattered', 'grounded', 'crowned', 'airy', 'three-rows'] as const)(
  'a free Sunday keeps its date and its box alone, and nobody minds it: %s',
  (manner) => {
    const context = demoContext({ week: without(SUNDAY), manner });
    const laid = arrange(context);
    const pieces = pieceIndex(context);
    const there = laid.filter((p) => p.day === SUNDAY);
    const kinds = new Set(there.map((p) => pieces.get(pieceKey(p))?.kind));
    expect(there.length).toBeGreaterThan(1);
    for (const kind of ['header', 'deco', 'checklist', 'third-box', 'quarter-box'] as const)
      expect(kinds).not.toContain(kind);
    const found = review(viewOf(context, laid)).filter((f) => ['W1', 'K3'].includes(f.rule));
    expect(found.filter((f) => JSON.stringify(f.about).includes('"days":[6]'))).toEqual([]);
  },
);
