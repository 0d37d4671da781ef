import { context, piece, placement } from '../../../tests/fixtures';
import { dayColumn } from '../book/columns';
import type { Placement } from '../spread/placement';
import { fillsColumn, measuredFrom, pageName } from './measure-from';
import { twoEdges } from './two-edges';
import type { WhiteOut } from './white-out';

const c = context({ kit: { name: 'test', pieces: [piece()] } });
const { book } = c;
const column = dayColumn(book, 1)!;
/** A sticker in Tuesday's column, so many mm from its top and its left. */
const at = (id: string, down: number, over: Partial<Placement> = {}): Placement =>
  placement({ id, page: column.page, day: 1, x: column.x, y: column.y + down, w: column.w, h: 10, ...over });
const whole: readonly WhiteOut[] = [
  { page: column.page, x: column.x, y: column.y, w: column.w, h: column.h, why: 'line' },
];
const measured = (p: Placement, laid: readonly Placement[] = [], white = whole) => twoEdges(c, p, laid, white);

describe('across', () => {
  it('needs no measure where it fills its column', () => {
    expect(measured(at('p1', 20)).across).toBeNull();
    expect(fillsColumn(book, at('p1', 20))).toBe(true);
    expect(fillsColumn(book, at('p1', 20, { w: column.w - 2 }))).toBe(false);
  });
  it.each([
    [3, 20, { mm: 3, side: 'left' }],
    [column.w - 23, 20, { mm: 3, side: 'right' }],
    [0.2, 20, { mm: 0, side: 'left' }],
  ] as const)('is from the nearer edge of the column: %d mm in', (x, w, wanted) => {
    const { across } = measured(at('p1', 20, { x: column.x + x, w }));
    expect(across).toMatchObject({ side: wanted.side, from: { is: 'column', day: 1 } });
    expect(across!.mm).toBeCloseTo(wanted.mm, 6);
  });
  it('is from the side of a piece beside it that is nearer than the column’s edge, and down', () => {
    const half = { w: 10, h: 10 };
    const left = at('p0', 20, half);
    const beside = at('p1', 22, { ...half, x: column.x + 13 });
    expect(measured(beside, [left]).across).toEqual({
      mm: expect.closeTo(3, 6),
      side: 'left',
      from: { is: 'beside', placement: 'p0' },
    });
    expect(measured(beside).across!.from.is).toBe('column');
    const over = at('p2', 20, { ...half, x: column.x + column.w - 21.5 });
    expect(measured(over, [left, at('p3', 20, { ...half, x: column.x + column.w - 11 })]).across).toEqual({
      mm: expect.closeTo(0.5, 6),
      side: 'right',
      from: { is: 'beside', placement: 'p3' },
    });
  });
  it('is not from a piece that hardly lies beside it, nor from one under it, nor where the column’s edge is near', () => {
    const half = { w: 10, h: 10 };
    const beside = at('p1', 20, { ...half, x: column.x + 13 });
    expect(measured(beside, [at('p0', 12, half)]).across!.from.is).toBe('column');
    expect(measured(beside, [at('p0', 20, { ...half, x: column.x + 8 })]).across!.from.is).toBe('column');
    expect(measured(at('p1', 20, { ...half, x: column.x + 1 }), [at('p0', 20, { w: 1 })]).across!.from.is).toBe(
      'column',
    );
  });
  it('is from the page’s outer edge where it is of no day', () => {
    const page = book.pages[0]!;
    const free = placement({ id: 'p1', page: 0, day: null, x: 12, y: 30, w: 20, h: 10 });
    const { across } = measured(free, [], []);
    expect(across!.from).toEqual({ is: 'page' });
    expect(across!.mm).toBe(page.bindingSide === 'right' ? 12 : page.width - 32);
  });
});

describe('down', () => {
  const above = at('p0', 10);
  it('is from the foot of what is above it, when that is down', () => {
    expect(measured(at('p1', 24), [above]).down).toEqual({
      mm: 4,
      side: 'top',
      from: { is: 'under', placement: 'p0' },
    });
    expect(measured(at('p1', 24)).down.from.is).not.toBe('under');
  });
  it('from the nearest of them', () => {
    expect(measured(at('p1', 50), [above, at('p2', 30)]).down.from).toEqual({ is: 'under', placement: 'p2' });
  });
  it('touching where a ruler sees no gap', () => expect(measured(at('p1', 20.2), [above]).down.mm).toBe(0));
  it('not from what is beside it in another column, but level with it where it is', () => {
    const wednesday = dayColumn(book, 2)!;
    const beside = at('p0', 24, { day: 2, x: wednesday.x, w: wednesday.w, page: wednesday.page });
    const { down } = measured(at('p1', 24), [beside]);
    if (wednesday.page === column.page) expect(down.from).toEqual({ is: 'level', placement: 'p0' });
    else expect(down.from.is).not.toBe('level');
  });
  it('not from what lies over it, nor from itself', () => {
    expect(measured(at('p1', 24), [at('p0', 10, { layer: 1 }), at('p1', 24)]).down.from.is).not.toBe('under');
  });
  it('from a printed line that still shows, and not from one that is whited out or covered', () => {
    const line = book.marks.find((m) => m.page === column.page && m.kind !== 'circle' && m.x < column.x + 5 && m.x + m.w > column.x + 30 && m.y > column.y + 20 && m.y < column.y + column.h - 30); // prettier-ignore
    if (!line) throw new Error('the book has no line in that column');
    const under = at('p1', line.y + line.h - column.y + 4);
    expect(measured(under, [], []).down.from.is).toBe('mark');
    expect(measured(under).down.from.is).not.toBe('mark');
    expect(measured(under, [at('p0', line.y - column.y - 1, { h: line.h + 2 })], []).down.from.is).not.toBe('mark');
  });
});

describe('from the page', () => {
  it('is said in the owner’s unit, from the outer edge', () => {
    const left = { page: 0, x: 25.4, y: 50.8, w: 10, h: 10 };
    expect(measuredFrom(book, left, 'in')).toBe('1 in from the left edge, 2 in from the top');
    expect(measuredFrom(book, left, 'mm')).toBe('25.4 mm from the left edge, 50.8 mm from the top');
    const { width } = book.pages[1]!;
    expect(measuredFrom(book, { ...left, page: 1, x: width - 35.4 }, 'mm')).toContain('25.4 mm from the right edge');
  });
  it('names two pages by their side, more by their number', () => {
    expect([pageName(book, 0), pageName(book, 1)]).toEqual(['left page', 'right page']);
    const four = { ...book, pages: [...book.pages, ...book.pages] };
    expect(pageName(four, 2)).toBe('page 3');
  });
});
