import { differenceCiede2000 } from 'culori';
import { contrast, difference, mix } from './color';

/** Some of the 34 pairs of Sharma, Wu and Dalal (2005), table 1: the ones that catch wrong hue means. */
const PAIRS: readonly (readonly [number, number, number, number, number, number, number])[] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0],
  [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
];

describe('color', () => {
  it.each(PAIRS)('CIEDE2000 of (%p, %p, %p) and (%p, %p, %p) is %p', (l1, a1, b1, l2, a2, b2, expected) => {
    expect(differenceCiede2000()({ mode: 'lab65', l: l1, a: a1, b: b1 }, { mode: 'lab65', l: l2, a: a2, b: b2 })).toBeCloseTo(expected, 4);
  });

  it('is no difference to itself, and the same both ways', () => {
    expect(difference('#1f6f78', '#1f6f78')).toBe(0);
    expect(difference('#1f6f78', '#e8836b')).toBeCloseTo(difference('#e8836b', '#1f6f78'), 8);
  });

  it('gives contrast as WCAG 2.2 defines it', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  });

  it('mixes evenly and stays a plain hex color', () => {
    expect(mix('#000000', '#ffffff', 0)).toBe('#000000');
    expect(mix('#1f6f78', '#ffffff', 1)).toBe('#ffffff');
  });

  it('refuses what is no color', () => expect(() => difference('teal-ish', '#000000')).toThrow('not a color'));
});
