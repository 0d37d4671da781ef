import { context, demand, demoContext, demoSpread, kitOf, piece } from '../../../tests/fixtures';
import { KIT_SORTS } from '../../../tests/kit-sorts';
import { weekOfItems } from '../../../tests/kit-corpus';
import { weekWith } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import { BOOKS } from '../book/registry';
import { difference } from '../color/color';
import { centerY } from '../measure/rect';
import { SEQUENCES } from '../manner/sequence';
import type { Options } from '../manner/options/registry';
import { WAYS } from '../manner/ways/registry';
import { whiteSpace } from '../review/balance';
import { review, viewOf } from '../review/review';
import type { ContextData } from '../spread/context';
import { isWriting } from '../spread/placement';
import type { Context, Placement } from '../spread/placement';
import { arrange } from './arrange';
import { colorBlocks } from './days/color-blocks';

const shape = (placements: readonly Placement[]): string =>
  JSON.stringify(placements.map((p) => [p.kit, p.code, p.page, p.x, p.y, p.w, p.h, p.turn, p.text, p.size]));

/** Weeks of several sorts: what a setting does shows in one or the other. */
const weeks = (over: Partial<ContextData>): Context[] => [
  demoContext(over),
  demoContext(over, 'night-almanac'),
  demoContext({ book: BOOKS['wide-undated']!, ...over }),
  context({ ...KIT_SORTS.loud!(3), week: weekWith(...weekOfItems(34, 12)), ...over }),
  context({ ...KIT_SORTS.thin!(3), week: weekWith(...weekOfItems(120, 12)), ...over }),
  // a book with month flags, in which only work is planned ahead
  demoContext({ book: flagged, ...over, options: { ahead: 'work', ...over.options } }),
  // a day that not even ink holds; a chore that a picture can stand for
  context({ kit: kitOf(), week: weekWith(...crowd), ...over, options: { bottomWashi: 'none', ...over.options } }),
  context({ kit: kitOf(picture), week: weekWith(demand({ title: 'garden' })), ...over }),
];
const flagged = Object.values(BOOKS).find((b) => b.regions.some((r) => r.kind === 'month-flag'))!;
const crowd = Array.from({ length: 50 }, (_, i) =>
  demand({ uid: `c${i}`, key: `c${i}`, title: `item ${i} of the fete`, day: 2 }),
);
const picture = piece({ code: 'D', kind: 'deco', count: 4, width: 25, height: 25, icon: 'garden', writable: 'no' });
const known = new Map<string, string>();
/** What one of the weeks comes out as with some settings: spread and findings. */
function outcome(over: Partial<ContextData>, of: Context, i: number): string {
  const key = `${i} ${JSON.stringify(over)}`;
  const there = known.get(key);
  if (there !== undefined) return there;
  const placements = arrange(of);
  const made = shape(placements) + JSON.stringify(review(viewOf(of, placements)).map((f) => [f.rule, f.about]));
  known.set(key, made);
  return made;
}
const usual = weeks({});
/** Whether some week comes out otherwise than with the usual settings; none is laid out after the first that does. */
const differs = (over: Partial<ContextData>): boolean =>
  weeks(over).some((c, i) => outcome(over, c, i) !== outcome({}, usual[i] as Context, i));

describe('no setting does nothing: each value gives another week than the usual one', () => {
  const options: { readonly [K in keyof Options]?: readonly Options[K][] } = {
    ahead: ['work', 'skeleton'],
    bottomWashi: ['two', 'none'],
    dateCovers: [false],
    foils: [['gold'], ['rose-gold']],
    gap: [1, 4],
    headers: ['fanned', 'blocked', 'same', 'none'],
    kitOnly: [true],
    littles: ['stacked'],
    monthFlags: [false],
    notes: [true],
    onPaper: [false],
    sidebar: [[], ['habits']],
    smallest: [1],
    tapeMeters: [0.1],
    weekendBanner: [false],
    whiteSpace: [0.3, 0.6],
  };
  it.each(Object.entries(options).flatMap(([key, values]) => values.map((value) => [key, value] as const)))(
    'option %s: %j',
    (key, value) => expect(differs({ options: { [key]: value } })).toBe(true),
  );

  const usualOf = (key: string): unknown => WAYS.find((w) => w.key === key)?.usual;
  const values = WAYS.flatMap((w) => w.values.filter((v) => v !== usualOf(w.key)).map((v) => [w.key, v] as const));
  it.each(values)('way %s: %j', (key, value) => expect(differs({ ways: { [key]: value } })).toBe(true));
});

describe('settings do what they say', () => {
  const demo = (options: Partial<Options>, manner = 'scattered') => demoSpread({ options, manner });
  const mean = ({ context: c, placements }: { context: Context; placements: readonly Placement[] }): number =>
    [0, 1, 2, 3, 4, 5, 6].reduce((sum, day) => sum + whiteSpace(viewOf(c, placements), day), 0) / 7;

  it.each(['scattered', 'grounded', 'airy'])(
    'the more white is wanted the more there is, in the %s school',
    (manner) => {
      const white = [0.05, 0.3, 0.6].map((whiteSpace) => mean(demo({ whiteSpace }, manner)));
      expect(white[1]).toBeGreaterThan(white[0]! - 0.01);
      expect(white[2]).toBeGreaterThan(white[0]! + 0.02);
    },
  );

  it('header colors follow five habits, none like another', () => {
    const headers = ([...SEQUENCES, 'none'] as const).map((habit) => {
      const { context: c, placements } = demo({ headers: habit });
      const own = new Map(c.kit.pieces.map((p) => [p.code, p]));
      return placements
        .filter((p) => p.day !== null && !isWriting(p))
        .map((p) => `${p.day} ${p.role} ${own.get(p.code)?.color ?? ''}`)
        .join();
    });
    expect(new Set(headers).size).toBe(5);
  });

  it('blocked headers keep one family in the upper half of the days and another in the lower', () => {
    const family = colorBlocks(demo({ headers: 'blocked' }).context)!;
    const away = (habit: 'blocked' | 'alternating'): number => {
      const { context: c, placements } = demo({ headers: habit });
      const color = new Map(c.kit.pieces.map((p) => [p.code, p.color]));
      const bases = placements.filter((p) => p.role === 'day' && p.layer === 0 && color.has(p.code));
      const off = bases.map((p) =>
        difference(color.get(p.code)!, p.y < centerY(dayColumn(c.book, p.day!)!) ? family.upper : family.lower),
      );
      return off.reduce((sum, n) => sum + n, 0) / off.length;
    };
    expect(away('blocked')).toBeLessThan(away('alternating') - 2);
  });

  it('other seeds give other spreads, the same seed the same', () => {
    const spreads = [1, 2, 3, 4, 5, 6].map((seed) => shape(demoSpread({ seed }).placements));
    expect(new Set(spreads).size).toBe(6);
    expect(shape(demoSpread({ seed: 3 }).placements)).toBe(spreads[2]);
  });

  it('a setting that is not given is the school’s', () => {
    const c = demoContext({ manner: 'airy' });
    expect(c.options.whiteSpace).toBe(0.5);
    expect(demoContext({ manner: 'airy', options: { whiteSpace: 0.1 } }).options.whiteSpace).toBe(0.1);
  });
});
