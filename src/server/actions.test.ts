import { beginWeek, done, freshHouse, layWeek, placementsOf, refusal, spreadNow } from '../../tests/house';
import { demoSpread } from '../../tests/fixtures';
import { benchOf } from '../core/bench/bench';
import { lockPiece } from '../core/edit/alter';
import { movePiece } from '../core/edit/move';
import { removePiece } from '../core/edit/remove';
import { swapPiece, swapsFor } from '../core/edit/swap';
import { contextFrom } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import { weekRhythm } from '../core/spread/week-rhythm';
import type { Database } from '../db/database';
import { listLikes } from '../db/likes';
import { peelsOf } from '../db/sticker-facts';
import { ticksOf } from '../db/ticks';
import {
  changesToUndo,
  readSpread,
  saveEdit,
  setStash,
  startSpread,
  stashChoices,
  undoOrRedo,
  waveThrough,
} from './actions';
import { dropSpread, tickSteps } from './bench-actions';

const { context, placements } = demoSpread();
const box = placements.find((p) => p.role === 'box')!;
let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const moved = (by: number, from: readonly Placement[] = placements) =>
  movePiece(context, from, box.id, { page: box.page, x: box.x, y: box.y + by, day: box.day })!;

describe('a week', () => {
  it('is begun once: the second time it is the one that is there', async () => {
    const id = await beginWeek();
    expect(await beginWeek()).toBe(id);
    expect((await spreadNow(id)).context).toMatchObject({ manner: 'scattered', kit: { name: 'rockpool' } });
  });

  it.each([
    [{ week: '2027-W54' }, 'a week such as 2027-W06'],
    [{ week: 'soon' }, 'week'],
    [{ bookId: 'constructor' }, 'one of your books'],
    [{ kitId: '__proto__' }, 'one of your kits'],
    [{ manner: 'toString' }, 'a manner of your own'],
  ])('is not begun with %j', async (over, why) => {
    const wanted = { week: '2027-W06', bookId: 'three-box', kitId: 'rockpool', manner: 'airy', ...over };
    expect(refusal(await startSpread(wanted))).toContain(why);
    expect(await db.selectFrom('spread').select('id').execute()).toEqual([]);
  });

  it('is given up with all that lay on it, and its stickers are free again', async () => {
    const id = await layWeek(db);
    done(await dropSpread({ spreadId: id }));
    expect(await placementsOf(db, id)).toEqual([]);
    expect(await db.selectFrom('log').select('seq').execute()).toEqual([]);
    const { touched } = await db
      .selectFrom('kit_stock')
      .select('touched')
      .where('kit_id', '=', 'rockpool')
      .executeTakeFirstOrThrow();
    expect(touched).toBe(0);
  });
});

describe('an edit', () => {
  it('that is sent again, since its answer was lost, is taken once; so is an undo', async () => {
    const id = await layWeek(db);
    const first = done(await saveEdit({ spreadId: id, change: moved(2) }));
    const now = await placementsOf(db, id);
    expect(done(await saveEdit({ spreadId: id, change: moved(2) }))).toEqual(first);
    expect(await placementsOf(db, id)).toEqual(now);
    const { revision } = first;
    done(await undoOrRedo({ spreadId: id, way: 'undo', revision }));
    const undone = await placementsOf(db, id);
    expect(await undoOrRedo({ spreadId: id, way: 'undo', revision })).toMatchObject({ ok: false, stale: true });
    expect(await placementsOf(db, id)).toEqual(undone);
  });

  it('is on the disk when it answers, and its number only rises', async () => {
    const id = await layWeek(db);
    const first = done(await saveEdit({ spreadId: id, change: moved(2) }));
    expect(first.undo).toMatchObject({ do: 'move', thing: { kind: 'full-box' } });
    const undone = done(await undoOrRedo({ spreadId: id, way: 'undo' }))!;
    const other = done(await saveEdit({ spreadId: id, change: moved(4) }));
    const numbers = [first.revision, undone.history.revision, other.revision];
    expect(numbers).toEqual([...new Set(numbers)].sort((a, b) => a - b));
    expect((await placementsOf(db, id)).find((p) => p.id === box.id)?.y).toBe(box.y + 4);
  });

  it('is refused when the spread is another by now, and nothing of it is kept', async () => {
    const id = await layWeek(db);
    done(await saveEdit({ spreadId: id, change: moved(2) }));
    expect(refusal(await saveEdit({ spreadId: id, change: moved(3) }))).toContain('another window');
    expect((await placementsOf(db, id)).find((p) => p.id === box.id)?.y).toBe(box.y + 2);
  });

  it('is refused for a sticker that another week has by now, also in undo', async () => {
    const id = await layWeek(db);
    const removal = removePiece(context, placements, box.id)!;
    done(await saveEdit({ spreadId: id, change: removal }));
    const later = await beginWeek('2027-W07');
    const alone = { deed: { do: 'lift all' }, before: [], after: [{ ...box, id: 'p1', items: [], locked: false }] };
    done(await saveEdit({ spreadId: later, change: alone }));
    expect(refusal(await undoOrRedo({ spreadId: id, way: 'undo' }))).toContain('is not there any more');
    const gone = new Set(removal.before.map((p) => p.id));
    expect(await placementsOf(db, id)).toEqual(placements.filter((p) => !gone.has(p.id)));
    expect((await spreadNow(id)).history.undo).toMatchObject({ do: 'take off' });
  });

  it('knows how high the boxes of the weeks before stand and how bold they are, the newest first (E4)', async () => {
    const first = await layWeek(db);
    const later = await beginWeek('2027-W07');
    const { boxesBefore, kit } = (await spreadNow(later)).context;
    expect(boxesBefore).toHaveLength(1);
    expect(boxesBefore?.[0]?.heights.filter((h) => h !== null).length).toBeGreaterThan(3);
    const { book } = (await spreadNow(first)).context;
    const colorOf = (p: Placement) => kit.pieces.find((piece) => piece.code === p.code)?.color;
    expect(boxesBefore?.[0]).toEqual(weekRhythm(book, await placementsOf(db, first), colorOf));
    expect((await spreadNow(first)).context.boxesBefore).toEqual([]);
  });

  it('teaches a taste, and its undo unlearns it', async () => {
    const id = await layWeek(db);
    const swap = swapPiece(context, placements, box.id, swapsFor(context, placements, box.id)[0]!.piece)!;
    done(await saveEdit({ spreadId: id, change: swap }));
    expect((await listLikes(db)).map((l) => l.weight).sort()).toEqual([-1, 1]);
    done(await undoOrRedo({ spreadId: id, way: 'undo' }));
    expect(await listLikes(db)).toEqual([]);
    done(await undoOrRedo({ spreadId: id, way: 'redo' }));
    expect((await listLikes(db)).map((l) => l.weight).sort()).toEqual([-1, 1]);
  });

  it('answers that there is nothing to undo on an empty week', async () => {
    const id = await beginWeek();
    expect(done(await undoOrRedo({ spreadId: id, way: 'undo' }))).toBeNull();
  });

  it('can be undone though a field was added to placements since it was stored', async () => {
    const id = await layWeek(db);
    done(await saveEdit({ spreadId: id, change: moved(2) }));
    const row = await db.selectFrom('log').selectAll().orderBy('seq', 'desc').executeTakeFirstOrThrow();
    const effects = row.effects.replace(/"ink":(null|"[^"]*"),/g, ''); // as if it had not been known then
    expect(effects).not.toBe(row.effects);
    await db.updateTable('log').set({ effects }).where('seq', '=', row.seq).execute();
    const undone = await undoOrRedo({ spreadId: id, way: 'undo' });
    expect(refusal(undone)).toBe('it was accepted');
  });
});

describe('a step of the bench', () => {
  const item = placements.find((p) => p.role === 'day' && p.layer === 0 && p.items.length === 1)!;
  const step = benchOf(context, placements).steps.find((s) => s.refs.includes(item.id))!;

  it('sticks its pieces down in the same stroke, and frees them again', async () => {
    const id = await layWeek(db);
    done(await tickSteps({ spreadId: id, steps: [step.key], done: true }));
    expect((await placementsOf(db, id)).find((p) => p.id === item.id)?.locked).toBe(true);
    expect(await ticksOf(db, id)).toEqual([step.key]);
    done(await tickSteps({ spreadId: id, steps: [step.key], done: false }));
    expect((await placementsOf(db, id)).find((p) => p.id === item.id)?.locked).toBe(false);
    expect([await ticksOf(db, id), await peelsOf(db, id)]).toEqual([[], {}]);
  });

  it('is no step done any more when its piece is peeled off, and the peel is counted till it is undone', async () => {
    const id = await layWeek(db);
    done(await tickSteps({ spreadId: id, steps: [step.key], done: true }));
    const stuck = (await placementsOf(db, id)).find((p) => p.id === item.id)!;
    done(await saveEdit({ spreadId: id, change: lockPiece(context, stuck) }));
    expect(await ticksOf(db, id)).toEqual([]);
    expect(Object.values(await peelsOf(db, id))).toEqual([1]);
    done(await undoOrRedo({ spreadId: id, way: 'undo' }));
    expect(await peelsOf(db, id)).toEqual({});
  });

  it('that sticks nothing down is only ticked', async () => {
    const id = await layWeek(db);
    done(await tickSteps({ spreadId: id, steps: ['white-out:0:3:120'], done: true }));
    expect(await ticksOf(db, id)).toEqual(['white-out:0:3:120']);
    expect((await spreadNow(id)).history.undo).toEqual({ do: 'arrange', what: 'week' });
  });
});

describe('the stash of a week', () => {
  it('is what is usual at first, and what is chosen from then on', async () => {
    const id = await beginWeek();
    expect((await spreadNow(id)).context.stash.map((k) => k.name)).toEqual(['stash']);
    expect(done(await stashChoices({ spreadId: id }))).toEqual([
      expect.objectContaining({ kit: 'stash', role: 'stash', chosen: true }),
    ]);
    expect(done(await setStash({ spreadId: id, kits: [] })).stash).toEqual([]);
    expect(done(await setStash({ spreadId: id, kits: ['night-almanac'] })).stash.map((k) => k.name)).toEqual([
      'night-almanac',
    ]);
    expect(refusal(await setStash({ spreadId: id, kits: ['__proto__'] }))).toContain('kits of your own');
  });

  it('keeps what the spread has taken from, whatever is chosen', async () => {
    const id = await layWeek(db);
    const used = placements.some((p) => p.kit === 'stash');
    expect(used).toBe(true);
    expect(done(await setStash({ spreadId: id, kits: [] })).stash.map((k) => k.name)).toEqual(['stash']);
  });
});

it('findings are waved through and said again', async () => {
  const id = await layWeek(db);
  const key = '["D3","full",[1],null]';
  expect(done(await waveThrough({ spreadId: id, key, wanted: true }))).toEqual([key]);
  expect(done(await waveThrough({ spreadId: id, key: 'other', wanted: true }))).toEqual([key, 'other']);
  expect(done(await waveThrough({ spreadId: id, key, wanted: false }))).toEqual(['other']);
  expect((await spreadNow(id)).waved).toEqual(['other']);
});

it('a window that fell behind reads what is on the disk; one of a week that is gone is told', async () => {
  const id = await layWeek(db);
  expect(done(await readSpread({ spreadId: id })).placements).toEqual(placements);
  expect(refusal(await readSpread({ spreadId: 99 }))).toContain('a spread that was not given up');
  expect(refusal(await stashChoices({ spreadId: 99 }))).toContain('a spread that was not given up');
});

it('what travels to the browser is of few kits, and only what is living of them', async () => {
  const id = await layWeek(db);
  const later = await spreadNow(await beginWeek('2027-W07'));
  const night = later.context.stash.find((k) => k.name === 'night-almanac');
  expect(night).toBeUndefined();
  const used = placements.filter((p) => p.kit === 'rockpool');
  expect(later.context.usedElsewhere.filter((u) => u.kit === 'rockpool').length).toBeLessThanOrEqual(used.length);
  const own = contextFrom((await spreadNow(id)).context);
  expect(own.usedElsewhere).toEqual([]);
});

it('what undo would change is told ahead, the next first, and it is what undo then does', async () => {
  const id = await layWeek(db);
  for (let n = 0; n < 13; n++) {
    const there = await placementsOf(db, id);
    const { x, y } = there.find((p) => p.id === box.id)!;
    const change = movePiece(context, there, box.id, { page: box.page, x, y: y + (n % 2 ? -1 : 1), day: box.day })!;
    done(await saveEdit({ spreadId: id, change }));
  }
  const told = done(await changesToUndo({ spreadId: id }));
  expect(told).toHaveLength(12);
  const { change } = done(await undoOrRedo({ spreadId: id, way: 'undo' }))!;
  expect(told[0]).toEqual(change);
  expect(done(await changesToUndo({ spreadId: id }))[0]).toEqual(told[1]);
  expect(done(await changesToUndo({ spreadId: 99 }))).toEqual([]);
  expect(refusal(await changesToUndo({ spreadId: 'all' }))).toContain('spreadId');
});
