import { arrange } from '../../src/core/arrange/arrange';
import { completeSpread } from '../../src/core/format/spread-file';
import { spreadSvg } from '../../src/core/format/spread-svg';
import { MANNERS } from '../../src/core/manner/registry';
import { bottom, right } from '../../src/core/measure/rect';
import { context, weekWith } from '../fixtures';
import { weekOfItems } from '../kit-corpus';
import { KIT_SORTS } from '../kit-sorts';
import { strangersBook } from './books';

const SORTS = Object.values(KIT_SORTS);
const CASES = Object.keys(MANNERS).flatMap((manner, m) =>
  [1, 8, 15, 22, 29].map((seed) => ({ manner, seed: seed + m })),
);

it.each(CASES)('whatever book the validator lets in is laid out whole: $manner, $seed', ({ manner, seed }) => {
  const table = SORTS[seed % SORTS.length]?.(seed);
  const book = strangersBook(seed);
  const c = context({ book, manner, seed, ...table, week: weekWith(...weekOfItems((seed * 7) % 50, seed)) });
  for (const r of c.book.regions) {
    expect([r.id, r.x, r.y, r.w, r.h].filter((n) => typeof n === 'number' && !Number.isFinite(n))).toEqual([]);
    expect(r.h).toBeGreaterThan(0);
  }
  const placements = arrange(c);
  for (const p of placements.filter((q) => q.turn === 0)) {
    const page = book.pages[p.page];
    expect(Math.max(-p.x, -p.y, right(p) - (page?.width ?? 0), bottom(p) - (page?.height ?? 0))).toBeLessThan(0.11);
  }
  const file = completeSpread(c, placements);
  expect(file.unplaced.map((u) => u.uid)).toEqual([]);
  expect(spreadSvg(c, placements, file.whiteOut)).not.toMatch(/NaN|Infinity/);
  expect(JSON.stringify([file.steps, file.findings])).not.toMatch(/NaN|Infinity|null mm/);
});
