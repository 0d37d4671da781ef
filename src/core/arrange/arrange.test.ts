import { voiceOf } from '../spread/voice';
import { sayReason } from '../review/say-missing';
import fc from 'fast-check';
import { context, demand, demoSpread, found, kitOf, piece, weekWith, demoKit } from '../../../tests/fixtures';
import { BOOKS } from '../book/registry';
import { MANNERS } from '../manner/registry';
import { dayColumn, regionsOf } from '../book/columns';
import type { Book } from '../book/book';
import { overdrawnPlacements } from '../edit/stock-check';
import { handAt, textFits } from '../measure/hand';
import { contains, intersect, right } from '../measure/rect';
import { sortMinute } from '../week/demand';
import type { Demand } from '../week/demand';
import { pieceKey } from '../kit/kit';
import { rhythmOf } from '../manner/rhythm';
import type { Options } from '../manner/options/registry';
import { arrange } from './arrange';
import { openPlaces } from '../spread/open-places';
import type { Context, Placement } from '../spread/placement';
import { footprint, isWriting, matchDemands, pieceIndex } from '../spread/placement';
import { unplacedOf } from '../review/unplaced';
import { writingRoom } from '../spread/writing';

const kindOf = (c: Context, p: Placement) => pieceIndex(c).get(pieceKey(p))?.kind;
const ofKind = (c: Context, placements: readonly Placement[], kind: string) =>
  placements.filter((p) => kindOf(c, p) === kind);

/** What must hold for any kit, book and week. */
function sound(c: Context, placements: readonly Placement[]): void {
  expect(overdrawnPlacements(c, placements)).toEqual([]);
  const faults = placements.flatMap((p, i) => {
    const page = c.book.pages[p.page]!;
    const inRegion =
      c.book.regions.some((r) => r.page === p.page && contains(r, footprint(p))) ||
      p.day === null ||
      kindOf(c, p) === 'washi';
    const onPage = contains({ x: 0, y: 0, w: page.width, h: page.height }, footprint(p));
    const touched = placements
      .slice(0, i)
      .filter((q) => q.page === p.page && q.layer === p.layer && intersect(footprint(p), footprint(q)));
    return [
      ...(inRegion ? [] : [`${p.code} leaves its region`]),
      ...(onPage ? [] : [`${p.code} leaves its page`]),
      ...touched.map((q) => `${p.code} touches ${q.code}`),
    ];
  });
  expect(faults).toEqual([]);
  const matched = matchDemands(placements, c.week.demands);
  const missing = unplacedOf(c, placements);
  expect(matched.size + missing.length).toBe(c.week.demands.length);
  expect(missing.every((u) => sayReason(u, voiceOf(c, placements)).length > 10 && u.waysOut.length > 0)).toBe(true);
  for (let day = 0; day < 7; day++) {
    const timed = c.week.demands.filter(
      (d) => d.day === day && d.start !== null && !d.list && d.kind !== 'band' && matched.has(d.key),
    );
    const down = [...timed].sort((a, b) => matched.get(a.key)!.y - matched.get(b.key)!.y).map(sortMinute);
    expect(down).toEqual([...down].sort((a, b) => a - b));
  }
}

describe('the demo week in the scattered school', () => {
  const { context: c, placements } = demoSpread();

  it('is sound, and places every item', () => {
    sound(c, placements);
    expect(unplacedOf(c, placements)).toEqual([]);
  });

  it('covers the bottom strip, cut at the binding', () => {
    for (const strip of regionsOf(c.book, 'bottom-strip')) {
      const laid = placements.filter((p) => p.page === strip.page && intersect(footprint(p), strip));
      expect(laid).toMatchObject([{ x: strip.x, y: strip.y, w: strip.w, h: strip.h, cut: { w: strip.w, h: strip.h } }]);
    }
  });

  it('dates every day right, over a cover', () => {
    const dots = ofKind(c, placements, 'date-dot').sort((a, b) => a.day! - b.day!);
    expect(dots.map((p) => pieceIndex(c).get(pieceKey(p))!.words)).toEqual(['8', '9', '10', '11', '12', '13', '14']);
    expect(ofKind(c, placements, 'date-cover')).toHaveLength(7);
  });

  it('opens each day with a header, colors in turn', () => {
    const colors = placements
      .filter((p) => p.role === 'base' && kindOf(c, p) === 'header')
      .sort((a, b) => a.day! - b.day!)
      .map((p) => pieceIndex(c).get(pieceKey(p))!.color);
    expect(colors).toHaveLength(7);
    expect(colors.slice(1).every((color, i) => color !== colors[i])).toBe(true);
  });

  it('lets the boxes rise and fall in a rhythm that has a name, the first of the kit in the middle', () => {
    const boxes = placements.filter((p) => p.role === 'box').sort((a, b) => a.day! - b.day!);
    expect(boxes.length).toBeGreaterThanOrEqual(5);
    expect(boxes.find((p) => p.day === 3)?.code).toBe('FB-1');
    const middle = (p: Placement) => p.y + p.h / 2 < dayColumn(c.book, p.day!)!.y + dayColumn(c.book, p.day!)!.h / 2;
    const heights = [0, 1, 2, 3, 4, 5, 6].map((day) => {
      const b = boxes.find((p) => p.day === day);
      return b ? (middle(b) ? ('high' as const) : ('low' as const)) : null;
    });
    expect(rhythmOf(heights)).not.toBeNull();
    expect(new Set(heights)).toEqual(new Set([...heights, 'high', 'low']));
  });

  it('cuts lists to their rows and keeps the offcut for the next', () => {
    const lists = ofKind(c, placements, 'checklist').filter((p) => p.role === 'day');
    for (const p of lists) expect(p.h).toBeCloseTo(p.items.length * 8.05, 1);
    const copies = ofKind(c, placements, 'checklist').map((p) => `${p.code}#${p.copy}`); // the sidebar's too
    expect(new Set(copies).size).toBeLessThan(copies.length);
  });

  it('writes only what fits beside icon and script', () => {
    for (const p of placements.filter(
      (q) => q.role === 'day' && q.items.length === 1 && q.text && !isWriting(q) && kindOf(c, q) !== 'checklist',
    )) {
      const own = pieceIndex(c).get(pieceKey(p))!;
      const laid = placements
        .filter((q) => q.page === p.page && q.layer > p.layer && contains(footprint(p), footprint(q)))
        .map((q) => ({ x: q.x - p.x, y: q.y - p.y, w: q.w, h: q.h }));
      const room = writingRoom({ kind: own.kind, shape: own.shape, w: p.w, h: p.h }, laid);
      const hand = handAt(c.options.hand, p.size);
      expect([p.text, textFits(p.text!, room.w, room.h, hand)]).toEqual([p.text, true]);
    }
    expect(ofKind(c, placements, 'icon').length).toBeGreaterThan(8);
  });

  it('runs a band over its days and breaks it at the binding', () => {
    const parts = placements.filter((p) => p.items.some((uid) => uid.includes('foster-trial')));
    expect(parts.map((p) => [p.page, p.day])).toEqual([
      [0, 2],
      [1, 3],
    ]);
    const strip = ofKind(c, placements, 'washi').find((p) => p.role === 'day')!;
    expect(right(strip)).toBeCloseTo(right(dayColumn(c.book, 4)!), 1);
  });

  it('comes out the same for the same seed', () => {
    expect(demoSpread().placements).toEqual(placements);
    expect(demoSpread({ seed: 2 }).placements).not.toEqual(placements);
  });
});

it.each(
  Object.keys(BOOKS).flatMap((book) =>
    Object.keys(MANNERS).flatMap((manner) => ['rockpool', 'night-almanac'].map((kit) => [kit, book, manner] as const)),
  ),
)('%s in %s, %s, is sound', (kit, book, manner) => {
  const { context: c, placements } = demoSpread({ book: BOOKS[book] as Book, manner }, kit);
  sound(c, placements);
});

it('keeps what is locked and arranges round it', () => {
  const { context: c, placements } = demoSpread();
  const kept = placements.filter((p) => p.day === 3).map((p) => ({ ...p, locked: true }));
  const again = arrange(c, kept);
  expect(again.slice(0, kept.length)).toEqual(kept);
  sound(c, again);
});

it('uses nothing that another week has used', () => {
  const { placements } = demoSpread();
  const { context: c, placements: second } = demoSpread({ usedElsewhere: placements });
  const taken = new Set(placements.filter((p) => !p.cut).map((p) => `${p.kit}/${p.code}#${p.copy}`));
  expect(second.some((p) => !isWriting(p) && taken.has(`${p.kit}/${p.code}#${p.copy}`))).toBe(false);
  sound(c, second);
});

it('plans only what is wanted ahead, and says that the rest stays open on purpose', () => {
  const { context: work, placements } = demoSpread({ options: { ahead: 'work' } });
  const said = placements.flatMap((p) => (p.items.length ? [p.text] : []));
  expect(said.length).toBeGreaterThan(2);
  expect(said.every((text) => text?.includes('ferry'))).toBe(true);
  const unmarked = { ...work, ways: { ...work.ways, marksPlaces: false } };
  expect(
    found('D5', unmarked, placements).every((f) => f.severity === 'look' && f.message.includes('stays open')),
  ).toBe(true);
  expect(openPlaces(unmarked, placements)).toEqual([]);
  const skeleton = demoSpread({ options: { ahead: 'skeleton' } });
  expect(skeleton.placements.some((p) => p.items.length)).toBe(false);
  sound(skeleton.context, skeleton.placements);
});

it('keeps a marked empty place, in time order and clear of all else, for what is written in afterwards', () => {
  const { context: work, placements } = demoSpread({ options: { ahead: 'work' } });
  const places = openPlaces(work, placements);
  const later = work.week.demands.filter((d) => d.kind !== 'band' && !placements.some((p) => p.items.includes(d.uid)));
  const held = places.flatMap((p) => p.demands);
  expect(held.length).toBeGreaterThan(later.length * 0.9);
  expect(places.some((p) => p.demands.length > 2)).toBe(true); // a list shares one place
  expect(found('D5', work, placements)).toHaveLength(
    later.length - held.length + work.week.demands.filter((d) => d.kind === 'band').length,
  );
  const first = (place: (typeof places)[number]): number => Math.min(...place.demands.map(sortMinute));
  for (const place of places) {
    const column = work.book.regions.find((r) => r.kind === 'day' && r.day === place.day)!;
    expect(contains(column, place)).toBe(true);
    expect(placements.filter((p) => p.page === place.page && intersect(footprint(p), place))).toEqual([]);
    expect(
      places
        .filter((o) => o.day === place.day && o.y > place.y)
        .every((o) => first(o) >= first(place) && o.y >= place.y + place.h),
    ).toBe(true);
    for (const p of placements.filter((q) => q.day === place.day && q.items.length)) {
      const minute = Math.min(
        ...work.week.demands.filter((d) => d.day === place.day && p.items.includes(d.uid)).map(sortMinute),
      );
      expect(minute > first(place) ? p.y >= place.y : p.y <= place.y).toBe(true);
    }
  }
});

it.each<[Partial<Options>, (c: Context, p: readonly Placement[]) => unknown, unknown]>([
  [{ bottomWashi: 'none' }, (c, p) => ofKind(c, p, 'bottom-washi').length, 0],
  [{ bottomWashi: 'two' }, (c, p) => p.filter((q) => q.role === 'base' && q.y >= 200).length >= 4, true],
  [{ dateCovers: false }, (c, p) => [ofKind(c, p, 'date-cover').length, ofKind(c, p, 'date-dot').length], [0, 7]],
  [{ weekendBanner: false }, (c, p) => ofKind(c, p, 'banner').length, 0],
  [{ headers: 'none' }, (c, p) => p.some((q) => q.role === 'base' && kindOf(c, q) === 'header'), false],
  [{ kitOnly: true }, (c, p) => p.every((q) => isWriting(q) || q.kit === 'rockpool'), true],
  [{ whiteSpace: 0.7 }, (c, p) => p.filter((q) => q.role === 'box').length, 0],
  [{ sidebar: ['hours'] }, (c, p) => p.filter((q) => q.role === 'sidebar').map((q) => kindOf(c, q)), ['week-tracker']],
  [{ foils: ['silver'] }, (c, p) => p.some((q) => pieceIndex(c).get(pieceKey(q))?.foil === 'gold'), false],
])('heeds the option %j', (options, measure, expected) => {
  const { context: c, placements } = demoSpread({ options });
  expect(measure(c, placements)).toEqual(expected);
  sound(c, placements);
});

it('leaves an empty week bare of items but laid out', () => {
  const { context: c, placements } = demoSpread({ week: weekWith() });
  expect(placements.filter((p) => p.role === 'box')).toHaveLength(7);
  expect(placements.some((p) => p.items.length)).toBe(false);
  sound(c, placements);
});

it('writes on the paper what a kit of three stickers cannot hold', () => {
  const kit = kitOf(
    piece({ count: 1 }),
    piece({ code: 'B', kind: 'full-box', height: 48.3, writable: 'no' }),
    piece({ code: 'C', kind: 'date-cover' }),
  );
  const c = context({
    kit,
    week: weekWith(...['a', 'b', 'c'].map((uid) => demand({ uid, key: uid, title: uid, day: 1 }))),
  });
  const placements = arrange(c);
  sound(c, placements);
  expect(unplacedOf(c, placements)).toEqual([]);
  const carried = placements.filter((p) => p.items.length);
  expect(carried.filter(isWriting).flatMap((p) => p.items)).toHaveLength(2);
  expect(carried.find((p) => !isWriting(p))).toMatchObject({ code: 'Q-1', items: [expect.any(String)] });
  const never = arrange({ ...c, options: { ...c.options, onPaper: false } });
  expect(unplacedOf(c, never)).toHaveLength(2);
});

it('writes a title of two hundred letters whole, on the paper, rather than cut it off', () => {
  const long = demand({ title: 'a very long title that a calendar sent '.repeat(5).trim(), day: 2 });
  const { context: c, placements } = demoSpread({ week: weekWith(long) });
  const carrier = placements.find((p) => p.items.includes('a'));
  expect(carrier).toMatchObject({ text: long.title, kit: '' });
  expect(found('P4', c, placements)).toEqual([]);
  sound(c, placements);
});

const items = fc.array(
  fc.record({
    day: fc.integer({ min: 0, max: 6 }),
    minute: fc.option(fc.integer({ min: 0, max: 1439 })),
    words: fc.constantFrom(
      'vet',
      'laundry',
      'choir rehearsal',
      'dig the far bed',
      'early ferry',
      'Wren’s birthday party',
    ),
    list: fc.constantFrom(null, null, null, 'to do', 'to buy'),
    band: fc.boolean(),
  }),
  { maxLength: 50 },
);

it('is sound for any week within limits, in any book and school, with either kit', () => {
  const kits = { rockpool: demoKit('rockpool'), 'night-almanac': demoKit('night-almanac') };
  const stash = [demoKit('stash')];
  fc.assert(
    fc.property(
      items,
      fc.constantFrom(...Object.keys(BOOKS)),
      fc.constantFrom(...Object.keys(MANNERS)),
      fc.constantFrom('rockpool', 'night-almanac'),
      fc.integer({ min: 1, max: 99 }),
      (drawn, book, manner, kit, seed) => {
        const demands = drawn.map(({ day, minute, words, list, band }, i): Demand => {
          const isBand = band && i % 9 === 0;
          return demand({
            uid: `u${i}`,
            key: `u${i}`,
            title: words,
            day,
            lastDay: isBand ? Math.min(6, day + 2) : day,
            start: list || isBand ? null : minute,
            list: isBand ? null : list,
            kind: isBand ? 'band' : list ? 'to-do' : minute === null ? 'chore' : 'appointment',
          });
        });
        const c = context({
          book: BOOKS[book] as Book,
          kit: kits[kit as 'rockpool'],
          stash,
          manner,
          week: weekWith(...demands),
          seed,
        });
        const placements = arrange(c);
        sound(c, placements);
        expect(arrange(c)).toEqual(placements);
      },
    ),
    { numRuns: 40, seed: 7 },
  );
});
