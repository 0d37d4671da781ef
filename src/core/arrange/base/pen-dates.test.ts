import { context, demand, found, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { benchOf } from '../../bench/bench';
import { sayStep } from '../../bench/say-step';
import { dateHeader, dayColumn } from '../../book/columns';
import { wideUndated } from '../../book/wide-undated';
import { missingFor } from '../../make/missing';
import { centerX, contains } from '../../measure/rect';
import { writtenOn } from '../../format/written';
import { datesOf, isPenDate } from '../../spread/dates-of';
import { voiceOf } from '../../spread/voice';
import { arrange } from '../arrange';

const week = weekWith(demand({ uid: 'vet', title: 'vet', day: 2 }));
const numbers = week.days.map((d) => String(Number(d.slice(8))));
const plain = kitOf(piece({ count: 9 }));
const laidOut = (over: Parameters<typeof context>[0] = {}) => {
  const c = context({ book: wideUndated, kit: plain, week, ...over });
  const placements = arrange(c);
  return { c, placements, dates: placements.filter(isPenDate) };
};

it('B5: each day of an undated book without dot or cover gets its number in ink, in its header', () => {
  const { c, placements, dates } = laidOut();
  expect(dates.map((p) => [p.day, p.text])).toEqual(numbers.map((n, day) => [day, n]));
  for (const p of dates) expect(contains(dateHeader(c.book, p.day as number)!, p)).toBe(true);
  expect(found('B5', c, placements)).toEqual([]);
  expect(
    found(
      'B5',
      c,
      placements.filter((p) => p !== dates[3]),
    ).map((f) => f.about),
  ).toMatchObject([{ is: 'none', days: [3] }]);
  const wrong = placements.map((p) => (p === dates[3] ? { ...p, text: '99' } : p));
  expect(found('B5', c, wrong).map((f) => f.about)).toMatchObject([{ is: 'wrong', days: [3], number: '99' }]);
});

it('leaves them to dots, to covers, to what is printed, to a hand that does not write on paper', () => {
  const dots = numbers.slice(0, 5).map((words, i) => piece({ code: `D${i}`, kind: 'date-dot', words, width: 8, height: 8 })); // prettier-ignore
  expect(laidOut({ kit: kitOf(...dots) }).dates.map((p) => p.text)).toEqual(numbers.slice(5));
  const covers = kitOf(piece({ kind: 'date-cover', count: 2, width: 30, height: 10 }));
  const { c, placements, dates } = laidOut({ kit: covers });
  expect(dates).toHaveLength(5);
  for (let day = 0; day < 7; day++) {
    const said = datesOf(c, placements, (p) => covers.pieces.find((q) => q.code === p.code), day);
    expect(said.map((s) => s.number)).toEqual([numbers[day]]);
  }
  expect(laidOut({ book: { ...wideUndated, dated: true } }).dates).toEqual([]);
  expect(laidOut({ options: { onPaper: false } }).dates).toEqual([]);
});

it('goes into the circle that is printed for it, and does not white it out', () => {
  const header = dateHeader(wideUndated, 0)!;
  const circle = { kind: 'circle' as const, page: header.page, x: header.x + 2, y: header.y + 1, w: 7, h: 7 };
  const { c, placements, dates } = laidOut({ book: { ...wideUndated, marks: [circle] } });
  expect(dates[0]).toMatchObject({ x: circle.x, y: circle.y, w: 7, h: 7 });
  expect(writtenOn(c, dates[0]!, placements)!.lines).toMatchObject([{ text: numbers[0], x: 3.5, anchor: 'middle' }]);
  expect(benchOf(c, placements).whiteOut).toEqual([]);
  const large = { ...circle, w: 15 };
  const beside = laidOut({ book: { ...wideUndated, marks: [large] } }).dates[0]!;
  expect(centerX(beside)).toBeCloseTo(centerX(header));
});

it('names the day at the top of its column where there is no header', () => {
  const book = { ...wideUndated, regions: wideUndated.regions.filter((r) => r.kind !== 'date-header') };
  const { c, placements, dates } = laidOut({ book });
  expect(dates[0]).toMatchObject({ text: `Mon ${numbers[0]}` });
  for (const p of dates) expect(contains(dayColumn(c.book, p.day as number)!, p)).toBe(true);
  expect(found('B5', c, placements)).toEqual([]);
});

it('is a step of its own, of all dates', () => {
  const { c, placements, dates } = laidOut();
  const steps = benchOf(c, placements).steps.filter((s) => s.refs.some((id) => dates.some((p) => p.id === id)));
  expect(steps.map((s) => [s.do, s.about.is, s.refs.length])).toEqual([['write', 'write dates', 7]]);
  expect(sayStep(steps[0]!, voiceOf(c, placements))).toBe(
    `Write the dates with black gel pen: ${['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'].map((d, i) => `${d} “${numbers[i]}”`).join(', ')}.`,
  );
});

it('numbers are offered to be made for an undated book, once', () => {
  const made = (over: object) => missingFor(context({ book: wideUndated, kit: plain, week, ...over })).filter((l) => l.kind === 'date-dot'); // prettier-ignore
  expect(made({}).map((l) => l.words)).toEqual(numbers);
  expect(made({ kit: kitOf(piece({ kind: 'date-dot', words: numbers[0]!, count: 1 })) }).map((l) => l.words)).toEqual(numbers.slice(1)); // prettier-ignore
  expect(made({ book: { ...wideUndated, dated: true } })).toEqual([]);
});
