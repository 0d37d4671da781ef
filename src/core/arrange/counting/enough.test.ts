import { demoContext, demoKit, found, kitOf, piece, weekWith, demand } from '../../../../tests/fixtures';
import type { Wanted } from './enough';
import { isItEnough } from './enough';
import { sayMakeshift } from './say-makeshift';
import { sayCarried } from './say-enough';
import { arrange } from '../arrange';
import { isWriting } from '../../spread/placement';
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

describe('a kit with too few bases', () => {
  const week = weekWith(
    ...Array.from({ length: 9 }, (_, i) =>
      demand({ uid: `u${i}`, key: `u${i}`, title: `item ${i}`, day: i % 3, start: 480 + i * 60, kind: 'appointment' }),
    ),
  );
  const context = { ...base, stash: [], week, kit: kitOf(piece({ count: 4 })) };

  it('is told how the ladder carries the week: as many on the paper as the arranging writes there, by day', () => {
    const bases = of(context, 'bases')!;
    expect(bases.carried).toMatchObject({ items: 9, onStickers: 4, leftOut: 0 });
    const written = arrange(context).filter((p) => isWriting(p) && p.items.length);
    const byDay = [0, 1, 2, 3, 4, 5, 6].map((day) => written.filter((p) => p.day === day).length);
    expect(bases.carried?.onPaper).toEqual(byDay);
    const said = sayCarried(bases, bases.carried!, week.days);
    expect(said).toMatch(/^4 bases for 9 single items: 5 will be written on the paper \(Mon \d, Tue \d, Wed \d\)\. /);
    expect(said).toMatch(/ A sheet of third boxes would carry them\.$/);
    const [ink] = found('K1', context, arrange(context)).filter((f) => f.about.is === 'on paper');
    expect(ink?.message).toBe(
      '5 items of 9 have no sticker left to carry them and are written on the paper: Monday, Tuesday, Wednesday.',
    );
  });
  it('is told of no paper where rows and halves carry the rest', () => {
    const halves = {
      ...context,
      kit: kitOf(piece({ count: 5 }), piece({ code: 'H', kind: 'half-box', height: 24, count: 2 })),
    };
    const bases = of(halves, 'bases')!;
    expect(bases).toMatchObject({ there: 7, needed: 9, carried: { onPaper: [0, 0, 0, 0, 0, 0, 0], onStickers: 9 } });
    expect(sayCarried(bases, bases.carried!, week.days)).toContain('rows of lists, halves and strips carry the rest');
  });
  it('that is enough is not asked', () =>
    expect(of({ ...context, kit: kitOf(piece({ count: 9 })) }, 'bases')).not.toHaveProperty('carried'));
});
