import { demoContext, demoKit, kitOf, piece, weekWith, demand } from '../../../../tests/fixtures';
import type { Wanted } from './enough';
import { isItEnough } from './enough';
import { sayMakeshift } from './say-makeshift';
import type { Context } from '../../spread/placement';

const of = (context: Context, what: string) => isItEnough(context).find((e) => e.what === what);
const base = demoContext();

it('counts kind by kind, what lacks first', () => {
  const kit = kitOf(
    piece({ code: 'C', kind: 'date-cover', count: 5 }),
    piece({ code: 'B', kind: 'full-box', count: 8 }),
    piece({ code: 'Q', count: 3 }),
    piece({ code: 'L', kind: 'checklist', count: 1, rows: 6, height: 48.3 }),
  );
  const context = {
    ...base,
    kit,
    stash: [demoKit('stash')],
    week: weekWith(
      demand({ uid: 'a' }),
      demand({ uid: 'b' }),
      ...[1, 2, 3].map((n) => demand({ uid: `l${n}`, list: 'to buy' })),
    ),
  };
  expect(of(context, 'date-cover')).toMatchObject({ needed: 7, there: 5 });
  expect(of(context, 'full-box')).toMatchObject({ needed: 7, there: 8, substitutes: [], makeshift: null });
  expect(of(context, 'bases')).toMatchObject({ needed: 2, there: 3 });
  expect(of(context, 'rows')).toMatchObject({ needed: 3, there: 6 });
  expect(of(context, 'header')).toMatchObject({ needed: 7, there: 0 });
  expect(of(context, 'header')!.substitutes.length + (of(context, 'header')!.makeshift ? 1 : 0)).toBeGreaterThan(0);
  const lacks = isItEnough(context).map((e) => e.there < e.needed);
  expect([...lacks].sort((a, b) => Number(b) - Number(a))).toEqual(lacks);
});

it('knows what other weeks have taken, and what earlier planned ones will', () => {
  const kit = kitOf(piece({ code: 'B', kind: 'full-box', count: 8 }));
  const context = { ...base, kit, stash: [], usedElsewhere: [{ kit: 'test', code: 'B', copy: 1, cut: null }] };
  expect(of(context, 'full-box')).toMatchObject({ there: 7 });
  expect(isItEnough(context, new Map([['full-box' as const, 3]])).find((e) => e.what === 'full-box')).toMatchObject({
    there: 4,
  });
});

it('says what can be made: covers and headers from washi, a tracker from a list', () => {
  const kit = kitOf(
    piece({ code: 'thin', kind: 'washi', width: 300, height: 6 }),
    piece({ code: 'wide', kind: 'washi', width: 300, height: 12 }),
    piece({ code: 'L', kind: 'checklist', count: 2, rows: 7, height: 48.3 }),
  );
  const context = { ...base, kit, stash: [] };
  const said = (what: Wanted) => sayMakeshift(of(context, what)!.makeshift!);
  expect(of(context, 'header')?.makeshift).toEqual({ of: 'header', from: 'thin' });
  expect(said('header')).toBe('cut headers of 38.1 mm from the washi thin');
  expect(said('date-cover')).toBe('cut covers of 38.1 mm from the washi wide');
  expect(said('week-tracker')).toBe('make one from the list L: a row for each day');
});
