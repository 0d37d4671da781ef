import type { Book, Region } from './book';
import { dateHeader, dayColumn, openPaper, pageOf, regionsOf, runsOfDays, weekendDays } from './columns';
import { deedBetween, sayBookDeed } from './deed';
import { fourPage } from './four-page';
import { hourly } from './hourly';
import { hoursOf, yOfMinute } from './hours';
import { BOOKS, bookNamed } from './registry';
import { rowFrames } from './rows';
import { threeBox } from './three-box';
import { daysIn, headedDay, inEveryDay } from './week-grid';
import { addMark, addRegion, hasDay, placeOf, removePart, repeatRight, setMark, setPlace } from './change-book';
import { contains } from '../measure/rect';

const withRows = (rows: Region['rows']): Book => ({
  ...threeBox,
  regions: threeBox.regions.map((r) => (r.id === 'day-0' ? { ...r, rows } : r)),
});
const labeled = (...labels: (string | undefined)[]): Book =>
  withRows(labels.map((label, i) => ({ y: 40 + i * 10, h: 10, ...(label === undefined ? {} : { label }) })));

describe('columns', () => {
  it('are found by their day, undefined where the book has none', () => {
    expect(dayColumn(threeBox, 3)?.id).toBe('day-3');
    expect(dateHeader(threeBox, 3)?.id).toBe('header-3');
    expect([dayColumn(threeBox, 7), dateHeader(threeBox, -1)]).toEqual([undefined, undefined]);
  });
  it('stand on paper that the binding leaves, on either side of it', () => {
    expect(openPaper(threeBox, 0)).toEqual({ x: 0, y: 0, w: expect.closeTo(166.4), h: expect.closeTo(228.6) });
    expect(openPaper(threeBox, 1)).toMatchObject({ x: 11.4, w: expect.closeTo(166.4) });
    expect(() => pageOf(threeBox, 2)).toThrow('no page 2');
  });
  it('form runs where they stand side by side on one page', () => {
    expect(runsOfDays(threeBox, [5, 6]).map((r) => r.days)).toEqual([[5, 6]]);
    expect(runsOfDays(threeBox, [2, 3]).map((r) => r.days)).toEqual([[2], [3]]);
    expect(runsOfDays(threeBox, [0, 2]).map((r) => r.days)).toEqual([[0], [2]]);
    expect(runsOfDays(fourPage, [0, 1, 2, 3]).map((r) => [r.page, r.days])).toEqual([
      [0, [0]],
      [1, [1, 2]],
      [2, [3]],
    ]);
    expect(runsOfDays(threeBox, [])).toEqual([]);
    expect(runsOfDays(threeBox, [9])).toEqual([]);
  });
  it('have spans from the first to the last of a run', () => {
    const [run] = runsOfDays(threeBox, [0, 1, 2]);
    expect(run?.span).toMatchObject({ x: dayColumn(threeBox, 0)?.x, w: expect.closeTo(3 * 38.1 + 2 * 2) });
  });
  it('of the weekend depend on the day a week begins with', () => {
    expect(weekendDays(threeBox)).toEqual([5, 6]);
    expect(weekendDays({ ...threeBox, weekStart: 'sunday' })).toEqual([6, 0]);
  });
});

describe('rows of a day', () => {
  it('are the printed boxes where the book prints some', () => {
    const frames = rowFrames(threeBox, 2);
    expect(frames).toHaveLength(3);
    for (const f of frames) expect(f.h).toBeCloseTo(48.3);
    expect(frames[0]?.y).toBeCloseTo(32 + 5.8);
  });
  it('are the rows themselves where no box is printed in them', () =>
    expect(rowFrames({ ...threeBox, marks: [] }, 2).map((f) => f.h)).toEqual(
      [54.1, 54.1, 54.1].map((h) => expect.closeTo(h)),
    ));
  it.each(['open-b6', 'disc-open', 'wide-undated', 'four-page', 'hourly'])('of %s are thirds of its column', (name) => {
    const book = bookNamed(name) as Book;
    const frames = rowFrames(book, 1);
    const column = dayColumn(book, 1) as Region;
    expect(frames).toHaveLength(3);
    for (const f of frames) expect(contains(column, { ...column, ...f })).toBe(true);
    expect(frames.map((f) => Math.round(f.h * 100))).toEqual(Array(3).fill(Math.round((column.h / 3 - 7.4) * 100)));
  });
  it('of a day that the book has not are none', () => expect(rowFrames(threeBox, 9)).toEqual([]));
});

describe('hours of a day', () => {
  it('are there in the hourly book only', () => {
    for (const [name, book] of Object.entries(BOOKS))
      expect([name, hoursOf(book, 1) !== null]).toEqual([name, name === 'hourly']);
  });
  it('put a minute where its hour is printed', () => {
    const hours = hoursOf(hourly, 0);
    if (!hours) throw new Error('the hourly book has no hours');
    for (const row of dayColumn(hourly, 0)?.rows ?? [])
      expect(yOfMinute(hours, Number(row.label) * 60)).toBeCloseTo(row.y, 6);
    expect(yOfMinute(hours, 7 * 60 + 30) - yOfMinute(hours, 7 * 60)).toBeCloseTo(11.5 / 2, 6);
  });
  it.each([
    ['too few', labeled('6', '7', '8')],
    ['words', labeled('morning', 'day', 'evening', 'night')],
    ['running backward', labeled('9', '8', '7', '6')],
    ['none at all', labeled(undefined, undefined, undefined, undefined)],
    ['three digits', labeled('100', '200', '300', '400')],
  ])('are none where rows are %s', (_, book) => expect(hoursOf(book, 0)).toBeNull());
  it('leave out rows that have another label', () => {
    const hours = hoursOf(labeled('6', '7', 'noon', '9', '10'), 0);
    expect(hours && yOfMinute(hours, 6 * 60)).toBeCloseTo(40);
    expect(hours && yOfMinute(hours, 10 * 60)).toBeCloseTo(80);
  });
});

describe('a week’s grid', () => {
  it('counts days on from page to page', () =>
    expect(daysIn([[10, 20], [5], []])).toEqual([
      { page: 0, day: 0, x: 10 },
      { page: 0, day: 1, x: 20 },
      { page: 1, day: 2, x: 5 },
    ]));
  it('puts header and column of a day at its place, and a mark in every day', () => {
    const days = daysIn([[10, 20]]);
    expect(headedDay({ page: 1, day: 4, x: 7 }, 30, { y: 2, h: 8 }, { y: 12, h: 90 })).toEqual([
      { id: 'header-4', kind: 'date-header', page: 1, day: 4, x: 7, w: 30, y: 2, h: 8 },
      { id: 'day-4', kind: 'day', page: 1, day: 4, x: 7, w: 30, y: 12, h: 90 },
    ]);
    expect(inEveryDay(days, 'line', { dx: 1.00049, y: 3, w: 9, h: 0.2 }).map((m) => m.x)).toEqual([11, 21]);
  });
});

describe('an edit of a book', () => {
  const day = { of: 'region', id: 'day-1' } as const;
  const said = (after: Book): string => sayBookDeed(deedBetween(threeBox, after));
  it('is said by what it does to which part', () => {
    expect(said(setPlace(threeBox, day, { w: 30 }))).toBe('Change a day');
    expect(said(removePart(threeBox, { of: 'region', id: 'header-2' }))).toBe('Take away a date header');
    expect(said(addRegion(threeBox, 'month-flag', 0, { x: 1, y: 1, w: 8, h: 4 }).book)).toBe('Add a month flag');
    expect(said(addMark(threeBox, 'circle', 0, { x: 1, y: 1, w: 8, h: 8 }).book)).toBe('Add a printed circle');
    expect(said(removePart(threeBox, { of: 'mark', at: 0 }))).toBe('Take away a printed box');
    expect(said(setMark(threeBox, 0, 'line'))).toBe('Change a printed line');
    expect(said({ ...threeBox, name: 'mine' })).toBe('Change the measures');
    expect(said(threeBox)).toBe('Change the measures');
  });
  it('never puts a part off its page, whatever is asked for', () => {
    for (const to of [{ x: -50 }, { x: 9999 }, { y: -1 }, { y: 9999 }, { w: 9999 }, { h: 0 }, { w: -4 }]) {
      const { page, ...at } = placeOf(setPlace(threeBox, day, to), day) as Region;
      expect(contains({ x: 0, y: 0, w: pageOf(threeBox, page).width, h: pageOf(threeBox, page).height }, at)).toBe(
        true,
      );
      expect(at.w >= 0.1 && at.h >= 0.1).toBe(true);
    }
  });
  it('takes a column’s rows along, and cuts off what would stick out of it', () => {
    const rowsOf = (to: Parameters<typeof setPlace>[2]) => {
      const region = setPlace(threeBox, day, to).regions.find((r) => r.id === 'day-1');
      return region?.rows?.map((r) => [r.y, Math.round((r.y + r.h) * 10) / 10]);
    };
    expect(rowsOf({})).toEqual([
      [32, 86.1],
      [88.1, 142.2],
      [144.2, 198.3],
    ]);
    expect(rowsOf({ y: 21 })?.[0]).toEqual([22, 76.1]);
    expect(rowsOf({ h: 100 })).toEqual([
      [32, 86.1],
      [88.1, 131],
    ]);
    expect(rowsOf({ y: 31, h: 0.5 })).toBeUndefined();
  });
  it('leaves all others as they were', () => {
    const moved = setPlace(threeBox, day, { x: 90 });
    expect(moved.marks).toBe(threeBox.marks);
    moved.regions.forEach((r, i) => {
      if (r.id !== 'day-1') expect(r).toBe(threeBox.regions[i]);
    });
  });
  it('gives each new part an id of its own', () => {
    const rect = { x: 1, y: 1, w: 20, h: 20 };
    const twice = addRegion(addRegion(threeBox, 'free', 0, rect).book, 'free', 0, rect).book;
    expect(new Set(twice.regions.map((r) => r.id)).size).toBe(twice.regions.length);
    expect(regionsOf(twice, 'free')).toHaveLength(2);
  });
  it('does nothing with a part that is not there', () => {
    const gone = { of: 'region', id: 'nowhere' } as const;
    expect(placeOf(threeBox, gone)).toBeUndefined();
    expect(setPlace(threeBox, gone, { x: 1 })).toEqual(threeBox);
    expect(removePart(threeBox, gone)).toEqual(threeBox);
    expect(repeatRight(threeBox, gone, 3, 40)).toBe(threeBox);
  });
  it('repeats marks too, each at its pitch', () => {
    const { book, part } = addMark({ ...threeBox, marks: [] }, 'line', 0, { x: 10, y: 30, w: 20, h: 1 });
    expect(repeatRight(book, part, 3, 25).marks.map((m) => m.x)).toEqual([10, 35, 60, 85]);
  });
  it('knows which kinds belong to a day', () =>
    expect(
      (['day', 'date-header', 'month-flag', 'sidebar', 'free', 'top-strip', 'bottom-strip'] as const).map(hasDay),
    ).toEqual([true, true, true, false, false, false, false]));
});
