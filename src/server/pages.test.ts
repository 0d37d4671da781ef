import { beginWeek, done, freshHouse, layWeek, TODAY } from '../../tests/house';
import { kitOf, piece } from '../../tests/fixtures';
import { putCalendar } from '../db/calendars';
import type { Database } from '../db/database';
import { addKit } from '../db/kits';
import { benchOf } from '../core/bench/bench';
import { contextFrom } from '../core/spread/context';
import { tickSteps } from './bench-actions';
import { loadAgenda } from './agenda';
import { loadBooks } from './books';
import { findItems } from './find-items';
import { choosePlanned } from './kit-actions';
import { loadKits } from './kits';
import { loadSettings } from './load-settings';
import { loadPlan } from './plan-week';
import { loadShelf } from './shelf';
import { loadSpread } from './spread-data';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

describe('the shelf', () => {
  it('shows last week, this one and six ahead, in order', async () => {
    const { weeks } = await loadShelf();
    expect(weeks.map((w) => w.away)).toEqual([-1, 0, 1, 2, 3, 4, 5]);
    expect(weeks.map((w) => w.week)).toEqual([...weeks.map((w) => w.week)].sort());
    expect(weeks[1]!.days.map((d) => d.name)).toContain(TODAY);
    expect(weeks.every((w) => w.state === 'to plan' && w.spreadId === null && w.swatches.length === 0)).toBe(true);
  });

  it('counts a day’s items, bands on each of their days, and how full it would be', async () => {
    const week = (await loadShelf()).weeks[2]!;
    expect(week.items).toBeGreaterThan(40);
    expect(week.days.reduce((n, d) => n + d.items, 0)).toBeGreaterThan(week.items);
    for (const d of week.days) expect(d.full).toBeGreaterThan(0);
  });

  it('knows a week that is begun, laid out, and stuck to the last step', async () => {
    const stateOf = async () => (await loadShelf()).weeks[2]!;
    const id = await layWeek(db);
    expect(await stateOf()).toMatchObject({ spreadId: id, state: 'laid out', kit: 'rockpool' });
    expect((await stateOf()).swatches).toHaveLength(6);
    const spread = (await loadSpread(id))!;
    const { steps } = benchOf(contextFrom(spread.context), spread.placements);
    for (const step of steps) done(await tickSteps({ spreadId: id, steps: [step.key], done: true }));
    expect((await stateOf()).state).toBe('on paper');
  });

  it('offers kits, not the stash, and the schools by name', async () => {
    const { kits, manners, books } = (await loadPlan({}))!;
    expect(kits.map((k) => k.id)).toEqual(['rockpool', 'night-almanac']);
    expect(kits[0]!.left).toBeGreaterThan(200);
    expect(manners.map((m) => m.name)).toEqual(expect.arrayContaining(['scattered', 'airy', 'three-rows']));
    expect(books.map((b) => b.id)).toContain('three-box');
  });

  it('remembers which kit is planned for a week that is not begun', async () => {
    done(await choosePlanned({ week: '2027-W07', kit: 'night-almanac' }));
    expect((await loadShelf()).weeks.find((w) => w.week === '2027-W07')).toMatchObject({
      planned: 'night-almanac',
      kit: null,
    });
  });
});

describe('the agenda', () => {
  it('opens at this week where none, or none that there is, is asked for', async () => {
    for (const wanted of [undefined, 'tomorrow', '2027-W99'])
      expect((await loadAgenda(wanted)).week.week).toBe('2027-W05');
    expect((await loadAgenda('2027-W06')).week.week).toBe('2027-W06');
  });

  it('shows six whole weeks around the month', async () => {
    const { month } = await loadAgenda('2027-W06');
    expect(month).toHaveLength(42);
    expect(month.map((d) => d.day)).toContain('2027-02-28');
  });

  it('has an entry for every item that can be changed', async () => {
    const { week, entries, fromFeed } = await loadAgenda('2027-W06');
    const missing = week.demands.filter((d) => d.aspect !== 'clock' && !entries.has(d.uid));
    expect(missing).toEqual([]);
    expect(fromFeed.size).toBe(0);
  });

  it('says what is wrong with one calendar, and shows the others', async () => {
    const broken = [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:old',
      'BEGIN:VEVENT',
      'UID:broken',
      'DTSTART:20270209T100000',
      'SUMMARY:regatta',
      'DURATION:PT',
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ].join('\r\n');
    await putCalendar(db, 'old', broken);
    await putCalendar(db, 'torn', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:2027');
    const { week, calendars } = await loadAgenda('2027-W06');
    expect(week.demands.map((d) => d.title)).toContain('regatta');
    expect(week.demands.length).toBeGreaterThan(40);
    const notes = (name: string) => calendars.find((c) => c.name === name)!.notes.join('\n');
    expect(notes('old')).toMatch(/line 4, VEVENT "broken", DURATION/);
    expect(notes('torn')).toMatch(/^It cannot be read, and its items are not shown\./);
    expect(notes('household')).toBe('');
    // and all other screens stand
    expect((await loadShelf()).weeks[2]!.items).toBe(week.demands.length);
    expect((await loadKits(undefined)).weeks).toHaveLength(8);
    expect((await loadSpread(await beginWeek()))!.context.week.demands.length).toBe(week.demands.length);
  });
});

describe('the kits', () => {
  it('lie on the table by name, else the first one', async () => {
    expect((await loadKits('rockpool')).chosen?.kit.name).toBe('rockpool');
    for (const name of [undefined, 'nobody', '__proto__', 'constructor'])
      expect((await loadKits(name)).chosen?.kit.name).toBe('night-almanac');
  });

  it('count what weeks have used of them, the stash too', async () => {
    const before = await loadKits('rockpool');
    expect(before.kits.map((k) => [k.name, k.role])).toEqual([
      ['night-almanac', 'kit'],
      ['rockpool', 'kit'],
      ['stash', 'stash'],
    ]);
    expect(before.kits.every((k) => k.touched === 0)).toBe(true);
    await layWeek(db);
    const after = await loadKits('rockpool');
    const rockpool = after.kits.find((k) => k.name === 'rockpool')!;
    expect(rockpool.touched).toBeGreaterThan(80);
    const whole = (page: typeof after): number =>
      page.chosen!.stock.reduce((n, s) => n + s.copies.filter((c) => c.state === 'whole').length, 0);
    expect(whole(after)).toBe(whole(before) - rockpool.touched);
  });

  it('are suggested for weeks without one, and counted for weeks with one', async () => {
    const { weeks } = await loadKits(undefined);
    expect(weeks).toHaveLength(8);
    for (const w of weeks) {
      expect(w.kit).toBeNull();
      expect(w.suggestions.length).toBeGreaterThan(0);
      expect(w.enough).toEqual([]);
    }
    done(await choosePlanned({ week: '2027-W06', kit: 'rockpool' }));
    const planned = (await loadKits(undefined)).weeks.find((w) => w.week === '2027-W06')!;
    expect(planned.suggestions).toEqual([]);
    expect(planned.enough.find((e) => e.what === 'full-box')).toMatchObject({ there: 8 });
  });

  it('are not there twice: what an earlier week will take a later one lacks', async () => {
    for (const week of ['2027-W06', '2027-W07']) done(await choosePlanned({ week, kit: 'rockpool' }));
    const weeks = (await loadKits(undefined)).weeks.filter((w) => w.kit === 'rockpool');
    const [first, second] = weeks.map((w) => w.enough.find((e) => e.what === 'full-box')!.there);
    expect([first, second]).toEqual([8, 1]);
  });

  it('show what a week has used and cost once it is laid out', async () => {
    await layWeek(db);
    const week = (await loadKits(undefined)).weeks.find((w) => w.week === '2027-W06')!;
    expect(week.share).toBeGreaterThan(0.3);
    expect(week.cost).toBeNull();
    expect(week.enough).toEqual([]);
  });

  it('with words of the language for pictures are shown like any other', async () => {
    const odd = ['constructor', '__proto__', 'toString', 'hasOwnProperty'].map((icon, i) =>
      piece({ kit: 'odd', code: `I${i}`, kind: 'icon', icon, motif: icon, words: icon }),
    );
    await addKit(db, { ...kitOf(...odd), name: 'odd' }, 'kit');
    const { chosen } = await loadKits('odd');
    expect(chosen!.kit.pieces.map((p) => p.icon)).toContain('constructor');
    expect((await loadSettings()).meanings).toEqual(expect.arrayContaining(['constructor', '__proto__']));
  });
});

describe('the books and the settings', () => {
  it('show the book that is asked for, else one that there is', async () => {
    expect((await loadBooks('open-b6')).chosen?.book.name).toMatch(/B6/);
    for (const id of [undefined, 'nothing', 'constructor']) expect((await loadBooks(id)).chosen).not.toBeNull();
  });

  it('have nothing set in a fresh house', async () => {
    const settings = await loadSettings();
    expect(settings).toMatchObject({ taught: [], shortForms: [] });
    expect(settings.meanings).toEqual([...settings.meanings].sort());
  });
});

describe('the search', () => {
  const titles = async (words: string) => done(await findItems({ words })).map((f) => f.title);
  it('finds titles, lists and categories, whatever their case', async () => {
    expect(await titles('CHOIR')).toEqual(expect.arrayContaining(['choir rehearsal']));
    expect(await titles('to buy')).toContain('oats');
    expect(await titles('greyhound')).toEqual(expect.arrayContaining(['foster trial: Fig']));
  });
  it('tells the next day of a series, the coming ones before those gone', async () => {
    const found = done(await findItems({ words: 'choir' }));
    expect(found[0]!.day >= TODAY).toBe(true);
    const gone = found.findIndex((f) => f.day < TODAY);
    if (gone >= 0) for (const f of found.slice(gone)) expect(f.day < TODAY).toBe(true);
    expect(new Set(found.map((f) => `${f.title} ${f.day}`)).size).toBe(found.length);
  });
  it('finds nothing for nothing, and nothing that is not there', async () => {
    expect(await titles('   ')).toEqual([]);
    expect(await titles('zeppelin')).toEqual([]);
  });
});
