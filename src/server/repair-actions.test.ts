import { done, freshHouse, layWeek, placementsOf, refusal, spreadNow } from '../../tests/house';
import { demoSpread } from '../../tests/fixtures';
import { kitHistory } from '../db/kit-edits';
import type { Database } from '../db/database';
import { stockEvents } from '../db/stock';
import { undoOrRedo } from './actions';
import { mend } from './repair-actions';

const { placements } = demoSpread();
const header = placements.find((p) => p.role === 'base' && p.code.startsWith('HD'))!;
let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

it('a spoiled sticker is replaced, and the stock knows, in one stroke', async () => {
  const id = await layWeek(db);
  const { changed, repair, spread } = done(await mend({ spreadId: id, placement: header.id, what: 'spoiled' }));
  expect(changed.length).toBeGreaterThan(0);
  expect(repair.change.deed).toMatchObject({ do: 'replace spoiled', thing: { kind: 'header' } });
  expect(await stockEvents(db)).toEqual([
    { what: 'spoiled', kit: header.kit, code: header.code, copy: header.copy, reason: 'spoiled while sticking' },
  ]);
  const now = spread.placements.filter((p) => p.kit === header.kit && p.code === header.code);
  expect(now.some((p) => p.copy === header.copy)).toBe(false);
  expect((await kitHistory(db)).undo).toMatchObject({ do: 'stock', what: 'spoiled' });
});

it('a spoiled sticker is not laid again by undo: it is not there any more', async () => {
  const id = await layWeek(db);
  done(await mend({ spreadId: id, placement: header.id, what: 'spoiled' }));
  const before = await placementsOf(db, id);
  expect(refusal(await undoOrRedo({ spreadId: id, way: 'undo' }))).toContain('is not there any more');
  expect(await placementsOf(db, id)).toEqual(before);
});

it('when none is left, all that are whole count as used', async () => {
  const id = await layWeek(db);
  done(await mend({ spreadId: id, placement: header.id, what: 'out' }));
  const left = (await spreadNow(id)).placements.filter((p) => p.kit === header.kit && p.code === header.code);
  expect(left).toEqual([]);
  expect((await stockEvents(db)).every((e) => e.what === 'used' && e.code === header.code)).toBe(true);
});

it('what is not on the spread is refused, and nothing is noted', async () => {
  const id = await layWeek(db);
  expect(refusal(await mend({ spreadId: id, placement: 'p9999', what: 'spoiled' }))).toContain(
    'a piece of this spread',
  );
  expect(await stockEvents(db)).toEqual([]);
});
