import type { Book } from '../book/book';
import { openPaper, regionsOf } from '../book/columns';
import { BOOKS, bookNamed } from '../book/registry';
import { bottom, contains, intersect } from '../measure/rect';
import { bandRoom, fitBook, lackingForBand } from './fit-book';
import { STAND_NAMES } from './rhythm';
import type { Ways } from './ways/registry';
import { USUAL_WAYS } from './ways/registry';

const waysWith = (over: Partial<Ways>): Ways => ({ ...USUAL_WAYS, ...over });
const fitted = (book: Book, ways: Partial<Ways>, bottomWashi: 'one' | 'two' | 'none' = 'one'): Book =>
  fitBook(book, waysWith(ways), { bottomWashi });
const book = (name: string): Book => {
  const found = bookNamed(name);
  if (!found) throw new Error(`no book ${name}`);
  return found;
};
const headerTops = (b: Book): number[] => [...new Set(regionsOf(b, 'date-header').map((r) => r.y))];

/** Every way of using a book that changes its regions. */
const USES = [true, false].flatMap((topBand) =>
  [true, false].flatMap((raised) =>
    STAND_NAMES.flatMap((stand) => (['one', 'none'] as const).map((washi) => ({ topBand, raised, stand, washi }))),
  ),
);

describe.each(Object.entries(BOOKS))('%s as a manner uses it', (_, printed) => {
  it('keeps all that is printed where it is (handbook 5)', () => {
    for (const { washi, ...ways } of USES) {
      const used = fitted(printed, ways, washi);
      expect([used.marks, used.pages, used.binding]).toEqual([printed.marks, printed.pages, printed.binding]);
    }
  });

  it('keeps its days: as many, as wide, on the same page, never a column without height', () => {
    for (const { washi, ...ways } of USES) {
      const days = regionsOf(fitted(printed, ways, washi), 'day');
      expect(days.map(({ id, page, x, w }) => ({ id, page, x, w }))).toEqual(
        regionsOf(printed, 'day').map(({ id, page, x, w }) => ({ id, page, x, w })),
      );
      for (const d of days) expect(d.h).toBeGreaterThan(100);
    }
  });

  it('keeps every region on its paper, and headers off the columns under them', () => {
    for (const { washi, ...ways } of USES) {
      const used = fitted(printed, ways, washi);
      for (const r of used.regions) expect(contains(openPaper(used, r.page), r)).toBe(true);
      for (const header of regionsOf(used, 'date-header'))
        for (const d of regionsOf(used, 'day')) expect(d.page === header.page ? intersect(d, header) : null).toBeNull();
    }
  });

  it('is left alone where nothing of it is used otherwise', () =>
    expect(fitted(printed, { topBand: false, raised: false, stand: 'up-and-down' })).toBe(printed));
});

describe('a top band', () => {
  it('lowers the headers under it and takes the room from the columns, feet where they were', () => {
    const printed = book('three-box');
    const used = fitted(printed, { topBand: true });
    const bands = regionsOf(used, 'top-strip').filter((r) => r.id.startsWith('top-band'));
    expect(bands.map((b) => b.page)).toEqual([0, 1]);
    for (const band of bands) {
      expect(band.h).toBeGreaterThanOrEqual(11);
      for (const r of used.regions.filter((o) => o.page === band.page && o !== band))
        expect(intersect(r, band)).toBeNull();
    }
    expect(headerTops(used)[0]).toBeGreaterThan(headerTops(printed)[0] as number);
    expect(regionsOf(used, 'day').map(bottom)).toEqual(regionsOf(printed, 'day').map((r) => expect.closeTo(bottom(r))));
  });

  it('is as high as the room over the headers, and the eight millimeters they may be lowered, allow', () => {
    // three-box: headers at 17; 17 - 2 (edge) - 1 (under the band) + 8
    expect(bandRoom(book('three-box'))).toBe(22);
    // open-b6: headers at 8; 8 - 2 - 1 + 4, as they may be lowered by half their distance only
    expect(bandRoom(book('open-b6'))).toBe(9);
  });

  it('is left out, and the lacking millimeters told, where even lowered headers leave too little', () => {
    const narrow = book('open-b6');
    expect(lackingForBand(narrow)).toBe(2);
    expect(regionsOf(fitted(narrow, { topBand: true }), 'top-strip')).toEqual([]);
    expect(lackingForBand(book('three-box'))).toBe(0);
  });

  it('is no matter in a book without date headers', () => {
    const printed = book('three-box');
    const bare: Book = { ...printed, regions: printed.regions.filter((r) => r.kind !== 'date-header') };
    expect(fitted(bare, { topBand: true }).regions).toEqual(bare.regions);
  });
});

describe('raised headers', () => {
  it('go up by the same way in all columns, and the columns grow by it', () => {
    for (const printed of Object.values(BOOKS)) {
      const used = fitted(printed, { raised: true });
      const by = (headerTops(printed)[0] as number) - (headerTops(used)[0] as number);
      expect(by).toBeGreaterThanOrEqual(0);
      expect(headerTops(used)).toHaveLength(1);
      regionsOf(used, 'day').forEach((d, i) => {
        const before = regionsOf(printed, 'day')[i] as typeof d;
        expect([d.y, d.h]).toEqual([expect.closeTo(before.y - by), expect.closeTo(before.h + by)]);
      });
    }
  });

  it('never go over a title strip or a month flag above them', () => {
    for (const printed of Object.values(BOOKS)) {
      const used = fitted(printed, { raised: true });
      const above = used.regions.filter((r) => r.kind === 'top-strip' || r.kind === 'month-flag');
      for (const header of regionsOf(used, 'date-header'))
        for (const r of above) expect(r.page === header.page ? intersect(r, header) : null).toBeNull();
    }
  });
});

describe('boxes on the floor without bottom washi', () => {
  it('reach down over the notes row, on every page that has one', () => {
    const printed = book('three-box');
    const used = fitted(printed, { stand: 'floor' }, 'none');
    const strips = regionsOf(printed, 'bottom-strip');
    for (const d of regionsOf(used, 'day'))
      expect(bottom(d)).toBeCloseTo(bottom(strips.find((s) => s.page === d.page) as (typeof strips)[number]));
  });

  it('stay over the strip where washi will lie on it, and where the book has none', () => {
    const printed = book('three-box');
    expect(fitted(printed, { stand: 'floor' }, 'one')).toBe(printed);
    const open = book('disc-open');
    expect(fitted(open, { stand: 'floor' }, 'none').regions).toEqual(open.regions);
  });
});
