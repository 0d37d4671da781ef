import { TODAY, done, freshHouse, refusal, spreadNow } from '../../tests/house';
import { isOf } from '../core/kit/is-of';
import { pieceKey } from '../core/kit/kit';
import { contextFrom } from '../core/spread/context';
import { isWriting } from '../core/spread/placement';
import type { Database } from '../db/database';
import { untouchedKits } from '../db/kit-use';
import { allKits, listKits } from '../db/kits';
import { kitSums } from '../db/stock';
import { startSpread } from './actions';
import { gatherFor, keepGathered } from './gather';
import { choosePlanned, saveFacts, changeStock } from './kit-actions';
import { kitTitles } from './kit-titles';
import { layOutWhole } from './lay-out-actions';
import { loadGather } from './load-gather';
import { loadPlan, tryWeek } from './plan-week';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const WEEK = '2027-W07';
const theme = { colors: ['#1f6f78', '#e8836b', '#3b2f63'], foil: null };
const gathered = async () => done(await gatherFor({ week: WEEK, theme }));
const kitsOf = (keys: readonly string[]) => [...new Set(keys.map((k) => k.split('/')[0]!))].sort();

it('is laid out as any kit is: from several kits, with the stock of each, and under its own name', async () => {
  const { keys, pieces, left } = await gathered();
  expect(kitsOf(keys).length).toBeGreaterThan(1);
  expect(left).toHaveLength(pieces.length);
  const { kit, title } = done(await keepGathered({ week: WEEK, theme, keys }));
  const before = await kitSums(db);
  expect((await listKits(db)).map((k) => k.id)).not.toContain(kit);
  expect((await allKits(db)).map((k) => k.name)).not.toContain(kit);
  expect(await untouchedKits(db)).toEqual(['night-almanac', 'rockpool']);
  expect(await kitTitles()).toContainEqual([kit, title]);
  const plan = (await loadPlan({ week: WEEK }))!;
  expect(plan.kits[0]).toMatchObject({ id: kit, gathered: true, why: 'gathered for this week' });
  const chosen = { week: WEEK, bookId: 'three-box', kitId: kit, manner: 'scattered' };
  const tried = (await tryWeek(chosen))!;
  const { id } = done(await startSpread(chosen));
  done(await layOutWhole({ spreadId: id }));
  const spread = await spreadNow(id);
  const laid = spread.placements.filter((p) => !isWriting(p));
  expect(laid.length).toBe(tried.figures.stickers);
  expect(new Set(laid.map((p) => p.kit)).size).toBeGreaterThan(1);
  const context = contextFrom(spread.context);
  expect(context.stash).toEqual([]);
  expect(laid.filter((p) => !isOf(context.kit, p))).toEqual([]);
  const after = await kitSums(db);
  const touched = (sums: typeof after) => sums.reduce((n, s) => n + s.touched, 0);
  expect(touched(after) - touched(before)).toBe(new Set(laid.map((p) => `${pieceKey(p)} ${p.copy}`)).size);
  expect(refusal(await keepGathered({ week: WEEK, theme, keys }))).toContain('a week that is not begun');
});

it('leaves alone what waits for its own week, and what is retired or used up', async () => {
  const facts = (await listKits(db)).find((k) => k.id === 'night-almanac')!.facts;
  const from = async () => kitsOf((await gathered()).pieces.map(pieceKey));
  expect(await from()).toContain('night-almanac');
  done(await choosePlanned({ week: '2027-W09', kit: 'night-almanac' }));
  expect(await from()).not.toContain('night-almanac');
  done(await choosePlanned({ week: '2027-W09', kit: null }));
  done(await choosePlanned({ week: WEEK, kit: 'night-almanac' }));
  expect(await from()).toContain('night-almanac');
  for (const change of [{ keptFor: '2027-W20' }, { retired: true }]) {
    done(await saveFacts({ kit: 'night-almanac', facts: { ...facts, ...change } }));
    expect(await from()).not.toContain('night-almanac');
  }
  const { keys } = await gathered();
  const [kit = '', code = ''] = keys.find((k) => k.startsWith('rockpool/FB'))!.split('/');
  done(await changeStock({ what: 'spoiled', kit, code, copy: null, reason: 'rain' }));
  expect((await gathered()).pieces.map(pieceKey)).not.toContain(`${kit}/${code}`);
});

it('begins with what was gathered before, or with colors that are asked for', async () => {
  const { keys } = await gathered();
  const some = keys.slice(0, 9);
  done(await keepGathered({ week: WEEK, theme, keys }));
  done(await keepGathered({ week: WEEK, theme: { ...theme, foil: 'gold' }, keys: some }));
  expect(await loadGather({ week: WEEK })).toMatchObject({ keys: some, theme: { ...theme, foil: 'gold' } });
  expect((await loadPlan({ week: WEEK }))!.kits[0]!.id).toBe(`gathered-${WEEK}`);
  const asked = await loadGather({ week: WEEK, colors: 'E8836B,9fd3c7,nonsense' });
  expect(asked).toMatchObject({ keys: null, theme: { colors: ['#e8836b', '#9fd3c7'], foil: null } });
  expect((await loadGather({ week: 'soon', colors: 'e8836b' })).theme.colors).toHaveLength(3);
  expect((await loadGather({})).week > TODAY.slice(0, 4)).toBe(true);
});

it('is refused by what is wrong', async () => {
  for (const [colors, said] of [
    [['#e8836b'], 'colors'],
    [['#e8836b', '#e8836b'], 'colors'],
    [['#e8836b', 'red'], 'colors'],
    [['#000000', '#111111', '#222222', '#333333', '#444444'], 'colors'],
  ] as const)
    expect(refusal(await gatherFor({ week: WEEK, theme: { colors, foil: null } }))).toContain(said);
  expect(refusal(await keepGathered({ week: WEEK, theme, keys: ['rockpool/nothing'] }))).toContain(
    'a sticker of yours',
  );
  expect(refusal(await keepGathered({ week: WEEK, theme, keys: [] }))).toContain('keys');
});
