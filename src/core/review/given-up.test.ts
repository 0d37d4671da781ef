import { context, demand, demoSpread, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { arrange } from '../arrange/arrange';
import { voiceOf } from '../spread/voice';
import type { Context, Placement } from '../spread/placement';
import { givenUp, sayGivenUp } from './given-up';
import { viewOf } from './review';

const upOf = (c: Context, placements: readonly Placement[] = arrange(c)) => givenUp(viewOf(c, placements));
const said = (c: Context, placements: readonly Placement[] = arrange(c)) =>
  upOf(c, placements).map((g) => sayGivenUp(g, voiceOf(c, placements)));

const boxes = (count: number) => piece({ code: 'B', kind: 'full-box', height: 48.3, motif: 'waves', count });
const bare = { dateCovers: false, headers: 'none', weekendBanner: false, bottomWashi: 'none', sidebar: [] } as const;

it('says nothing of an empty page, nor of a habit that is kept', () => {
  expect(upOf(context(), [])).toEqual([]);
  const colors = ['#9fd3c7', '#f2e3c4', '#23475a', '#f7d9cc', '#1f6f78', '#e8836b', '#6d8f5e'];
  const kit = kitOf(...colors.map((color, i) => ({ ...boxes(1), code: `B${i}`, color, motif: `m${i}` })));
  expect(upOf(context({ kit, options: bare }))).toEqual([]);
});

it('says where boxes are left that are too like their neighbors', () => {
  const c = context({ kit: kitOf(boxes(9)), options: bare });
  expect(upOf(c)).toMatchObject([{ habit: 'full-box', wanted: 7, why: 'alike' }]);
  expect(said(c)[0]).toMatch(/^\d of 7 full boxes: what is left would stand beside one that is like it\.$/);
});

it('counts the boxes that a school wants and the kit has not', () => {
  const c = context({
    manner: 'three-rows',
    kit: kitOf(boxes(2), { ...boxes(2), code: 'C', color: '#23475a', motif: 'shell' }, piece({ count: 9 })),
    options: bare,
    week: weekWith(demand()),
  });
  expect(upOf(c)).toContainEqual({ habit: 'full-box', kept: 4, wanted: 7, why: 'no piece' });
  expect(said(c).join()).toMatch(/^4 of 7 full boxes: the kit has no more\./);
});

it('says that the items came first where boxes are left', () => {
  const items = Array.from({ length: 12 }, (_, i) =>
    demand({ uid: `a${i}`, key: `a${i}`, title: `item ${i}`, day: 2 }),
  );
  const kit = kitOf(
    boxes(7),
    piece({ code: 'C', kind: 'full-box', height: 48.3, motif: 'shell', count: 7 }),
    piece({ count: 40 }),
  );
  const c = context({ kit, options: bare, week: weekWith(...items) });
  expect(upOf(c)).toContainEqual({ habit: 'full-box', kept: 6, wanted: 7, why: 'no room' });
  expect(said(c)).toEqual(['6 of 7 full boxes: the items come first.']);
});

it('names covers, headers, washi and banner that there are none of', () => {
  const c = context({
    manner: 'scattered',
    kit: kitOf(piece({ count: 9 })),
    week: weekWith(demand()),
    ways: { boxes: 0 },
  });
  expect(said(c)).toEqual([
    '0 of 7 date covers: the kit has no fitting one.',
    '0 of 7 headers: the kit has no fitting one.',
    'No banner: the kit has no fitting one.',
    '0 of 2 strips of bottom washi: the kit has no fitting one.',
  ]);
  const stash = [{ name: 'stash', pieces: [piece({ kit: 'stash', code: 'Z' })] }];
  expect(said({ ...c, stash })[0]).toBe('0 of 7 date covers: kit and stash have no fitting one.');
});

it('counts lists outside the row that three rows keep for them', () => {
  const kit = kitOf(piece({ code: 'C', kind: 'checklist', height: 48, rows: 6, count: 4 }));
  const c = context({ manner: 'three-rows', kit, options: bare, ways: { boxes: 0 } });
  const list = (id: string, y: number) =>
    placement({ id, code: 'C', copy: Number(id), y, h: 16, cut: { x: 0, y: 0, w: 38.1, h: 16 } });
  expect(upOf(c, [list('1', 180), list('2', 60)])).toEqual([
    { habit: 'list rows', kept: 1, wanted: 2, why: 'no room' },
  ]);
});

it('says of the demo week only that its items need room', () => {
  const { context: c, placements } = demoSpread();
  for (const g of upOf(c, placements)) expect(g).toMatchObject({ habit: 'full-box', why: 'no room' });
});
