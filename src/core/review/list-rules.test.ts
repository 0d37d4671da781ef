import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';

const list = (code: string) => piece({ code, kind: 'checklist', height: 48, rows: 6, count: 3 });
const kit = kitOf(list('L'), list('M'));
const uids = Array.from({ length: 8 }, (_, i) => `r${i}`);
const c = context({
  kit,
  week: weekWith(...uids.map((uid) => demand({ uid, key: uid, title: uid, kind: 'to-do', list: 'to do' }))),
});
const laid = (rows: number, items: readonly string[], over = {}) =>
  placement({
    code: 'L',
    h: rows * 8,
    items,
    text: items.join('\n') || null,
    cut: rows === 6 ? null : { x: 0, y: 0, w: 38.1, h: rows * 8 },
    ...over,
  });

describe('L1', () => {
  it('is silent on a list cut to its items', () => expect(found('L1', c, [laid(3, uids.slice(0, 3))])).toEqual([]));
  it('speaks of rows over and of rows lacking', () => {
    expect(found('L1', c, [laid(5, uids.slice(0, 3))])).toMatchObject([
      {
        severity: 'look',
        message: 'Monday’s checklist has 5 rows for 3 items.',
        remedy: 'Cut 5/8 in off its foot and keep the 2 rows.',
      },
    ]);
    expect(found('L1', c, [laid(2, uids.slice(0, 3))])).toMatchObject([
      { severity: 'fix', message: expect.stringContaining('1 fewer than its 3 items') },
    ]);
  });
});

describe('L2', () => {
  const upper = laid(6, uids.slice(0, 6));
  const lower = (over = {}) => laid(2, uids.slice(6), { id: 'p2', copy: 2, y: 108, ...over });
  it('is silent on two of one design edge to edge', () => expect(found('L2', c, [upper, lower()])).toEqual([]));
  it('speaks of two designs, and of a gap', () => {
    expect(found('L2', c, [upper, lower({ code: 'M', copy: 1 })])[0]?.message).toContain('joined of two designs.');
    const other = { ...c, kit: kitOf(...kit.pieces.map((p) => (p.code === 'M' ? { ...p, color: '#1b2230' } : p))) };
    expect(found('L2', other, [upper, lower({ code: 'M', copy: 1 })])[0]?.message).toMatch(
      /two designs, white checklist and .* checklist\.$/,
    );
    expect(found('L2', c, [upper, lower({ y: 112 })])[0]?.message).toBe(
      'Monday’s list “to do” is in two parts, 3/16 in apart.',
    );
  });
});

describe('L3', () => {
  const first = laid(4, uids.slice(0, 4));
  it('speaks of a new list where an offcut has the rows', () =>
    expect(found('L3', c, [first, laid(2, uids.slice(4, 6), { id: 'p2', copy: 2, y: 120 })])).toMatchObject([
      { placements: ['p2'], message: expect.stringContaining('an offcut with 2 rows is there for its 2') },
    ]));
  it('is silent when the offcut is used, or too short', () => {
    expect(
      found('L3', c, [first, laid(2, uids.slice(4, 6), { id: 'p2', y: 120, cut: { x: 0, y: 32, w: 38.1, h: 16 } })]),
    ).toEqual([]);
    expect(found('L3', c, [first, laid(3, uids.slice(4, 7), { id: 'p2', copy: 2, y: 120 })])).toEqual([]);
  });
});

it('L4 speaks of a list that is only a filler, until its shapes are cut off', () => {
  expect(found('L4', c, [laid(3, [])])).toMatchObject([
    { rule: 'L4', remedy: 'Cut 3/16 in off its left side, and it is a plain filler.' },
  ]);
  expect(found('L4', c, [laid(3, [], { x: 51.1, w: 33.1, cut: { x: 5, y: 0, w: 33.1, h: 24 } })])).toEqual([]);
});
