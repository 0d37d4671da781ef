import { beginWeek, done, freshHouse, layWeek, spreadNow } from '../../tests/house';
import { demoKit } from '../../tests/fixtures';
import type { Kit } from '../core/kit/kit';
import { copyKey } from '../core/kit/ledger';
import { NO_FACTS } from '../core/kit/suggest';
import type { Database } from '../db/database';
import { addKit } from '../db/kits';
import { makeEdit } from '../db/spread-edits';
import { changeStock, saveFacts } from './kit-actions';
import { choicesFor, stocked, usualStash } from './stash';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const named = (name: string): Kit => ({
  name,
  pieces: demoKit('rockpool').pieces.map((p) => ({ ...p, kit: name })),
});

/** A week with a kit of its own, of which one sticker is laid. */
async function begun(name: string, week: string): Promise<number> {
  await addKit(db, named(name), 'kit');
  const id = await beginWeek(week, name);
  const p = (await spreadNow(await layOnce())).placements.find((q) => q.kit === 'rockpool' && q.cut === null)!;
  await makeEdit(db, id, { deed: { do: 'arrange', what: 'week' }, before: [], after: [{ ...p, kit: name }] });
  return id;
}

const card = async (kit: string, over: object): Promise<unknown> =>
  done(await saveFacts({ kit, facts: { ...NO_FACTS, ...over } }));

let laid: number | null = null;
beforeEach(() => {
  laid = null;
});
const layOnce = async (): Promise<number> => (laid ??= await layWeek(db));

describe('the usual stash', () => {
  it('is every stash, and nothing of kits that nobody has begun', async () => {
    expect(await usualStash(db, '2027-W06', 'rockpool')).toEqual(['stash']);
  });

  it('has the four latest kits begun before, the latest first', async () => {
    const weeks = ['2027-W07', '2027-W08', '2027-W09', '2027-W10', '2027-W11', '2027-W12'];
    for (const [i, week] of weeks.entries()) await begun(`tide ${i}`, week);
    await beginWeek('2027-W20', 'night-almanac');
    const stash = await usualStash(db, '2027-W20', 'night-almanac');
    expect(stash).toEqual(['stash', 'tide 5', 'tide 4', 'tide 3', 'tide 2']);
  });

  it('takes nothing of a later week, and never the week’s own kit', async () => {
    await begun('tide', '2027-W12');
    expect(await usualStash(db, '2027-W10', 'night-almanac')).not.toContain('tide');
    expect(await usualStash(db, '2027-W13', 'tide')).not.toContain('tide');
  });

  it('puts first what is soon over, and leaves alone what is kept for another week', async () => {
    await addKit(db, named('old'), 'stash');
    await addKit(db, named('saved'), 'stash');
    await card('old', { useBy: '2027-02-20' });
    await card('saved', { keptFor: '2027-W30' });
    expect(await usualStash(db, '2027-W06', 'rockpool')).toEqual(['old', 'stash']);
    expect(await usualStash(db, '2027-W30', 'rockpool')).toContain('saved');
  });
});

describe('what is there of a kit and its stash', () => {
  it('has a used copy among what is gone, of other weeks only', async () => {
    const id = await layWeek(db);
    const other = await beginWeek('2027-W07', 'night-almanac');
    const mine = await stocked(db, id, 'rockpool', [], (await spreadNow(id)).placements);
    expect(mine?.gone).toEqual([]);
    const theirs = await stocked(db, other, 'night-almanac', ['rockpool'], []);
    const there = new Set(theirs!.stash[0]!.pieces.map((p) => p.code));
    const used = (await spreadNow(id)).placements.filter((p) => p.kit === 'rockpool' && there.has(p.code));
    expect(theirs!.gone.map(copyKey).sort()).toEqual(used.map(copyKey).sort());
    expect(used.length).toBeGreaterThan(20);
  });

  it('leaves a design without a copy at home, unless it lies on the spread', async () => {
    const id = await beginWeek('2027-W07', 'night-almanac');
    const piece = demoKit('stash').pieces[0]!;
    for (let copy = 1; copy <= piece.count; copy++)
      done(await changeStock({ kit: 'stash', code: piece.code, copy, what: 'used', reason: 'a card' }));
    const codes = async (placements: Parameters<typeof stocked>[4]) =>
      (await stocked(db, id, 'night-almanac', ['stash'], placements))!.stash[0]!.pieces.map((p) => p.code);
    expect(await codes([])).not.toContain(piece.code);
    const [laidOne] = (await spreadNow(await layWeek(db))).placements;
    expect(await codes([{ ...laidOne!, kit: 'stash', code: piece.code, copy: 1 }])).toContain(piece.code);
  });

  it('is nothing where there is no such kit', async () => {
    expect(await stocked(db, await beginWeek(), 'none', [], [])).toBeNull();
  });
});

it('to be chosen are all stashes and begun kits, what is chosen first, then what has most left', async () => {
  await addKit(db, named('full'), 'stash');
  const id = await beginWeek('2027-W20', 'night-almanac');
  await begun('tide', '2027-W12');
  const choices = await choicesFor(db, id, 'night-almanac');
  expect(choices.map((c) => c.kit)).not.toContain('night-almanac');
  expect(choices.find((c) => c.kit === 'tide')).toMatchObject({ role: 'kit', chosen: false });
  expect(choices.filter((c) => c.chosen).map((c) => c.kit)).toEqual(expect.arrayContaining(['stash', 'full']));
  const open = choices.filter((c) => !c.chosen).map((c) => c.left);
  expect(open).toEqual([...open].sort((a, b) => b - a));
  const total = named('tide').pieces.reduce((sum, p) => sum + p.count, 0);
  expect(choices.find((c) => c.kit === 'tide')?.left).toBe(total - 1);
});
