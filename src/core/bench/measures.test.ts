import { context, kitOf, piece, placement } from '../../../tests/fixtures';
import { ruleStep } from '../measure/fraction';
import type { Placement } from '../spread/placement';
import { benchOf } from './bench';
import { ruledParts } from './kinds/cut';
import { measuresOf } from './measures';

const inches = context({ kit: kitOf(piece({ count: 20 })) });
const millimeters = { ...inches, book: { ...inches.book, unit: 'mm' as const } };
const measured = (placements: readonly Placement[], c = inches) => measuresOf(c, benchOf(c, placements));
const SIXTEENTH = ruleStep('in');
/** A stack of bases, each so far under the one before it. */
const stackOf = (gap: number, n = 8) =>
  Array.from({ length: n }, (_, i) => placement({ id: `p${i}`, copy: i + 1, y: 60 + i * (10 + gap), h: 10 }));

describe('lengths as they are measured', () => {
  it('do not add up what rounding puts off: each gap takes back what the one before it lost', () => {
    const gaps = stackOf(2.4).map((p) => measured(stackOf(2.4)).get(p.id)!.down.mm / SIXTEENTH);
    // 2.4 mm is one sixteenth and a half: one and two by turns, not two seven times
    expect(gaps.slice(1).every((g) => [1, 2].some((whole) => Math.abs(g - whole) < 1e-6))).toBe(true);
    expect(gaps.slice(1).reduce((sum, g) => sum + g * SIXTEENTH, 0)).toBeCloseTo(7 * 2.4, -0.5);
    expect(new Set(gaps.slice(1).map(Math.round)).size).toBe(2);
  });
  it('leave what touches touching', () =>
    expect([...measured(stackOf(0)).values()].slice(1).map((m) => m.down.mm)).toEqual(Array(7).fill(0)));
  it('move nothing out of its column', () => {
    const narrow = placement({ x: 46.1 + 0.9, w: 36.5 });
    expect(measured([narrow]).get('p1')!.across).toMatchObject({ side: 'right', mm: 0 });
    const roomy = placement({ x: 46.1 + 1.4, w: 30 });
    expect(measured([roomy]).get('p1')!.across!.mm).toBeCloseTo(SIXTEENTH);
  });
  it('are half millimeters in a book of those', () =>
    expect(measured([placement({ y: 60.3 })], millimeters).get('p1')!.down.mm * 2).toBeCloseTo(Math.round(measured([placement({ y: 60.3 })], millimeters).get('p1')!.down.mm * 2))); // prettier-ignore
});

describe('parts of a sticker', () => {
  const strip = (...lengths: number[]) =>
    lengths.map((w, i) => ({ x: lengths.slice(0, i).reduce((a, b) => a + b, 0), y: 0, w, h: 9 }));
  const said = (parts: ReturnType<typeof strip>, width: number) =>
    ruledParts(parts, { width, height: 9 }, 'in').map((r) => Math.round(r.w / SIXTEENTH));
  it('are never said to be longer than it is', () => {
    expect(said(strip(60), 60)).toEqual([37]); // 37.8 sixteenths
    expect(said(strip(60), 61)).toEqual([38]);
    expect(said(strip(20.5, 20.5, 20.5), 61.5)).toEqual([12, 13, 13]); // 12.9 each, 38.7 in all
  });
  it('are a step of the ruler at least', () => expect(said(strip(0.5, 0.5), 1)).toEqual([1, 1]));
});
