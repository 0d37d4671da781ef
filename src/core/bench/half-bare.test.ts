import { context, kitOf, piece, placement } from '../../../tests/fixtures';
import { dateHeader, dayColumn } from '../book/columns';
import type { Mark } from '../book/book';
import { threeBox } from '../book/three-box';
import { whiteOutOf } from './white-out';

const kit = kitOf(piece({ count: 9 }), piece({ code: 'W', kind: 'washi', width: 170, height: 15, opacity: 0.55 }));
const header = dateHeader(threeBox, 0)!;
const column = dayColumn(threeBox, 0)!;
const frame = (r: { x: number; y: number }, w: number, h: number): Mark => ({ kind: 'box', page: 0, x: r.x, y: r.y, w, h }); // prettier-ignore
/** mm of a mark's ink that are to be whited out under one piece. */
function gone(mark: Mark, at: Parameters<typeof placement>[0], keepsRows = false): number {
  const c = context({ kit, book: { ...threeBox, marks: [mark] }, ways: { keepsRows } });
  return whiteOutOf(c, [placement({ day: null, role: 'base', cut: null, ...at })]).reduce((mm, w) => mm + Math.max(w.w, w.h), 0); // prettier-ignore
}

describe('a mark is never left half (B6)', () => {
  it('in a header: a cover over one corner takes the whole frame with it, one beside it leaves it whole', () => {
    const mark = frame(header, 30, 8);
    const corner = { x: header.x - 1, y: header.y - 1, w: 11, h: 5 };
    expect(gone(mark, corner)).toBeCloseTo(20 + 30 + 3.7 + 7.4, 0);
    expect(gone(mark, { x: header.x + 31, y: header.y, w: 5, h: 8 })).toBe(0);
  });
  it('in a column whose rows are kept: a frame that mostly shows stays, of one that is mostly covered all goes', () => {
    const mark = frame({ x: column.x, y: 100 }, 30, 20); // 100 mm round
    const over = (h: number) => gone(mark, { x: column.x - 1, y: 99, w: 32, h }, true);
    // of 100 mm 30 + 2 × 4 are covered: 62 show
    expect(over(5)).toBe(0);
    // 30 + 2 × 6 are covered: 58 show, and go
    expect(over(7)).toBeCloseTo(57.4, 1);
  });
  it('under washi only what shows through it goes, while the frame stays', () => {
    const mark = frame({ x: column.x, y: 100 }, 30, 20);
    expect(gone(mark, { code: 'W', x: column.x - 1, y: 99, w: 32, h: 4 }, true)).toBeCloseTo(30 + 2 * 2.7, 0);
  });
});
