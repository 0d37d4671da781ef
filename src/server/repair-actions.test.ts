import { beginWeek, done, freshHouse, layWeek, placementsOf, refusal, spreadNow } from '../../tests/house';
import { demoSpread } from '../../tests/fixtures';
import type { Change } from '../core/edit/change';
import { copyKey } from '../core/kit/ledger';
import { stockOfKit, sumsOf } from '../core/kit/stock';
import type { Database } from '../db/database';
import { findKit } from '../db/kits';
import { kitSums, stockEvents, usesOf } from '../db/stock';
import { saveEdit, undoOrRedo } from './actions';
import { mend } from './repair-actions';

const { placements } = demoSpread();
const header = placements.find((p) => p.role === 'base' && p.code.startsWith('HD'))!;
const spoiledHeader = {
  what: 'spoiled',
  kit: header.kit,
  code: header.code,
  copy: header.copy,
  cut: null,
  reason: 'spoiled while sticking',
};
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
  expect(await stockEvents(db)).toEqual([spoiledHeader]);
  const now = spread.placements.filter((p) => p.kit === header.kit && p.code === header.code);
  expect(now.some((p) => p.copy === header.copy)).toBe(false);
});

it('undo takes a mishap back with its sticker, redo makes it again', async () => {
  const id = await layWeek(db);
  const before = await placementsOf(db, id);
  done(await mend({ spreadId: id, placement: header.id, what: 'spoiled' }));
  const after = await placementsOf(db, id);
  done(await undoOrRedo({ spreadId: id, way: 'undo' }));
  expect([await placementsOf(db, id), await stockEvents(db)]).toEqual([before, []]);
  done(await undoOrRedo({ spreadId: id, way: 'redo' }));
  expect([await placementsOf(db, id), await stockEvents(db)]).toEqual([after, [spoiledHeader]]);
});

it('redo of a mishap is refused once the sticker lies in another week, and other edits go on', async () => {
  const id = await layWeek(db);
  done(await mend({ spreadId: id, placement: header.id, what: 'spoiled' }));
  done(await undoOrRedo({ spreadId: id, way: 'undo' }));
  done(await undoOrRedo({ spreadId: id, way: 'undo' }));
  const other = await beginWeek('2027-W07');
  const borrowed = { ...header, id: 'p1' };
  const borrow: Change = { deed: { do: 'arrange', what: 'week' }, before: [], after: [borrowed] };
  done(await saveEdit({ spreadId: other, change: borrow }));
  expect(refusal(await undoOrRedo({ spreadId: id, way: 'redo' }))).toContain('is not there any more');
  const moved: Change = { deed: { do: 'lift all' }, before: [borrowed], after: [{ ...borrowed, y: 30 }] };
  done(await saveEdit({ spreadId: other, change: moved }));
  expect(await placementsOf(db, id)).toEqual([]);
});

it('of a strip that is spoiled only the part that lay there is lost', async () => {
  const id = await layWeek(db);
  const strips = (await placementsOf(db, id)).filter((p) => p.cut && p.role === 'base');
  const strip = strips.find((p) => strips.some((q) => q.id !== p.id && copyKey(q) === copyKey(p)))!;
  done(await mend({ spreadId: id, placement: strip.id, what: 'spoiled' }));
  expect(await stockEvents(db)).toMatchObject([{ what: 'spoiled', copy: strip.copy, cut: strip.cut }]);
  const kit = (await findKit(db, strip.kit))!;
  const line = stockOfKit(kit, await usesOf(db, strip.kit), await stockEvents(db)).find(
    (l) => l.piece.code === strip.code,
  )!;
  expect(['cut', 'used']).toContain(line.copies[strip.copy - 1]!.state);
  const sums = sumsOf(stockOfKit(kit, await usesOf(db, strip.kit), await stockEvents(db)));
  expect((await kitSums(db)).find((k) => k.kit === strip.kit)).toMatchObject({
    touched: sums.used + sums.cut + sums.planned,
    spoiled: 0,
  });
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
