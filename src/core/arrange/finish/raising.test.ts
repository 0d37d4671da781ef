import { context, demand, kitOf, piece, weekWith } from '../../../../tests/fixtures';
import { threeBox } from '../../book/three-box';
import { hourly } from '../../book/hourly';
import { dayColumn } from '../../book/columns';
import { rowFrames } from '../../book/rows';
import { bottom } from '../../measure/rect';
import type { Demand } from '../../week/demand';
import { Draft } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { raising } from './raising';

const quarter = piece({ code: 'Q', kind: 'quarter-box', width: 38.1, height: 12, count: 9, writable: 'yes' });
const half = piece({ code: 'B', kind: 'half-box', width: 38.1, height: 24, count: 9, writable: 'yes' });
const icon = piece({ code: 'I', kind: 'icon', width: 12, height: 12, icon: 'laundry', count: 2 });
const item = (over: Partial<Demand> = {}) =>
  demand({
    uid: 'u',
    key: 'u',
    title: 'laundry and the curtains of the kitchen',
    day: 0,
    lastDay: 0,
    start: null,
    ...over,
  });
const column = dayColumn(threeBox, 0)!;

/** An item on a quarter box at some mm of its column, and what becomes of it. */
function raised(over: Partial<Parameters<typeof context>[0]> = {}, y = column.y + 40, of = item()) {
  const c: Context = context({ book: threeBox, kit: kitOf(quarter, half, icon), week: weekWith(of), ...over });
  const home = dayColumn(c.book, 0)!;
  const draft = Draft.begin(c, []);
  const at = { page: home.page, x: home.x, y, day: 0, items: ['u'], text: of.title };
  draft.add(quarter, draft.ledger.take(quarter)!, { ...at, role: 'day' });
  return raising(draft, c).placements;
}

describe('raising', () => {
  it('gives an item the higher base that its day has room for, and the picture that it now takes', () => {
    expect(raised().map((p) => p.code)).toEqual(['B', 'I']);
    const [base] = raised();
    expect(base).toMatchObject({ items: ['u'], day: 0, h: 24 });
    expect(base!.y).toBeLessThanOrEqual(column.y + 40);
    expect(bottom(base!)).toBeGreaterThanOrEqual(column.y + 52);
  });

  it('leaves what asks for its room, what is on a list, and weeks with other habits of ornament', () => {
    const codes = (...of: Parameters<typeof raised>) => raised(...of).map((p) => p.code);
    expect(codes({}, undefined, item({ room: 'quarter' }))).toEqual(['Q']);
    expect(codes({}, undefined, item({ list: 'to do' }))).toEqual(['Q']);
    const { ways } = context({ book: threeBox });
    expect(codes({ ways: { ...ways, deco: 'cluster' } })).toEqual(['Q']);
    expect(codes({ kit: kitOf(quarter) })).toEqual(['Q']);
  });

  it('stays in its row, and at its hour', () => {
    const row = rowFrames(threeBox, 0)[1]!;
    const [inRow] = raised({ manner: 'three-rows' }, row.y + row.h - 14);
    expect(inRow!.y).toBeGreaterThanOrEqual(row.y - 0.1);
    expect(bottom(inRow!)).toBeLessThanOrEqual(row.y + row.h + 0.1);
    const at = dayColumn(hourly, 0)!.y + 30;
    expect(raised({ book: hourly }, at)[0]?.y).toBe(at);
  });

  it('keeps the room for what comes up (D3)', () => {
    const tall = { ...half, height: column.h - 6 };
    expect(raised({ kit: kitOf(quarter, tall) }).map((p) => p.code)).toEqual(['Q']);
  });
});
