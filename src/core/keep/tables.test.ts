import { threeBox } from '../book/three-box';
import { sum } from 'simple-statistics';
import { dayColumn } from '../book/columns';
import { byWeekAndName } from './by-week';
import type { DayRecord } from './day-record';
import { asCsv, columnOf, rounded } from './log-table';
import { tableOfAmounts } from './tables-of-amounts';
import { tablesOfBench } from './tables-of-bench';
import { tablesOfColors } from './tables-of-colors';
import { tablesOfDinners } from './tables-of-dinners';
import { tablesOfHabits } from './tables-of-habits';
import { tablesOfItems } from './tables-of-items';
import { tablesOfKits } from './tables-of-kits';

const record = (day: string, what: DayRecord['what'], name: string, amount: number, text = ''): DayRecord => ({
  day, what, name, amount, text,
}); // prettier-ignore

it('weeks between the first and the last have a row each, also the empty ones', () => {
  const { weeks, names, of } = byWeekAndName(
    [record('2026-12-28', 'hours', 'ferry', 8), record('2027-01-17', 'hours', 'choir', 2), record('2027-01-03', 'hours', 'ferry', 1)],
  ); // prettier-ignore
  expect(weeks).toEqual(['2026-W53', '2027-W01', '2027-W02']);
  expect(names).toEqual(['ferry', 'choir']);
  expect([of('2026-W53', 'ferry'), of('2027-W01', 'ferry'), of('2027-W02', 'choir')]).toEqual([9, 0, 2]);
  expect(byWeekAndName([]).weeks).toEqual([]);
  // January 3 is a Sunday: the first day of the week that bears the next name
  const sundays = byWeekAndName([record('2027-01-03', 'hours', 'ferry', 1)], 'sunday');
  expect(sundays.weeks).toEqual(['2027-W01']);
});

it('amounts and habits of a Sunday stand in the week that begins with it, where weeks do', () => {
  const [told, on] = [{ name: 'hours', title: 'Hours', nothing: '' }, '2027-02-07'];
  const weekOfIt = (weekStart: 'monday' | 'sunday') => [
    tableOfAmounts([record(on, 'hours', 'ferry', 8)], told, weekStart).rows[0]?.[0],
    tablesOfHabits([record(on, 'habit', 'water', 1)], on, weekStart)[0]?.rows[0]?.[0],
  ];
  expect([weekOfIt('monday'), weekOfIt('sunday')]).toEqual([
    ['2027-W05', '2027-W05'],
    ['2027-W06', '2027-W06'],
  ]);
});

it('amounts by week add up to what was written down, to the cent', () => {
  const records = Array.from({ length: 90 }, (_, i) =>
    record(`2027-0${1 + (i % 3)}-${String(1 + (i % 28)).padStart(2, '0')}`, 'spending', ['food', 'house'][i % 2]!, 0.1 * i),
  ); // prettier-ignore
  const table = tableOfAmounts(records, { name: 'spending', title: 'Spending', nothing: '', isMoney: true });
  expect(table.money).toEqual(table.columns.slice(1));
  expect(rounded(sum(columnOf(table, 'in all')), 2)).toBeCloseTo(sum(records.map((r) => r.amount)), 1);
  for (const row of table.rows) expect(row[3]).toBeCloseTo(Number(row[1]) + Number(row[2]), 2);
});

it('habits count days, not amounts, and know their streaks', () => {
  const [weeks, streaks] = tablesOfHabits(
    [record('2027-02-01', 'habit', 'water', 1), record('2027-02-02', 'habit', 'water', 3), record('2027-01-25', 'habit', 'scales', 1)],
    '2027-02-03',
  ); // prettier-ignore
  expect(weeks!.columns).toEqual(['week', 'water', 'scales']);
  expect(weeks!.rows).toEqual([
    ['2027-W04', 0, 1],
    ['2027-W05', 2, 0],
  ]);
  expect(streaks!.rows).toEqual([
    ['water', 2, 2, 2, 67],
    ['scales', 0, 1, 1, 10],
  ]);
});

it('dinners stand by week and day', () => {
  const [, all, weeks] = tablesOfDinners([record('2027-02-02', 'dinner', '', 0, 'cod')], '2027-02-03');
  expect(all!.rows).toEqual([['cod', 1, '2027-02-02', 1, '']]);
  expect(weeks!.rows).toEqual([['2027-W05', '', 'cod', '', '', '', '', '']]);
});

it('items stand by kind and day, and by what became of them', () => {
  const fates = { items: 4, done: 1, moved: 2, letGo: 1, open: 1 };
  const passed = { items: 1, done: 0, moved: 0, letGo: 0, open: 0 };
  const [days, kinds, weeks] = tablesOfItems({
    weeks: [{ week: '2027-W05', ...fates, items: 5 }],
    kinds: [{ kind: 'chore', ...fates }, { kind: 'appointment', ...passed }],
    days: [{ kind: 'chore', day: 0, items: 3 }, { kind: 'chore', day: 6, items: 1 }, { kind: 'appointment', day: 1, items: 1 }],
  }); // prettier-ignore
  expect(days!.rows).toEqual([
    ['appointment', 0, 1, 0, 0, 0, 0, 0, 1],
    ['chore', 3, 0, 0, 0, 0, 0, 1, 4],
  ]);
  expect(kinds!.rows).toEqual([
    ['appointment', 1, 0, 0, 0, 0],
    ['chore', 4, 1, 2, 1, 1],
  ]);
  expect(weeks!.rows).toEqual([['2027-W05', 5, 1, 2, 1, 1]]);
});

describe('kits', () => {
  const design = (code: string, count: number, used: number, kit = 'fog') => ({
    kit,
    code,
    kind: 'header',
    count,
    used,
  });
  const kits = [
    { kit: 'fog', title: 'Fog', price: 12, stash: false },
    { kit: 'drawer', title: 'Drawer', price: null, stash: true },
  ];
  const designs = [design('A', 8, 6), design('B', 4, 0), design('C', 30, 0, 'drawer')];
  const [weeks, all, kinds, never] = tablesOfKits(
    designs,
    [
      { week: '2027-W05', kit: 'fog', stickers: 4 },
      { week: '2027-W06', kit: 'fog', stickers: 2 },
    ],
    kits,
  );
  it('cost each week its share of the price', () => {
    expect(weeks!.rows).toEqual([
      ['2027-W05', 'Fog', 4, 4],
      ['2027-W06', 'Fog', 2, 2],
    ]);
    expect(all!.rows).toEqual([['Fog', 12, 2, 12, 6, 6, 50, 3]]);
  });
  it('tell what is used most, and what was bought and never used', () => {
    expect(kinds!.rows).toEqual([['header', 6, 42, 14]]);
    expect(never!.rows).toEqual([['Fog', 'B', 'header', 4]]);
  });
});

it('colors are those of the month of a week’s Thursday; white space is by the union of what lies there', () => {
  const column = dayColumn(threeBox, 0)!;
  const half = { page: column.page, x: column.x, y: column.y, w: column.w, h: column.h / 2, turn: 0, layer: 0 };
  const [colors, white] = tablesOfColors([
    // 2026-12-31 is a Thursday
    { week: '2026-W53', book: threeBox, pieces: [{ ...half, color: '#1f6f78' }, { ...half, color: '#1f6f78' }] },
    { week: '2027-W01', book: threeBox, pieces: [{ ...half, color: '#b03a2e', layer: 1 }] },
  ]); // prettier-ignore
  expect(colors!.rows.map((r) => r[0])).toEqual(['2026-12', '2027-01']);
  const [name] = colors!.swatches![0]!;
  expect(colors!.swatches).toEqual([[name, '#1f6f78']]);
  expect(columnOf(colors!, name)).toEqual([rounded((2 * half.w * half.h) / 100), 0]);
  expect(white!.rows[0]!.slice(0, 3)).toEqual(['2026-W53', 50, 100]);
});

it('minutes at the bench leave pauses out, and ticks that were made at once', () => {
  const at = Date.parse('2027-01-31T19:00:00Z');
  const tick = (step: string, seconds: number) => ({ week: '2027-W05', step, at: at + 1000 * seconds });
  const [minutes, pace] = tablesOfBench([
    tick('place:p1', 0), tick('place:p2', 60), tick('cut:a#1:0', 90), tick('place:p3', 90.5), tick('stack:p4,p5', 1800), tick('strange', 1810), tick('place:p6', 1860),
  ]); // prettier-ignore
  expect(minutes!.rows).toEqual([['2027-W05', 0, 0.5, 0, 2, 0, 2.5]]);
  expect(pace!.rows).toEqual([
    ['cut', 30, 1],
    ['place', 60, 2],
  ]);
});

it('a table is written as a file that no spreadsheet runs', () => {
  const table = { name: 't', title: 'T', columns: ['item', 'n'], rows: [['=1+1', 2], ['a, b', 3]], nothing: '' }; // prettier-ignore
  expect(asCsv(table)).toBe('item,n\r\n\'=1+1,2\r\n"a, b",3\r\n');
  expect(columnOf(table, 'none')).toEqual([0, 0]);
});
