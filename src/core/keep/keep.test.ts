import { medianSorted, median as theirs } from 'simple-statistics';
import { randomFrom } from '../measure/random';
import { median } from '../measure/median';
import { endBefore } from '../week/end-series';
import { plus } from '../week/typed/calendar-days';
import { isEmptyRecord } from './day-record';
import { dinnersOf, notForLong } from './dinners';
import { skippedRoutines } from './skipped';
import { streaksOf } from './streaks';

const TODAY = '2027-02-03';

describe('the median', () => {
  it('is that of a general statistics package (simple-statistics 7), over a thousand lists', () => {
    const random = randomFrom(161803);
    for (let n = 0; n < 1000; n++) {
      const list = Array.from({ length: 1 + Math.floor(random() * 30) }, () => Math.round(random() * 400) / 4);
      expect(median(list)).toBeCloseTo(theirs(list), 10);
      expect(median(list)).toBeCloseTo(medianSorted([...list].sort((a, b) => a - b)), 10);
    }
  });
  it('of nothing is 0, and leaves the list as it was', () => {
    const list = [3, 1, 2];
    expect([median([]), median(list), list]).toEqual([0, 2, [3, 1, 2]]);
  });
});

describe('streaks', () => {
  it.each([
    ['none', [], [0, 0, 0]],
    ['up to today', ['2027-02-01', '2027-02-02', '2027-02-03'], [3, 3, 3]],
    ['up to yesterday: today is still to come', ['2027-02-01', '2027-02-02'], [2, 2, 2]],
    ['broken off the day before yesterday', ['2027-01-31', '2027-02-01'], [0, 2, 2]],
    ['over the end of a year and of a month', ['2026-12-31', '2027-01-01', '2027-01-02', '2027-02-03'], [1, 3, 4]],
    ['the same day twice, out of order', ['2027-02-03', '2027-02-02', '2027-02-03'], [2, 2, 2]],
    ['days that are still to come do not count', ['2027-02-03', '2027-02-04'], [1, 1, 1]],
  ] as const)('%s', (_, days, [now, longest, kept]) => {
    expect(streaksOf(days, TODAY)).toEqual({ now, longest, kept });
  });
  it('are what counting day by day finds', () => {
    const random = randomFrom(27);
    for (let n = 0; n < 200; n++) {
      const all = Array.from({ length: 60 }, (_, i) => plus('2026-12-06', i));
      const kept = all.filter(() => random() < 0.7);
      let run = 0;
      let longest = 0;
      for (const day of all) {
        run = kept.includes(day) && day <= TODAY ? run + 1 : 0;
        longest = Math.max(longest, run);
      }
      expect(streaksOf(kept, TODAY).longest).toBe(longest);
    }
  });
});

describe('dinners', () => {
  const on = (day: string, text: string) => ({ day, text });
  const soup = [on('2027-01-01', 'Fish soup'), on('2027-01-08', 'fish  soup'), on('2027-01-18', ' fish soup ')];
  it('are one when they are written alike but for capitals and spaces; the last way of writing counts', () => {
    expect(dinnersOf(soup, TODAY)).toEqual([
      { name: 'fish soup', times: 3, last: '2027-01-18', since: 16, usual: 8.5 },
    ]);
  });
  it('that are planned, and empty ones, do not count', () => {
    expect(dinnersOf([on('2027-02-09', 'cod'), on('2027-02-01', '  ')], TODAY)).toEqual([]);
  });
  it('not had for long are those over twice their usual gap; one had once after six weeks', () => {
    const records = [...soup, on('2026-12-20', 'cod'), on('2027-01-20', 'tart'), on('2027-01-27', 'tart')];
    expect(notForLong(dinnersOf(records, TODAY), 9).map((d) => d.name)).toEqual(['cod']);
    expect(notForLong(dinnersOf(records, '2027-02-05'), 9).map((d) => d.name)).toEqual(['fish soup', 'cod']);
    expect(notForLong(dinnersOf(records, '2027-02-05'), 1)).toHaveLength(1);
  });
});

describe('routines that are skipped', () => {
  const came = (uid: string, ...marks: (string | null)[]) =>
    marks.map((mark, i) => ({ uid, title: uid, on: plus('2027-01-04', 7 * i), mark }));
  it('three times in a row are asked about, the most often first', () => {
    expect(
      skippedRoutines([...came('filter', 'done', null, 'let go', null), ...came('swim', null, null, null, null)]),
    ).toEqual([
      { uid: 'swim', title: 'swim', times: 4, on: '2027-01-25' },
      { uid: 'filter', title: 'filter', times: 3, on: '2027-01-25' },
    ]);
  });
  it('twice, or done since, or brought over, or kept by their owner, are not', () => {
    expect(
      skippedRoutines([
        ...came('a', 'done', null, null),
        ...came('b', null, null, null, 'done'),
        ...came('c', null, null, 'brought'),
        ...came('d', null, null, null, 'kept'),
      ]),
    ).toEqual([]);
  });
  it('that were kept are asked about anew when they are skipped as often again', () => {
    expect(skippedRoutines(came('d', null, null, 'kept', null, null, null))).toMatchObject([{ uid: 'd', times: 3 }]);
  });
});

it.each([
  ['FREQ=WEEKLY;BYDAY=FR', 'FREQ=WEEKLY;BYDAY=FR;UNTIL=20270202'],
  ['FREQ=DAILY;COUNT=40', 'FREQ=DAILY;UNTIL=20270202'],
  ['FREQ=MONTHLY;UNTIL=20280101;BYMONTHDAY=1', 'FREQ=MONTHLY;BYMONTHDAY=1;UNTIL=20270202'],
])('a series ends with the day before, and counts no more (RFC 5545, 3.3.10): %s', (rule, ended) => {
  expect(endBefore(rule, TODAY)).toBe(ended);
});

it('a record that says nothing is empty', () => {
  expect([isEmptyRecord({ amount: 0, text: ' ' }), isEmptyRecord({ amount: 0.5, text: '' })]).toEqual([true, false]);
});
