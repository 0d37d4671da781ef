import { arrange } from '../../src/core/arrange/arrange';
import { benchOf } from '../../src/core/bench/bench';
import { measuresOf } from '../../src/core/bench/measures';
import { benchPdf } from '../../src/core/format/bench-pdf';
import { completeSpread } from '../../src/core/format/spread-file';
import { spreadSvg } from '../../src/core/format/spread-svg';
import { MANNERS } from '../../src/core/manner/registry';
import { bottom, right } from '../../src/core/measure/rect';
import type { Finding } from '../../src/core/review/finding';
import { review, viewOf } from '../../src/core/review/review';
import { letIn } from '../../src/core/repair/let-in';
import { isPenDate } from '../../src/core/spread/dates-of';
import type { Placement } from '../../src/core/spread/placement';
import { isWriting } from '../../src/core/spread/placement';
import { shippedLetters } from '../../src/server/fonts';
import { printParts } from '../../src/server/print-parts';
import { context, found, weekWith } from '../fixtures';
import { weekOfItems } from '../kit-corpus';
import { KIT_SORTS } from '../kit-sorts';
import { strangersBook } from './books';
import { faultsOf, offPlace, takenOff } from './check';
import { paintedLetters } from './painted';
import { notPrinted } from './printed';
import { slipsIn } from './sentences';
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

  it('tells no length and no number that is not so', () =>
    expect(slipsIn(c, placements, review(viewOf(c, placements)))).toEqual([]));

  it('shows each of its letters on what is painted under them, and covers none (WCAG 2, point by point)', async () => {
    const faint = new Set(found('P2', c, placements).flatMap((f) => f.placements));
    const painted = [...(await paintedLetters(c, placements, benchOf(c, placements), shippedLetters()))];
    expect(painted.filter(([id, p]) => p.seen < 0.9 || (p.contrast < 3 && !faint.has(id)))).toEqual([]);
    expect(painted.length).toBe(placements.filter((p) => p.text).length);
  });

  it('takes each of its items back in, once it was taken off (D4)', () => {
    for (const { without, key, title } of takenOff(c, placements))
      expect([title, letIn(c, without, key) !== null]).toEqual([title, true]);
  });
});

it.each([3, 64])(
  'all that a stranger’s week, %i, writes on paper is told in its print',
  async (seed) => {
    const c = strangersWeek(seed);
    const placements = arrange(c);
    const bench = benchOf(c, placements);
    expect(notPrinted(placements, await benchPdf(c, bench, printParts()))).toEqual([]);
    const ink = placements.find((p) => isWriting(p) && p.text && p.items.length);
    const other = placements.map((p) => (p === ink ? { ...p, text: 'never printed' } : p));
    expect(notPrinted(other, await benchPdf(c, bench, printParts()))).toEqual(['never printed']);
  },
  30_000,
);

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

  it('sees sentences that are not so', () => {
    const full = strangersWeek(45);
    const laid = arrange(full);
    const [d3] = review(viewOf(full, laid)).filter((f) => f.rule === 'D3');
    const told = (bare: number, needs: number) =>
      slipsIn(full, laid, [{ ...d3, about: { ...d3?.about, bare, needs } } as Finding]).map((s) => s.is);
    expect([told(40, 9), told(40, 40)]).toEqual([['not there'], ['told alike', 'not there']]);
    const label = { rule: 'F1', severity: 'fix', page: 0, x: 0, y: 0, placements: [laid[0]?.id ?? ''] } as const;
    const out = { ...label, about: { is: 'out of its column', edge: 'top', mm: 11.5 } } as unknown as Finding;
    expect(slipsIn(full, laid, [out]).map((s) => s.is)).toEqual(['not there']);
  });

  it('sees letters that are faint, and letters that are covered', async () => {
    const ink = placements.find((p) => p.text && p.ink?.startsWith('black') && c.kit.pieces.some((q) => q.code === p.code)) as Placement; // prettier-ignore
    const shows = async (laid: readonly Placement[]) =>
      (await paintedLetters(c, laid, benchOf(c, placements), shippedLetters())).get(ink.id);
    const white = await shows(placements.map((p) => (p === ink ? { ...p, ink: 'white gel pen' } : p)));
    const over = { ...ink, id: 'p998', layer: 5, items: [], text: null };
    const covered = await shows([...placements, over]);
    const before = await shows(placements);
    expect(before?.contrast).toBeGreaterThan(3);
    expect(white?.contrast).toBeLessThan((before?.contrast ?? 0) / 2);
    expect([before?.seen, covered?.seen]).toEqual([1, 0]);
  });

  it('sees what would come to lie elsewhere than planned', () => {
    const bench = benchOf(c, placements);
    const last = bench.steps.filter((s) => s.about.is === 'lay').at(-1)?.refs[0];
    const moved = placements.map((p) => (p.id === last ? { ...p, y: p.y + 2 } : p));
    expect(measuresOf(c, bench).size).toBeGreaterThan(5); // what was said stays said
    expect(offPlace(c, { ...bench, placements: moved }).map((f) => f.is)).toContain('off place');
  });
});
