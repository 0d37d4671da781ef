import { context, demand, found, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { dayColumn } from '../../book/columns';
import type { Piece } from '../../kit/kit';
import { Draft } from '../../spread/draft';
import type { Context, Placement } from '../../spread/placement';
import { isWriting } from '../../spread/placement';
import type { Demand } from '../../week/demand';
import { writtenOn } from '../../format/written';
import { isList } from '../../spread/is-list';
import type { Block } from '../days/day-blocks';
import { LIST_PARTS, inParts } from '../days/day-blocks';
import { listTitle } from '../days/list-dressing';
import { UNRESERVED } from '../days/reserved';
import { base } from './base';
import { beside } from './beside';
import type { Choice } from './choice';
import { halved } from './halved';
import { listRows } from './list-rows';
import { oncePerGround } from './once';
import { open } from './open';
import { paper } from './paper';
import { LADDER } from './registry';
import type { Ground, Rung } from './rung';
import { sharedBase } from './shared-base';
import { singleOf } from './single';
import { strip } from './strip';
import { stripped } from './stripped';
import { underScript } from './under-script';

const blockOf = (...demands: Demand[]): Block => ({ demands, list: demands[0]!.list, minute: 0 });
const single = (over: Partial<Demand> = {}): Block => blockOf(demand(over));
const listOf = (...titles: string[]): Block =>
  blockOf(...titles.map((title, i) => demand({ uid: `r${i}`, title, list: 'to do', kind: 'to-do' })));

const groundOf = (c: Context): Ground => ({ draft: Draft.begin(c, []), context: c, width: 38.1 });

/** The cheapest choice of a rung, and what it lays on Monday at 60 mm. */
function lay(rung: Rung, block: Block, c: Context): { choice: Choice; laid: readonly Placement[]; draft: Draft } {
  const ground = groundOf(c);
  const choice = [...rung.choices(block, ground)].sort((a, b) => a.cost - b.cost)[0]!;
  const column = dayColumn(c.book, 0)!;
  expect(choice.lay(ground.draft, { page: column.page, day: 0, column, y: 60 }, UNRESERVED)).toBe(true);
  return { choice, laid: ground.draft.placements, draft: ground.draft };
}
const none = (rung: Rung, block: Block, c: Context) => expect(rung.choices(block, groundOf(c))).toEqual([]);
const withKit = (...pieces: readonly Piece[]) => context({ kit: kitOf(...pieces), week: weekWith(demand()) });

const VET = single({ title: 'vet, Juniper' });
const ICON = piece({ code: 'I', kind: 'icon', width: 9, height: 9, icon: 'vet' });
const scriptOf = (width: number): Piece =>
  piece({ code: 'S', kind: 'script', width, height: 7, words: 'vet', writable: 'no', color: '#23475a' });

const SINGLE = [base, halved, strip, beside, underScript];

it('has a sentence and a name of its own for every rung', () => {
  expect(new Set(LADDER.map((r) => r.name)).size).toBe(LADDER.length);
  for (const r of LADDER) expect(r.says).toMatch(/^[A-Z].*\.$/);
});

it('takes single items only where a rung is for one', () => {
  const c = withKit(
    piece({ count: 9 }),
    piece({ code: 'H', kind: 'half-box', height: 24.1, count: 9 }),
    piece({ code: 'W', kind: 'washi', width: 300, height: 12 }),
    piece({ code: 'I', kind: 'icon', width: 9, height: 9, icon: 'exercise' }),
    piece({ code: 'S', kind: 'script', width: 24, height: 7, words: 'swim', color: '#23475a' }),
  );
  for (const rung of SINGLE) {
    expect(rung.choices(single(), groundOf(c)).length).toBeGreaterThan(0);
    none(rung, listOf('oats', 'soap'), c);
    none(rung, { ...single(), open: true }, c);
    none(rung, blockOf(demand(), demand({ uid: 'b' })), c);
  }
  expect(singleOf(single({ title: 'vet' }))?.title).toBe('vet');
  expect(singleOf({ demands: [], list: null, minute: 0 })).toBeNull();
});

describe('base', () => {
  it('costs less with the picture of its item in the kit', () => {
    const box = piece({ code: 'H', kind: 'half-box', height: 24.1 });
    const [icon, script, vet] = [ICON, scriptOf(28), VET];
    const costs = [[box], [box, icon], [box, icon, script]].map(
      (pieces) => base.choices(vet, groundOf(withKit(...pieces)))[0]!.cost,
    );
    expect(costs[1]).toBeCloseTo(costs[0]! - 1);
    expect(costs[2]).toBeCloseTo(costs[0]! - 1.8);
    const { laid } = lay(base, vet, withKit(box, icon, script));
    expect(laid.map((p) => p.code).sort()).toEqual(['H', 'I', 'S']);
    expect(laid.find((p) => p.code === 'H')?.text).toBe('Juniper');
    // icon under the script, both on the base
    const [i, s] = ['I', 'S'].map((code) => laid.find((p) => p.code === code)!);
    expect(i!.y).toBeGreaterThanOrEqual(s!.y + s!.h);
    expect(i!.y + i!.h).toBeLessThanOrEqual(60 + 24.1);
  });
  it('is as many as there are copies', () => {
    const c = withKit(piece({ count: 3 }), piece({ code: 'Q-2', color: '#1f6f78', count: 2 }));
    expect([...base.supply!(groundOf(c)).values()]).toEqual([5]);
  });
});

describe('halved', () => {
  const c = withKit(piece({ code: 'H', kind: 'half-box', height: 24.1, count: 2 }));
  it('cuts a half box in two, the second half before a new box', () => {
    const { choice, laid, draft } = lay(halved, single({ title: 'post' }), c);
    expect(choice).toMatchObject({ height: 12.05, uses: { amount: 0.5 } });
    expect(laid[0]).toMatchObject({
      code: 'H',
      copy: 1,
      h: 12.05,
      cut: { y: 0, h: 12.05 },
      items: ['a'],
      text: 'post',
    });
    const column = dayColumn(c.book, 0)!;
    for (const y of [80, 100]) choice.lay(draft, { page: column.page, day: 0, column, y }, UNRESERVED);
    expect(draft.placements.map((p) => [p.copy, p.cut?.y])).toEqual([
      [1, 0],
      [1, 12.05],
      [2, 0],
    ]);
    choice.lay(draft, { page: column.page, day: 0, column, y: 120 }, UNRESERVED);
    expect(choice.lay(draft, { page: column.page, day: 0, column, y: 140 }, UNRESERVED)).toBe(false);
  });
  it('leaves whole what bears words or a scene, what is asked for whole, and what would be lower than a flag', () => {
    none(halved, single(), withKit(piece({ kind: 'half-box', height: 24.1, words: 'party' })));
    none(halved, single(), withKit(piece({ kind: 'half-box', height: 24.1, motif: 'heron' })));
    none(halved, single(), withKit(piece({ kind: 'third-box', height: 16 })));
    none(halved, single({ room: 'half' }), c);
  });
});

describe('strip', () => {
  const washi = piece({ code: 'W', kind: 'washi', width: 100, height: 12 });
  it('takes a length of plain washi as wide as the column', () => {
    const { laid } = lay(strip, single({ title: 'post' }), withKit(washi));
    expect(laid[0]).toMatchObject({ code: 'W', w: 38.1, h: 12, text: 'post', items: ['a'] });
    expect([...strip.supply!(groundOf(withKit(washi))).values()]).toEqual([2]);
  });
  it('leaves patterns, slim and wide tapes, and ends that are too short', () => {
    for (const over of [{ motif: 'waves' }, { height: 4 }, { height: 25 }, { width: 30 }])
      none(strip, single(), withKit({ ...washi, ...over }));
  });
});

describe('a stripped list', () => {
  const list = piece({ code: 'C', kind: 'checklist', height: 48, rows: 6 });
  it('is a label cut from the rows right of its shapes, a line of its text on each (L4)', () => {
    const { laid, choice, draft } = lay(stripped, single({ title: 'sow the late beans' }), withKit(list));
    expect(choice).toMatchObject({ height: 16, uses: { amount: 2 } });
    expect(laid).toMatchObject([{ code: 'C', w: 33.1, h: 16, cut: { x: 5, y: 0, w: 33.1, h: 16 } }]);
    expect(isList(list, laid[0]!)).toBe(false);
    expect(draft.ledger.rowsLeft(list)).toBe(4);
    const c = withKit(list);
    const written = writtenOn(c, laid[0]!, laid)!;
    expect(written.lines.map((l) => Math.floor(l.y / 8))).toEqual([0, 1]);
    expect(found('P4', c, laid)).toEqual([]);
  });
  it('shares the rows with the lists of the week, and is not for long texts, nor for who wants room', () => {
    const c = withKit(list);
    const keys = (rung: Rung, block: Block) => rung.choices(block, groundOf(c)).map((x) => x.uses?.key);
    expect(keys(stripped, single())[0]).toBe(keys(listRows, listOf('oats'))[0]);
    none(
      stripped,
      single({ title: 'a title that goes on and on about what is to be done, by whom, when and for how long' }),
      c,
    );
    none(stripped, single({ room: 'half' }), c);
    expect(stripped.choices(single({ room: 'label' }), groundOf(c))).not.toEqual([]);
    none(stripped, single(), withKit({ ...list, height: 24 }));
  });
});

describe('the name of a list', () => {
  const titleOf = (block: Block, c = withKit()) => listTitle(groundOf(c).draft, c, block, 38.1);
  const named = (...titles: string[]): Block => ({ ...listOf(...titles), list: 'to buy' });
  it('stands over one row as over many, unless it is only what is to do', () => {
    expect(titleOf(named('soap'))).toMatchObject({ written: 'to buy', header: null });
    expect(titleOf(listOf('soap')).height).toBe(0);
  });
  it('stands over its first part only', () => {
    expect(titleOf({ ...named('soap', 'oats'), goesOn: true }).height).toBe(0);
    const long = named(...Array.from({ length: 8 }, (_, i) => `row ${i}`));
    expect(
      LIST_PARTS.map((most) => inParts([long], most)!).map((blocks) =>
        blocks.map((b) => [b.demands.length, b.goesOn === true]),
      ),
    ).toEqual([
      [
        [4, false],
        [4, true],
      ],
      [
        [3, false],
        [2, true],
        [3, true],
      ],
      Array.from({ length: 8 }, (_, i) => [1, i > 0]),
    ]);
    expect(inParts([single()], 1)).toBeNull();
  });
});

describe('on the paper', () => {
  const [icon, script, vet] = [ICON, scriptOf(24), VET];
  it('writes an item beside its icon', () => {
    const { laid } = lay(beside, vet, withKit(icon));
    const [sticker, ink] = [laid.find((p) => p.code === 'I')!, laid.find(isWriting)!];
    expect(ink).toMatchObject({ text: 'vet, Juniper', items: ['a'] });
    expect(ink.x).toBeGreaterThan(sticker.x + sticker.w);
  });
  it('never lays a script that does not show on the paper', () =>
    none(underScript, vet, withKit({ ...script, color: '#f4f1ea' })));
  it('writes the rest of it under its script', () => {
    const { laid, choice } = lay(underScript, vet, withKit(script));
    const [sticker, ink] = [laid.find((p) => p.code === 'S')!, laid.find(isWriting)!];
    expect(ink).toMatchObject({ text: 'Juniper', items: ['a'] });
    expect(ink.y).toBeGreaterThanOrEqual(sticker.y + sticker.h);
    expect(ink.y + ink.h).toBeCloseTo(60 + choice.height);
  });
  it('lets a script that says it all carry it, but not where its hour would stand alone', () => {
    const { laid } = lay(underScript, single({ title: 'vet' }), withKit(script));
    expect(laid).toMatchObject([{ code: 'S', items: ['a'], text: null }]);
    none(underScript, single({ title: 'vet', start: 540 }), withKit(script));
    expect(underScript.choices(single({ title: 'vet, Juniper', start: 540 }), groundOf(withKit(script)))).not.toEqual(
      [],
    );
  });
  it('writes all of it where the script went to another', () => {
    const c = withKit(script);
    const ground = groundOf(c);
    const choice = underScript.choices(vet, ground)[0]!;
    const column = dayColumn(c.book, 0)!;
    choice.lay(ground.draft, { page: column.page, day: 0, column, y: 60 }, { mayTake: () => false });
    expect(ground.draft.placements).toMatchObject([{ code: '', text: 'vet, Juniper' }]);
  });
  it('writes a list line by line, and no item where the owner allows no ink', () => {
    const { laid } = lay(paper, listOf('oats', 'soap'), withKit());
    expect(laid).toMatchObject([{ text: 'oats\nsoap', items: ['r0', 'r1'] }]);
    const strict = context({ kit: kitOf(icon, script), week: weekWith(demand()), options: { onPaper: false } });
    for (const rung of [paper, beside, underScript]) none(rung, vet, strict);
  });
  it('costs an appointment more than a chore, and a broken word more than a whole one', () => {
    const cost = (over: Partial<Demand>) =>
      Math.min(...paper.choices(single(over), groundOf(withKit())).map((c) => c.cost));
    expect(cost({ kind: 'appointment' })).toBeGreaterThan(cost({ kind: 'chore' }));
    expect(cost({ title: 'incomprehensibilities of the tide' })).toBeGreaterThan(cost({ title: 'tables of the tide' }));
  });
});

describe('several together', () => {
  it('stand on one large base, each on its line', () => {
    const { laid } = lay(
      sharedBase,
      listOf('oats', 'soap'),
      withKit(piece({ code: 'H', kind: 'half-box', height: 24.1 })),
    );
    expect(laid).toMatchObject([{ code: 'H', text: 'oats\nsoap', items: ['r0', 'r1'] }]);
    none(sharedBase, single(), withKit(piece({ kind: 'half-box', height: 24.1 })));
  });
  it('stand on the rows of a list, a long one over two', () => {
    const list = piece({ code: 'C', kind: 'checklist', height: 48, rows: 8 });
    const { laid } = lay(listRows, listOf('oats', 'a long word of many small ones'), withKit(list));
    expect(laid).toMatchObject([{ code: 'C', h: 18, items: ['r0', 'r1'] }]);
  });
  it('find an empty place where one is wanted', () => {
    expect(open.choices({ ...single(), open: true }, groundOf(withKit()))).toMatchObject([{ cost: 0, uses: null }]);
    none(open, single(), withKit());
  });
});

it('works out once what all grounds of a width share', () => {
  let times = 0;
  const count = oncePerGround(() => ++times);
  const ground = groundOf(withKit());
  const shared = { ...ground, shared: {} };
  expect([count(shared), count({ ...shared, perMm: 1 }), count(ground), count({ ...ground })]).toEqual([1, 1, 2, 3]);
});
