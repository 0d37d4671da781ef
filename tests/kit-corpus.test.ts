import { overdrawnPlacements } from '../src/core/edit/stock-check';
import { BOOKS } from '../src/core/book/registry';
import { dayColumn, openPaper } from '../src/core/book/columns';
import { formsOf, fitOn, formCost } from '../src/core/arrange/days/forms';
import { contains, intersect } from '../src/core/measure/rect';
import { handAt, writeLines } from '../src/core/measure/hand';
import { review, viewOf } from '../src/core/review/review';
import { Draft } from '../src/core/spread/draft';
import { freeStretches, keptFree, lengthOf } from '../src/core/spread/free-room';
import type { Context, Placement } from '../src/core/spread/placement';
import { footprint, isWriting, matchDemands } from '../src/core/spread/placement';
import { paperRoom } from '../src/core/spread/writing';
import type { Demand } from '../src/core/week/demand';
import { writtenText } from '../src/core/week/demand';
import { arrange } from '../src/core/arrange/arrange';
import { randomFrom } from '../src/core/measure/random';
import { context as contextOf, demoSpread, weekWith } from './fixtures';
import { KIT_SORTS, made } from './kit-sorts';
import { kitCorpus, laidOut, weekOfItems } from './kit-corpus';

/** One week in so many of the corpus; `npm run bench` goes through all of it. */
const EVERY = 4;

const WEEKS = kitCorpus(EVERY).map((week) => ({ ...week, placements: laidOut(week) }));
const named = WEEKS.map(
  (w) => [`${w.sort}, ${w.book}, ${w.manner}, ${w.context.week.demands.length} items`, w] as const,
);

it('has fifteen sorts of kits, each for a seed the same', () => {
  expect(Object.keys(KIT_SORTS)).toHaveLength(15);
  for (const tableOf of Object.values(KIT_SORTS)) {
    expect(tableOf(7)).toEqual(tableOf(7));
    const { kit } = tableOf(7);
    expect(new Set(kit.pieces.map((p) => p.code)).size).toBe(kit.pieces.length);
  }
});

/** mm that an item takes on the lowest rung: the paper, written small. */
function lowest(context: Context, d: Demand): number {
  const hand = handAt(context.options.hand, context.options.smallest);
  const width = dayColumn(context.book, d.day)?.w ?? 0;
  return writeLines(writtenText(d), paperRoom({ w: width, h: 0 }).w, hand).length * hand.linePitch;
}

const itemsOf = (context: Context): readonly Demand[] => context.week.demands.filter((d) => d.kind !== 'band');

describe.each(named)('%s', (_, { context, placements }) => {
  const carriers = matchDemands(placements, context.week.demands);
  const draft = Draft.begin(context, placements);
  const longest = (day: number): number => Math.max(0, ...freeStretches(draft, context, day).map(lengthOf));

  it('leaves an item without a place only where its day has no room for the lowest rung', () => {
    const missing = itemsOf(context).filter((d) => !carriers.has(d.key));
    expect(missing.filter((d) => longest(d.day) >= lowest(context, d)).map((d) => d.title)).toEqual([]);
  });

  it('leaves no day bare while its items wait', () => {
    for (let day = 0; day < 7; day++) {
      const items = itemsOf(context).filter((d) => d.day === day);
      if (items.length) expect([day, items.some((d) => carriers.has(d.key))]).toEqual([day, true]);
    }
  });

  it('cuts no text off, and writes none where it does not fit', () => {
    expect(placements.filter((p) => p.text?.endsWith('…')).map((p) => p.text)).toEqual([]);
    const findings = review(viewOf(context, placements));
    // what has no place is the first test's matter
    expect(findings.filter((f) => f.rule === 'P4' || (f.severity === 'stop' && f.rule !== 'D5'))).toEqual([]);
  });

  it('uses only what is there, on the paper, nothing over another of its layer', () => {
    expect(overdrawnPlacements(context, placements)).toEqual([]);
    const flat = placements.filter((p) => p.role === 'day' && p.layer === 0);
    for (const p of flat) expect(contains(openPaper(context.book, p.page), footprint(p))).toBe(true);
    const meets = (p: Placement, q: Placement): boolean =>
      p.page === q.page && intersect(footprint(p), footprint(q)) !== null;
    expect(
      flat.flatMap((p, i) =>
        flat
          .slice(i + 1)
          .filter((q) => meets(p, q))
          .map((q) => `${p.id} ${q.id}`),
      ),
    ).toEqual([]);
  });

  it('writes nothing with an hour on the paper while a base that takes it lies unused and its day has the room', () => {
    const width = Math.min(...[0, 1, 2, 3, 4, 5, 6].map((d) => dayColumn(context.book, d)?.w ?? Infinity));
    const forms = formsOf({ draft, context, width });
    const better = itemsOf(context).filter((d) => {
      const carrier = carriers.get(d.key);
      if (!carrier || !isWriting(carrier) || carrier.items.length > 1 || d.start === null) return false;
      return forms.some(
        (f) =>
          fitOn(d, f, context)?.size === 1 &&
          formCost(d, f, context) < 4 &&
          f.h + 2 * context.options.gap < longest(d.day) - keptFree(context, d.day),
      );
    });
    expect(better.map((d) => d.title)).toEqual([]);
  });
});

describe('a kit of eight full boxes, ten lists, 24 littles and 24 headers, in three rows', () => {
  const kit = made('rows', 5, [
    ['date-cover', 2, 7],
    ['full-box', 8, 1],
    ['checklist', 5, 2],
    ['little', 8, 3],
    ['header', 3, 8],
  ]);
  it.each(['three-box', 'disc-open', 'wide-undated'])('lays six full boxes or more beside 48 items (%s)', (id) => {
    const book = BOOKS[id]!;
    const week = weekWith(...weekOfItems(48, 3).filter((d) => d.kind !== 'band'));
    const c = contextOf({ book, kit, week, manner: 'three-rows' });
    const placements = arrange(c);
    const boxes = placements.filter((p) => p.role === 'box' && p.code.startsWith('full-box'));
    expect(boxes.length).toBeGreaterThanOrEqual(6);
    const carriers = matchDemands(placements, week.demands);
    expect(week.demands.filter((d) => !carriers.has(d.key)).map((d) => d.title)).toEqual([]);
  });
});

it('arranges what no week has, hundreds of items, out of a kit of ten thousand copies', () => {
  const kit = made('warehouse', 2, [
    ['half-box', 4, 10_000],
    ['checklist', 2, 10_000],
    ['label', 4, 10_000],
  ]);
  const c = contextOf({ kit, week: weekWith(...weekOfItems(300, 9)) });
  const placements = arrange(c);
  const carriers = matchDemands(placements, c.week.demands);
  expect(carriers.size).toBeGreaterThan(50);
  expect(overdrawnPlacements(c, placements)).toEqual([]);
});

describe('a half-done spread', () => {
  const some = [
    ...WEEKS.slice(0, 20),
    demoSpread(),
    demoSpread({ manner: 'grounded' }),
    demoSpread({ manner: 'crowned' }),
  ];
  it.each(some.map((w, i) => [i, w] as const))(
    'is arranged round what is kept, dates and all (%i)',
    (i, { context, placements }) => {
      const random = randomFrom(i + 1);
      const kept = placements.filter(() => random() < 0.5).map((p) => ({ ...p, locked: true }));
      const again = arrange(context, kept);
      const ids = new Set(kept.map((p) => p.id));
      const meets = again.flatMap((p, n) =>
        again
          .slice(n + 1)
          .filter((q) => p.page === q.page && p.layer === q.layer && !(ids.has(p.id) && ids.has(q.id)))
          .filter((q) => intersect(footprint(p), footprint(q)))
          .map((q) => `${p.id} ${q.id}`),
      );
      expect(meets).toEqual([]);
      const undated = (list: readonly Placement[]): number =>
        review(viewOf(context, list)).filter((f) => f.rule === 'B5').length;
      expect(undated(again)).toBeLessThanOrEqual(undated(placements));
    },
  );
});
