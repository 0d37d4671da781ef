import { beginWeek, done, freshHouse, layWeek, refusal, spreadNow } from '../../tests/house';
import { demoSpread } from '../../tests/fixtures';
import { writeKit } from '../core/format/kit-csv';
import { imageOf } from '../core/format/image-of';
import type { Kit } from '../core/kit/kit';
import { pieceKey } from '../core/kit/kit';
import { isRoll } from '../core/kit/kit';
import { stockOfKit, sumsOf } from '../core/kit/stock';
import type { Database } from '../db/database';
import { allKits, findKit, listKits } from '../db/kits';
import { favoritesOf } from '../db/manners';
import { kitSums, stockEvents, usesOf } from '../db/stock';
import { addCheckedKit, changeStock, saveFacts, searchPieces, setFavorite, undoKits } from './kit-actions';
import { chooseStash } from '../db/spreads';
import {
  addAnotherCopy,
  addWashi,
  correctKit,
  noteLeftOver,
  readLines,
  recountKit,
  removeKit,
  splitKit,
  takeUpAgain,
} from './kit-corrections';
import { loadPlan } from './plan-week';
import { mend } from './repair-actions';
import { kitTitles } from './kit-titles';
import { choicesFor, usualStash } from './stash';

let db: Database;
beforeEach(async () => {
  db = await freshHouse();
});
afterEach(() => db.destroy());

const kitNow = async (name = 'rockpool'): Promise<Kit> => (await findKit(db, name))!;
const sums = async (name = 'rockpool') => (await kitSums(db)).find((s) => s.kit === name)!;
const stock = async (name = 'rockpool') =>
  stockOfKit(await kitNow(name), await usesOf(db, name), await stockEvents(db, name));
const undo = async () => done(await undoKits({ way: 'undo' }));
const redo = async () => done(await undoKits({ way: 'redo' }));

/** The kit corrected as somebody does who types it all anew. */
const correct = async (change: (kit: Kit) => Kit['pieces'], name = 'rockpool') => {
  const { kit, seen } = done(await readLines({ kit: name }));
  const pieces = change(kit);
  const pictures = pieces.flatMap(({ code, picture }) => (picture ? [{ code, picture }] : []));
  return correctKit({ kit: name, csv: writeKit({ ...kit, pieces }), pictures, seen });
};

describe('lines of a kit', () => {
  it('are added, changed and removed as one edit, which is undone and made again', async () => {
    const before = await kitNow();
    const total = (await sums()).total;
    const [first, second, ...rest] = before.pieces;
    const picture = 'a'.repeat(64);
    const change = () => [
      { ...second!, color: '#123456' as const, count: second!.count + 2, picture },
      ...rest,
      { ...second!, code: 'NEW-1' },
    ];
    expect(done(await correct(change))).toEqual({ added: 1, changed: before.pieces.length - 1, removed: 1 });
    const after = await kitNow();
    expect(after.pieces.map((p) => p.code)).toEqual([...before.pieces.slice(1).map((p) => p.code), 'NEW-1']);
    expect(after.pieces[0]).toMatchObject({ color: '#123456', picture });
    expect((await sums()).total).toBe(total - first!.count + 2 + second!.count);
    await undo();
    expect(await kitNow()).toEqual(before);
    expect((await sums()).total).toBe(total);
    await redo();
    expect(await kitNow()).toEqual(after);
  });

  it('take all that is known of them along, and bring it back', async () => {
    const [{ code }] = (await kitNow()).pieces as [Kit['pieces'][number]];
    done(await setFavorite({ kit: 'rockpool', code, liked: true }));
    done(await changeStock({ what: 'spoiled', kit: 'rockpool', code, copy: null, reason: 'torn' }));
    const [events, before] = [await stockEvents(db), await sums()];
    done(await correct((kit) => kit.pieces.slice(1)));
    expect([await stockEvents(db), await favoritesOf(db)]).toEqual([[], []]);
    await undo();
    expect(await stockEvents(db)).toEqual(events);
    expect(await favoritesOf(db)).toEqual([`rockpool/${code}`]);
    expect(await sums()).toEqual(before);
  });

  it('that a week has keep what was measured, and are not removed; all else may change', async () => {
    const id = await layWeek(db);
    const box = demoSpread().placements.find((p) => p.role === 'box')!;
    const all = (change: object) => (kit: Kit) =>
      kit.pieces.map((p) => (p.code === box.code ? { ...p, ...change } : p));
    expect(refusal(await correct((k) => k.pieces.filter((p) => p.code !== box.code)))).toContain('2027-W06');
    expect(refusal(await correct(all({ width: 30 })))).toContain('keeps its width');
    expect(refusal(await correct(all({ count: 0 })))).toContain('at least 1 copy');
    const revision = (await spreadNow(id)).history.revision;
    done(await correct(all({ color: '#abcdef', words: 'rest' })));
    expect((await spreadNow(id)).history.revision).toBe(revision + 1);
    await undo();
    expect((await kitNow()).pieces.find((p) => p.code === box.code)?.color).not.toBe('#abcdef');
  });

  it('are not undone under a week that has them by now', async () => {
    const [first] = (await kitNow()).pieces;
    done(await correct((k) => [...k.pieces, { ...first!, code: 'NEW-1' }]));
    const id = await beginWeek();
    const { makeEdit } = await import('../db/spread-edits');
    const { placement } = await import('../../tests/fixtures');
    const after = [placement({ kit: 'rockpool', code: 'NEW-1', copy: 1, role: 'box' })];
    await makeEdit(db, id, { deed: { do: 'lift all' }, before: [], after });
    expect(refusal(await undoKits({ way: 'undo' }))).toContain('NEW-1 stays');
    expect((await kitNow()).pieces.some((p) => p.code === 'NEW-1')).toBe(true);
  });

  it('that are wrong are refused by line, and another window is not written over', async () => {
    const before = await kitNow();
    expect(refusal(await correct((k) => k.pieces.map((p, i) => (i === 3 ? { ...p, width: -1 } : p))))).toContain(
      'line 5',
    );
    const csv = writeKit(before);
    expect(await correctKit({ kit: 'rockpool', csv, pictures: [], seen: imageOf([]) })).toMatchObject({
      conflict: true,
    });
    expect(refusal(await correctKit({ kit: 'fog', csv, pictures: [] }))).toContain('one of your kits');
    expect(
      refusal(await correctKit({ kit: 'rockpool', csv, pictures: [{ code: 'FB-1', picture: '../etc' }] })),
    ).toContain('the hash of a picture');
    expect(await kitNow()).toEqual(before);
  });

  it('are read anew by a search as soon as they change', async () => {
    const words = async () => (await allKits(db)).flatMap((k) => k.pieces.map((p) => p.words));
    expect(await words()).not.toContain('greyhound walk');
    done(await correct((k) => k.pieces.map((p, i) => (i === 0 ? { ...p, words: 'greyhound walk' } : p))));
    expect(await words()).toContain('greyhound walk');
  });
});

describe('the stock', () => {
  it('is counted anew: more are found, fewer are used up, and it is undone', async () => {
    const before = await stock();
    const [few, many] = before.filter((l) => l.copies.length > 2).map((l) => l.piece.code);
    const whole = (lines: typeof before, code: string | undefined) =>
      lines.find((l) => l.piece.code === code)!.copies.filter((c) => c.state === 'whole').length;
    const counted = [
      { code: few, whole: 1 },
      { code: many, whole: whole(before, many) + 3 },
    ];
    expect(done(await recountKit({ kit: 'rockpool', counted })).changes).toBe(whole(before, few) - 1 + 3);
    const after = await stock();
    expect([whole(after, few), whole(after, many)]).toEqual([1, whole(before, many) + 3]);
    expect((await sums()).total).toBe(after.flatMap((l) => l.copies).length);
    expect(done(await recountKit({ kit: 'rockpool', counted })).changes).toBe(0);
    await undo();
    expect(await stock()).toEqual(before);
    expect(refusal(await recountKit({ kit: 'rockpool', counted: [{ code: 'none', whole: 1 }] }))).toContain(
      'a line of',
    );
    expect(refusal(await recountKit({ kit: 'rockpool', counted: [counted[0], counted[0]] }))).toContain('counted');
  });

  it('says how much of a roll is left, and no more than is known of', async () => {
    const roll =
      (await kitNow('stash')).pieces.find(isRoll) ?? (await kitNow()).pieces.find((p) => p.kind === 'washi')!;
    const of = { kit: roll.kit, code: roll.code, copy: 1 };
    done(await noteLeftOver({ ...of, left: 120 }));
    const left = async () => (await stock(roll.kit)).find((l) => l.piece.code === roll.code)!.copies[0]!.left;
    expect((await left()).map((l) => l.w)).toEqual([120]);
    expect(refusal(await noteLeftOver({ ...of, left: 400 }))).toContain('less than is known');
    done(await noteLeftOver({ ...of, left: 60 }));
    expect((await left()).map((l) => l.w)).toEqual([60]);
    expect(refusal(await noteLeftOver({ ...of, copy: 99, left: 10 }))).toContain('copy 99');
  });

  it('keeps a sticker for later: it is whole, no week takes it, and it is used again', async () => {
    const id = await layWeek(db);
    const box = demoSpread().placements.find(
      (p) =>
        p.role === 'box' &&
        !demoSpread().placements.some(
          (q) =>
            q.id !== p.id &&
            q.layer > p.layer &&
            q.page === p.page &&
            q.x < p.x + p.w &&
            q.x + q.w > p.x &&
            q.y < p.y + p.h &&
            q.y + q.h > p.y,
        ),
    )!;
    const { spread } = done(await mend({ spreadId: id, placement: box.id, what: 'kept' }));
    expect(spread.placements.some((p) => p.id === box.id)).toBe(false);
    const line = async () => (await stock()).find((l) => l.piece.code === box.code)!;
    expect((await line()).copies[box.copy - 1]).toMatchObject({ state: 'kept', where: ['kept for later'] });
    expect(sumsOf([await line()]).kept).toBe(1);
    expect(spread.context.usedElsewhere).toContainEqual({ kit: box.kit, code: box.code, copy: box.copy, cut: box.cut });
    const of = { kit: box.kit, code: box.code, copy: box.copy };
    done(await takeUpAgain(of));
    expect((await line()).copies[box.copy - 1]!.state).toBe('whole');
    expect(refusal(await takeUpAgain(of))).toContain('a copy kept for later');
    await undo();
    expect((await line()).copies[box.copy - 1]!.state).toBe('kept');
  });
});

describe('a kit', () => {
  it('gives stickers to a stash, new or there, and gets them back', async () => {
    const before = await stock();
    const [a, b] = before.filter((l) => l.copies.length > 1).map((l) => l.piece);
    const shares = [
      { code: a!.code, count: 2 },
      { code: b!.code, count: 1 },
    ];
    expect(done(await splitKit({ kit: 'rockpool', into: 'sea drawer', shares }))).toEqual({
      into: 'sea drawer',
      stickers: 3,
    });
    expect((await listKits(db)).find((k) => k.id === 'sea drawer')?.role).toBe('stash');
    expect((await kitNow('sea drawer')).pieces.map((p) => [p.code, p.count])).toEqual([
      [a!.code, 2],
      [b!.code, 1],
    ]);
    done(await splitKit({ kit: 'rockpool', into: 'sea drawer', shares: [{ code: b!.code, count: 1 }] }));
    const codes = (await kitNow('sea drawer')).pieces.map((p) => p.code);
    expect(new Set(codes).size).toBe(3);
    expect(sumsOf(await stock()).whole).toBe(sumsOf(before).whole - 4);
    await undo();
    await undo();
    expect(await findKit(db, 'sea drawer')).toBeNull();
    expect(await stock()).toEqual(before);
    await redo();
    expect((await kitNow('sea drawer')).pieces).toHaveLength(2);
  });

  it('gives no more than it has whole, and to no other kit', async () => {
    const [line] = await stock();
    const shares = [{ code: line!.piece.code, count: line!.copies.length + 1 }];
    expect(refusal(await splitKit({ kit: 'rockpool', into: 'drawer', shares }))).toContain(
      `${line!.copies.length} whole`,
    );
    expect(await findKit(db, 'drawer')).toBeNull();
    const one = [{ code: line!.piece.code, count: 1 }];
    expect(refusal(await splitKit({ kit: 'rockpool', into: 'night-almanac', shares: one }))).toContain('a stash');
    expect(refusal(await splitKit({ kit: 'rockpool', into: 'drawer', shares: [{ code: 'x', count: 1 }] }))).toContain(
      'a line of',
    );
  });

  it('comes in once more, whole, under a name of its own', async () => {
    await layWeek(db);
    expect(done(await addAnotherCopy({ kit: 'rockpool' })).name).toBe('rockpool-2');
    expect(done(await addAnotherCopy({ kit: 'rockpool' })).name).toBe('rockpool-3');
    const [one, other] = [await kitNow(), await kitNow('rockpool-2')];
    expect(other.pieces.map((p) => ({ ...p, kit: 'rockpool' }))).toEqual(one.pieces);
    expect((await sums('rockpool-2')).touched).toBe(0);
    await undo();
    expect(await findKit(db, 'rockpool-3')).toBeNull();
  });

  it('is removed with all that is known of it, and comes back; one that weeks have is not', async () => {
    await beginWeek();
    expect(refusal(await removeKit({ kit: 'rockpool' }))).toContain('2027-W06 is laid out with it');
    const [piece] = (await kitNow('night-almanac')).pieces;
    done(await changeStock({ what: 'used', kit: 'night-almanac', code: piece!.code, copy: null, reason: 'on a card' }));
    const [kit, state] = [await kitNow('night-almanac'), await sums('night-almanac')];
    done(await removeKit({ kit: 'night-almanac' }));
    expect(await findKit(db, 'night-almanac')).toBeNull();
    await undo();
    expect([await kitNow('night-almanac'), await sums('night-almanac')]).toEqual([kit, state]);
  });

  it('is called as its owner likes, and when retired is offered for no week; its weeks stay', async () => {
    const id = await beginWeek();
    const facts = (await listKits(db)).find((k) => k.id === 'rockpool')!.facts;
    done(
      await saveFacts({ kit: 'rockpool', facts: { ...facts, title: 'Low tide', place: 'blue folder', retired: true } }),
    );
    expect((await kitNow()).title).toBe('Low tide');
    const offered = async () => (await loadPlan({}))!.kits.map((k) => k.id);
    expect(await offered()).not.toContain('rockpool');
    expect((await spreadNow(id)).context.kit).toMatchObject({ name: 'rockpool', title: 'Low tide' });
    await undo();
    expect(await offered()).toContain('rockpool');
  });

  it('that was added by hand is undone', async () => {
    done(await addCheckedKit({ name: 'fog', role: 'kit', csv: 'code,kind,count,width_mm,height_mm\nQ,icon,3,9,9\n' }));
    await undo();
    expect(await findKit(db, 'fog')).toBeNull();
    await redo();
    expect((await kitNow('fog')).pieces.map(pieceKey)).toEqual(['fog/Q']);
  });
});

it('washi comes in by its length, with a code that goes on', async () => {
  const before = (await kitNow('stash')).pieces.length;
  const { code } = done(await addWashi({ kit: 'stash', width: 15, length: 320, color: '#2f6f6a' }));
  const piece = (await kitNow('stash')).pieces[before]!;
  expect(piece).toMatchObject({ code, kind: 'washi', width: 320, height: 15, count: 1, color: '#2f6f6a' });
  expect(done(await addWashi({ kit: 'stash', width: 15, length: 320, color: '#2f6f6a' })).code).not.toBe(code);
  expect(refusal(await addWashi({ kit: 'stash', width: 0, length: 320, color: 'teal' }))).toMatch(/width.*color/s);
});

describe('a retired kit', () => {
  const retire = async (kit: string) => {
    const { facts } = (await listKits(db)).find((k) => k.id === kit)!;
    done(await saveFacts({ kit, facts: { ...facts, retired: true, title: 'Old drawer', place: 'attic' } }));
  };

  it('lies beside no week, and is found by no search; where it is chosen it stays', async () => {
    const id = await beginWeek();
    expect(await usualStash(db, '2027-W06', 'rockpool')).toContain('stash');
    await chooseStash(db, id, ['stash']);
    await retire('stash');
    expect(await usualStash(db, '2027-W06', 'rockpool')).not.toContain('stash');
    expect((await choicesFor(db, id, 'rockpool')).map((c) => [c.kit, c.chosen])).toContainEqual(['stash', true]);
    await chooseStash(db, id, []);
    expect((await choicesFor(db, id, 'rockpool')).map((c) => c.kit)).not.toContain('stash');
    const found = done(await searchPieces({ words: 'date dot' }));
    expect(found.pieces.some((p) => p.kit === 'stash')).toBe(false);
  });

  it('is called on all screens as its owner calls it', async () => {
    expect(await kitTitles()).toEqual([]);
    await retire('stash');
    expect(await kitTitles()).toEqual([['stash', 'Old drawer']]);
  });
});

it('what goes with a kit is found over the others, and where it lies', async () => {
  const { facts } = (await listKits(db)).find((k) => k.id === 'stash')!;
  done(await saveFacts({ kit: 'stash', facts: { ...facts, place: 'blue folder' } }));
  const found = done(await searchPieces({ words: '', goesWith: 'rockpool' }));
  expect(found.pieces.length).toBeGreaterThan(10);
  expect(found.pieces.every((p) => p.kit !== 'rockpool')).toBe(true);
  expect(found.places).toContainEqual(['stash', 'blue folder']);
  expect(refusal(await searchPieces({ words: '', goesWith: 'none' }))).toContain('one of your kits');
});
