/**
 * @jest-environment node
 */
import { beginWeek, done, freshHouse, layWeek, placementsOf, refusal, spreadNow } from '../../tests/house';
import { benchOf } from '../core/bench/bench';
import { USUAL_PACE, paceOf } from '../core/bench/pace';
import { MANNERS } from '../core/manner/registry';
import { contextFrom } from '../core/spread/context';
import { isWriting } from '../core/spread/placement';
import type { Database } from '../db/database';
import { editKits } from '../db/kit-edits';
import { givenUpWeeks } from '../db/given-up';
import { listLikes } from '../db/likes';
import { listSupplies } from '../db/plans';
import { makeEdit } from '../db/spread-edits';
import { stockEvents } from '../db/stock';
import { lastTicks, setTick, ticksOf } from '../db/ticks';
import {
  dropSpread,
  finishSpread,
  judgeLayout,
  judgeSpread,
  removePhoto,
  saveKeepNote,
  saveWorkPlan,
  takeUpSpread,
  tickSteps,
  unfinishSpread,
} from './bench-actions';
import { loadSettings } from './load-settings';
import { setMannerOf } from './manner-actions';
import { mend } from './repair-actions';
import { forgetTaste, heedChoice } from './settings-actions';
import { loadPlan } from './plan-week';
import { loadShelf } from './shelf';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const stepsNow = async (id: number) => {
  const { context, placements, work } = await spreadNow(id);
  return benchOf(contextFrom(context), placements, undefined, work).steps;
};
const supply = (amount: number, name = 'correction tape') =>
  editKits(db, { do: 'supply', name, amount, unit: 'm', reason: 'bought' }, [
    { table: 'supply', key: name, row: { unit: 'm', amount, warn_at: 1 } },
  ]);
const tape = async () => (await listSupplies(db)).map((s) => s.amount);
const touched = async () =>
  (await db.selectFrom('kit_stock').select('touched').where('kit_id', '=', 'rockpool').executeTakeFirstOrThrow())
    .touched;

describe('ticks', () => {
  it('of a whole group are made in one stroke, and taken back in one', async () => {
    const id = await layWeek(db);
    const group = (await stepsNow(id)).filter((s) => s.group.is === 'boxes').map((s) => s.key);
    done(await tickSteps({ spreadId: id, steps: group, done: true }));
    expect((await ticksOf(db, id)).sort()).toEqual([...group].sort());
    expect((await placementsOf(db, id)).filter((p) => p.locked).length).toBeGreaterThanOrEqual(group.length - 2);
    done(await tickSteps({ spreadId: id, steps: group, done: false }));
    expect([await ticksOf(db, id), (await placementsOf(db, id)).filter((p) => p.locked)]).toEqual([[], []]);
  });

  it('of white-out count the tape down that is in the house, as far as it is there, and give it back', async () => {
    await supply(2);
    const id = await layWeek(db);
    const step = 'white-out:0:40:1500';
    done(await tickSteps({ spreadId: id, steps: [step], done: true }));
    expect(await tape()).toEqual([0.5]);
    done(await tickSteps({ spreadId: id, steps: [step], done: true })); // twice is once
    expect(await tape()).toEqual([0.5]);
    done(await tickSteps({ spreadId: id, steps: ['white-out:1:40:1500'], done: true }));
    expect(await tape()).toEqual([0]);
    done(await tickSteps({ spreadId: id, steps: ['white-out:1:40:1500', step], done: false }));
    expect(await tape()).toEqual([2]);
  });

  it('tell the owner’s own pace, once there are enough', async () => {
    const id = await beginWeek();
    for (let i = 0; i < 7; i++)
      await setTick(db, id, `place:p${i}`, true, new Date(1_800_000_000_000 + i * 30_000).toISOString());
    expect(paceOf(await lastTicks(db))).toEqual({ pace: { ...USUAL_PACE, place: 30 }, own: ['place'] });
  });

  it('of a spread that is not there are refused', async () =>
    expect(refusal(await tickSteps({ spreadId: 9, steps: ['place:p1'], done: true }))).not.toBe('it was accepted'));
});

describe('the order of work', () => {
  it('is kept with the spread, and what it does not know falls in', async () => {
    const id = await layWeek(db);
    const before = await stepsNow(id);
    done(await saveWorkPlan({ spreadId: id, order: 'cutting first', sequence: [], tapeOut: false }));
    const now = await stepsNow(id);
    expect(now.map((s) => s.key).sort()).toEqual(before.map((s) => s.key).sort());
    const lastCut = now.findLastIndex((s) => s.do === 'cut');
    expect(lastCut).toBeLessThan(now.findIndex((s) => s.do === 'place'));
    expect(refusal(await saveWorkPlan({ spreadId: id, order: 'backwards', sequence: [], tapeOut: false }))).toContain(
      'order',
    );
  });

  it('without tape goes on with what needs none, and the house has none', async () => {
    await supply(3);
    const id = await layWeek(db);
    done(await saveWorkPlan({ spreadId: id, order: 'over the week', sequence: [], tapeOut: true }));
    expect(await tape()).toEqual([0]);
    expect((await stepsNow(id))[0]?.do).not.toBe('white-out');
  });
});

describe('when it goes wrong', () => {
  const base = async (id: number) => {
    const { context, placements } = await spreadNow(id);
    const index = new Map(contextFrom(context).kit.pieces.map((p) => [p.code, p]));
    return placements.find(
      (p) => p.kit === 'rockpool' && p.role === 'day' && p.layer === 0 && !p.cut && (index.get(p.code)?.count ?? 0) > 3,
    )!;
  };

  it('a torn one and one that is not on its sheet are replaced, and the stock knows why', async () => {
    const id = await layWeek(db);
    const p = await base(id);
    done(await mend({ spreadId: id, placement: p.id, what: 'torn' }));
    const now = (await placementsOf(db, id)).find((q) => q.id === p.id)!;
    expect([now.code, now.copy === p.copy]).toEqual([p.code, false]);
    done(await mend({ spreadId: id, placement: p.id, what: 'missing' }));
    expect((await stockEvents(db, 'rockpool')).map((e) => [e.what, e.reason])).toEqual([
      ['spoiled', 'torn'],
      ['used', 'was not on its sheet'],
    ]);
  });

  it('one that was stuck 2 mm too low stays there, stuck, and the next ones make way', async () => {
    const id = await layWeek(db);
    const p = await base(id);
    const { repair } = done(await mend({ spreadId: id, placement: p.id, what: 'off', dx: 0.5, dy: 2 }));
    const now = await placementsOf(db, id);
    const there = now.find((q) => q.id === p.id)!;
    expect([there.x, there.y, there.locked]).toEqual([expect.closeTo(p.x + 0.5), expect.closeTo(p.y + 2), true]);
    expect(repair.change.after.length).toBeGreaterThanOrEqual(1);
    expect(await stockEvents(db, 'rockpool')).toEqual([]);
    expect(refusal(await mend({ spreadId: id, placement: p.id, what: 'off', dx: 0, dy: 99 }))).toContain('dy');
  });

  it('who changed their mind gets another piece there, and loses none', async () => {
    const id = await layWeek(db);
    const p = await base(id);
    done(await mend({ spreadId: id, placement: p.id, what: 'other' }));
    const now = await placementsOf(db, id);
    const there = now.find((q) => q.items.some((uid) => p.items.includes(uid)) && q.day === p.day)!;
    expect(`${there.kit}/${there.code}`).not.toBe(`${p.kit}/${p.code}`);
    expect(await stockEvents(db, 'rockpool')).toEqual([]);
  });
});

describe('a spread that is on paper', () => {
  it('is so from the day it was finished, whatever is ticked, and not any more when that is taken back', async () => {
    const id = await layWeek(db);
    const stateOf = async () => (await loadShelf()).weeks.find((w) => w.spreadId === id)?.state;
    expect(await stateOf()).toBe('laid out');
    done(await finishSpread({ spreadId: id }));
    expect((await spreadNow(id)).keep).toEqual({
      finished: '2027-02-03',
      photo: '',
      loved: [],
      jarred: [],
      choices: { loved: [], jarred: [] },
      note: '',
      rating: 0,
      tags: [],
    });
    expect(await stateOf()).toBe('on paper');
    done(await unfinishSpread({ spreadId: id }));
    expect([(await spreadNow(id)).keep, await stateOf()]).toEqual([null, 'laid out']);
  });

  it('teaches what was loved and what jarred; what is taken back is unlearned', async () => {
    const id = await layWeek(db);
    const [one, two] = [
      ...new Set((await placementsOf(db, id)).filter((p) => !isWriting(p)).map((p) => `${p.kit}/${p.code}`)),
    ] as [string, string];
    expect(refusal(await judgeSpread({ spreadId: id, loved: [one], jarred: [] }))).toContain('on paper');
    done(await finishSpread({ spreadId: id }));
    const learned = async () => new Map((await listLikes(db)).map((l) => [`${l.kit}/${l.code}`, l.weight]));
    done(await judgeSpread({ spreadId: id, loved: [one], jarred: [two] }));
    expect([(await learned()).get(one), (await learned()).get(two)]).toEqual([1, -1]);
    done(await judgeSpread({ spreadId: id, loved: [one], jarred: [two] }));
    expect((await learned()).get(one)).toBe(1); // said again is not learned again
    done(await judgeSpread({ spreadId: id, loved: [], jarred: [two] }));
    expect([(await learned()).get(one), (await learned()).get(two)]).toEqual([undefined, -1]);
    expect(refusal(await judgeSpread({ spreadId: id, loved: ['rockpool/constructor'], jarred: [] }))).toContain(
      'pieces of this spread',
    );
    done(await saveKeepNote({ spreadId: id, note: 'less blue' }));
    done(await removePhoto({ spreadId: id }));
    expect((await spreadNow(id)).keep?.note).toBe('less blue');
    done(await unfinishSpread({ spreadId: id }));
    expect(await learned()).toEqual(new Map());
  });

  it('teaches how its owner likes a school’s weeks; new ones are set so, and are not once it is not heeded', async () => {
    const id = await layWeek(db);
    const said = { spreadId: id, loved: [], jarred: [] };
    expect(refusal(await judgeLayout(said))).toContain('on paper');
    const { headers } = MANNERS.scattered!.habits;
    done(await setMannerOf({ spreadId: id, manner: { school: 'scattered', options: { headers: 'none' }, ways: {} } }));
    done(await finishSpread({ spreadId: id }));
    expect(refusal(await judgeLayout({ ...said, loved: [`headers=${headers}`] }))).toContain(
      'how this spread was laid',
    );
    done(await judgeLayout({ ...said, loved: ['headers=none'], jarred: [] }));
    expect((await spreadNow(id)).keep?.choices).toEqual({ loved: ['headers=none'], jarred: [] });
    const leans = async () => (await loadPlan({}))!.manners.map((m) => [m.name, m.leans] as const);
    expect(new Map(await leans()).get('scattered')).toEqual(['Headers and lists · Header colors: none']);
    expect(new Map(await leans()).get('airy')).toEqual([]);
    const ownOfNew = async (week: string) => (await spreadNow(await beginWeek(week))).own;
    expect(await ownOfNew('2027-W07')).toEqual({ options: { headers: 'none' }, ways: {} });
    done(await heedChoice({ manner: 'scattered', choice: 'headers=none', off: true }));
    expect(await ownOfNew('2027-W08')).toEqual({ options: {}, ways: {} });
    expect((await loadSettings()).likedChoices).toEqual([
      { manner: 'scattered', choice: 'headers=none', weight: 1, off: true },
    ]);
    done(await unfinishSpread({ spreadId: id }));
    expect((await loadSettings()).likedChoices).toEqual([]);
    done(await finishSpread({ spreadId: id }));
    done(await judgeLayout({ ...said, jarred: ['headers=none'] }));
    expect((await loadSettings()).likedChoices).toMatchObject([{ weight: -1 }]);
    done(await forgetTaste());
    expect((await loadSettings()).likedChoices).toEqual([]);
  });
});

describe('a week that is given up', () => {
  it('gives back what was not stuck; what lies on a page stays used, each part by itself', async () => {
    const id = await layWeek(db);
    const laid = (await placementsOf(db, id)).filter((p) => !isWriting(p));
    const stuck = laid.filter((p) => p.kit === 'rockpool').slice(0, 12);
    done(await dropSpread({ spreadId: id, stuck: stuck.map((p) => p.id) }));
    expect(await placementsOf(db, id)).toEqual([]);
    expect(await stockEvents(db, 'rockpool')).toHaveLength(stuck.length);
    expect(await touched()).toBe(new Set(stuck.map((p) => `${p.code}#${p.copy}`)).size);
  });

  it('is taken up again with all of it: places, ticks, history', async () => {
    const id = await layWeek(db);
    const [first] = await stepsNow(id);
    done(await tickSteps({ spreadId: id, steps: [first!.key], done: true }));
    done(await finishSpread({ spreadId: id }));
    const [before, rows] = [await spreadNow(id), await touched()];
    const stuck = before.placements
      .filter((p) => !isWriting(p))
      .slice(0, 5)
      .map((p) => p.id);
    const { givenUp } = done(await dropSpread({ spreadId: id, stuck }));
    expect(await givenUpWeeks(db)).toEqual([expect.objectContaining({ id: givenUp, week: '2027-W06' })]);
    expect(done(await takeUpSpread({ id: givenUp }))).toEqual({ id });
    expect(await spreadNow(id)).toEqual(before);
    expect([await touched(), await stockEvents(db), await givenUpWeeks(db)]).toEqual([rows, [], []]);
    expect(refusal(await takeUpSpread({ id: givenUp }))).toContain('can be taken up');
  });

  it('is taken up beside a week that was begun meanwhile, but not while its own is planned anew', async () => {
    const id = await layWeek(db);
    const { givenUp } = done(await dropSpread({ spreadId: id }));
    const anew = await beginWeek();
    expect(await givenUpWeeks(db)).toEqual([]);
    expect(refusal(await takeUpSpread({ id: givenUp }))).toContain('planned again');
    done(await dropSpread({ spreadId: anew }));
    const meanwhile = await beginWeek('2027-W09');
    const { id: again } = done(await takeUpSpread({ id: givenUp }));
    expect(again).not.toBe(meanwhile);
    expect((await placementsOf(db, again)).length).toBeGreaterThan(50);
    expect(await placementsOf(db, meanwhile)).toEqual([]);
  });

  it('is not taken up once another week has one of its stickers, and nothing changes then', async () => {
    const id = await layWeek(db);
    const lay = await placementsOf(db, id);
    const { givenUp } = done(await dropSpread({ spreadId: id }));
    const other = await beginWeek('2027-W09');
    const [first] = lay.filter((p) => !isWriting(p));
    await makeEdit(db, other, { deed: { do: 'lift all' }, before: [], after: [first!] });
    expect(refusal(await takeUpSpread({ id: givenUp }))).toContain('in two places');
    expect((await db.selectFrom('spread').select('week').execute()).map((r) => r.week)).toEqual(['2027-W09']);
    expect(await givenUpWeeks(db)).toHaveLength(1);
  });

  it('of which nobody knows anything is no trouble', async () => {
    expect(done(await dropSpread({ spreadId: 99 }))).toEqual({ givenUp: null });
    expect(refusal(await takeUpSpread({ id: 99 }))).toContain('can be taken up');
  });
});
