import { arrange } from '../../src/core/arrange/arrange';
import { benchOf } from '../../src/core/bench/bench';
import { measuresOf } from '../../src/core/bench/measures';
import { completeSpread } from '../../src/core/format/spread-file';
import { spreadSvg } from '../../src/core/format/spread-svg';
import { MANNERS } from '../../src/core/manner/registry';
import { bottom, right } from '../../src/core/measure/rect';
import { letIn } from '../../src/core/repair/let-in';
import { isPenDate } from '../../src/core/spread/dates-of';
import type { Placement } from '../../src/core/spread/placement';
import { shippedLetters } from '../../src/server/fonts';
import { context, weekWith } from '../fixtures';
import { weekOfItems } from '../kit-corpus';
import { KIT_SORTS } from '../kit-sorts';
import { strangersBook } from './books';
import { faultsOf, offPlace, takenOff } from './check';
import { strangersWeek } from './weeks';

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

const WEEKS = [3, 9, 16, 27, 30, 56, 64, 84, 101, 130];

describe.each(WEEKS)('a stranger’s week, %i', (seed) => {
  const c = strangersWeek(seed);
  const placements = arrange(c);

  it('is drawn, written and said as it is planned, and stands in its order', () =>
    expect(faultsOf(c, placements, benchOf(c, placements), shippedLetters())).toEqual([]));

  it('takes each of its items back in, once it was taken off (D4)', () => {
    for (const { without, key, title } of takenOff(c, placements))
      expect([title, letIn(c, without, key) !== null]).toEqual([title, true]);
  });
});

describe('the check itself', () => {
  const c = strangersWeek(9);
  const placements = arrange(c);
  const faults = (laid: readonly Placement[], of = benchOf(c, laid)) =>
    new Set(faultsOf(c, laid, of, shippedLetters()).map((f) => f.is));

  it('sees what was not drawn, not done, of no font, out of order', () => {
    const bench = benchOf(c, placements);
    const ink = placements.find((p) => p.kit === '' && p.items.length === 1) as Placement;
    const but = (over: Partial<Placement>) => placements.map((p) => (p === ink ? { ...p, ...over } : p));
    expect(faults(but({ text: 'नम dentist' }), bench)).toEqual(new Set(['no letter']));
    expect(faults(but({ id: 'p999' }), bench)).toContain('no step');
    expect(faults(but({ kit: 'gone' }), bench)).toContain('not drawn');
    const [early, late] = c.week.demands.flatMap((d) =>
      d.day === 4 && d.start !== null ? placements.filter((p) => p.items.includes(d.uid)) : [],
    ) as [Placement, Placement];
    const swapped = placements.map((p) =>
      p === early ? { ...p, items: late.items } : p === late ? { ...p, items: early.items } : p,
    );
    expect(faults(swapped)).toContain('order');
  });

  it('sees marks that are half covered, and days without a date', () => {
    const [covered, undated] = [strangersWeek(7), strangersWeek(15)];
    const laid = arrange(covered);
    const bench = benchOf(covered, laid);
    const bare = faultsOf(covered, laid, { ...bench, whiteOut: [] }, shippedLetters());
    expect(bare.map((f) => f.is)).toContain('half bare');
    const plain = arrange(undated).filter((p) => !isPenDate(p));
    const dateless = faultsOf(undated, plain, benchOf(undated, plain), shippedLetters());
    expect(dateless.map((f) => f.is)).toContain('no date');
  });

  it('sees what would come to lie elsewhere than planned', () => {
    const bench = benchOf(c, placements);
    const last = bench.steps.filter((s) => s.about.is === 'lay').at(-1)?.refs[0];
    const moved = placements.map((p) => (p.id === last ? { ...p, y: p.y + 2 } : p));
    expect(measuresOf(c, bench).size).toBeGreaterThan(5); // what was said stays said
    expect(offPlace(c, { ...bench, placements: moved }).map((f) => f.is)).toContain('off place');
  });
});
