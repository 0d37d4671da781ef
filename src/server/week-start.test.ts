import { placement } from '../../tests/fixtures';
import { TODAY, done, freshHouse } from '../../tests/house';
import { threeBox } from '../core/book/three-box';
import type { Database } from '../db/database';
import { addBook } from '../db/books';
import { makeEdit } from '../db/spread-edits';
import { startSpread } from './actions';
import { loadAgenda } from './agenda';
import { loadPlan } from './plan-week';
import { saveWeekStart } from './settings-actions';
import { loadSettings } from './load-settings';
import { loadYears } from './log/years';
import { loadLog } from './past';
import { loadShelf } from './shelf';
import { loadSpread } from './spread-data';
import { loadThisWeek } from './this-week';
import { weekDemands } from './week-demands';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
  await addBook(db, 'sunny', { ...threeBox, name: 'Sunday week', weekStart: 'sunday' });
});
afterEach(() => db.destroy());

const begin = async (week: string, bookId: string) =>
  done(await startSpread({ week, bookId, kitId: 'rockpool', manner: 'scattered' })).id;
const plan = async (week: string, book: string) => (await loadPlan({ week, book }))!;
const titles = async () => (await loadShelf()).weeks.map((w) => w.title);

describe('the day that weeks begin on', () => {
  it('is that of one’s own book until it is set, and then the same everywhere where no book says otherwise', async () => {
    expect((await loadSettings()).weekStart).toBe('sunday');
    done(await saveWeekStart({ start: 'monday' }));
    expect((await loadSettings()).weekStart).toBe('monday');
    expect(await titles()).toContain('Feb 8 – 14');
    done(await saveWeekStart({ start: 'sunday' }));
    expect((await loadSettings()).weekStart).toBe('sunday');
    expect(await titles()).toContain('Feb 7 – 13');
    expect((await loadAgenda('2027-W06')).week.days[0]).toBe('2027-02-07');
    const { month, week } = await loadAgenda('2027-W06');
    expect([month[0]?.day, month[41]?.day]).toEqual(['2027-01-31', '2027-03-13']);
    expect(month.filter((m) => m.week === week.week).map((m) => m.day)).toEqual(week.days);
    expect((await loadThisWeek(undefined)).week.days).toContain(TODAY);
    // on Sunday itself the week that begins with it is this one
    process.env.HOBNAIL_TODAY = '2027-02-07';
    expect((await loadThisWeek(undefined)).week.week).toBe('2027-W06');
    expect((await loadAgenda(undefined)).week.week).toBe('2027-W06');
    expect((await loadShelf()).weeks.find((w) => w.away === 0)?.week).toBe('2027-W06');
    expect((await saveWeekStart({ start: 'friday' })).ok).toBe(false);
  });

  it('is the same to the log: spans of days, the same week of all years, words of a Sunday', async () => {
    done(await saveWeekStart({ start: 'sunday' }));
    const id = await begin('2027-W06', 'sunny');
    const box = placement({ kit: 'rockpool', code: 'FB-1', h: 48.3, role: 'box' });
    await makeEdit(db, id, { deed: { do: 'arrange', what: 'week' }, before: [], after: [box] });
    const log = async (words: string, first: string | null, last: string | null) =>
      (await loadLog({ words, field: null, first, last, before: null })).entries.map((e) => e.week);
    expect(await log('', '2027-02-07', '2027-02-07')).toEqual(['2027-W06']); // that Sunday opens it
    expect(await log('', '2027-02-14', '2027-02-20')).toEqual([]);
    expect((await loadYears('2027-W06'))[0]?.title).toBe('Feb 7 – 13');
    process.env.HOBNAIL_TODAY = '2027-02-07';
    expect((await loadYears(undefined))[0]?.week).toBe('2027-W06');
  });

  it('of a week with a book is its book’s: dialog, page, agenda, log and plan speak of the same days', async () => {
    const before = await plan('2027-W06', 'sunny');
    expect([before.days[0], before.days[6]]).toEqual(['2027-02-07', '2027-02-13']);
    const id = await begin('2027-W06', 'sunny');
    const spread = (await loadSpread(id))!;
    expect(spread.context.week.days).toEqual(before.days);
    expect(spread.context.week.demands).toHaveLength(before.items);
    expect((await loadAgenda('2027-W06')).week.days).toEqual(before.days);
    expect((await loadThisWeek('2027-W06')).week.days).toEqual(before.days);
    expect(await titles()).toContain('Feb 7 – 13');
    const box = placement({ kit: 'rockpool', code: 'FB-1', h: 48.3, role: 'box' });
    await makeEdit(db, id, { deed: { do: 'arrange', what: 'week' }, before: [], after: [box] });
    const log = await loadLog({ words: '', field: null, first: null, last: null, before: null });
    expect(log.entries.map((e) => e.title)).toEqual(['Feb 7 – 13']);
  });

  it('never loses a day: after a Sunday book, a Monday book takes what the Sunday between asks for', async () => {
    await begin('2027-W06', 'sunny'); // to Saturday, Feb 13
    const { between, items } = await plan('2027-W07', 'three-box');
    expect(between).toEqual({ day: '2027-02-14', is: 'lost' });
    const own = await weekDemands(db, '2027-W07', 'monday');
    const carried = own.demands.filter((d) => d.on === '2027-02-14');
    expect(carried.length).toBeGreaterThan(2);
    expect(carried.every((d) => d.day === 0 && d.title.startsWith('Sun '))).toBe(true);
    expect(own.demands).toHaveLength(items);
    expect(new Set(own.demands.map((d) => d.key)).size).toBe(items);
    expect((await plan('2027-W07', 'sunny')).between).toBeNull();
    expect((await plan('2027-W09', 'three-box')).between).toBeNull();
  });

  it('says of a day that it is on two pages, where a Sunday book comes after a Monday book', async () => {
    await begin('2027-W06', 'three-box');
    expect((await plan('2027-W07', 'sunny')).between).toEqual({ day: '2027-02-14', is: 'twice' });
  });
});
