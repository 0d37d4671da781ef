import fc from 'fast-check';
import { boldness } from './boldness';
import { colorName, colorNames } from './color-name';
import type { Hex } from './color';
import { contrast, difference, isHex, luminance, mix } from './color';
import { oklabOf } from './oklab';

const anyHex = fc.integer({ min: 0, max: 0xffffff }).map((n): Hex => `#${n.toString(16).padStart(6, '0')}`);

describe('OKLab', () => {
  // sRGB primaries in OKLab as CSS Color 4 and its test suite have them: lightness, chroma, hue. From memory.
  it.each([
    ['#ffffff', 1, 0, null],
    ['#000000', 0, 0, null],
    ['#ff0000', 0.628, 0.2577, 29.23],
    ['#00ff00', 0.8664, 0.2948, 142.5],
    ['#0000ff', 0.452, 0.3132, 264.05],
  ] as const)('%s is %d light, %d strong, at %p degrees', (hex, l, c, h) => {
    const lab = oklabOf(hex);
    expect(lab.l).toBeCloseTo(l, 2);
    expect(lab.c).toBeCloseTo(c, 2);
    if (h !== null) expect(Math.abs(lab.h - h)).toBeLessThan(0.5);
  });
  it('has a hue from 0 up to 360 for any color', () => {
    fc.assert(
      fc.property(anyHex, (hex) => {
        const { l, c, h } = oklabOf(hex);
        expect(l).toBeGreaterThanOrEqual(-1e-6);
        expect(l).toBeLessThanOrEqual(1 + 1e-6);
        expect(c).toBeGreaterThanOrEqual(0);
        expect(h >= 0 && h < 360).toBe(true);
      }),
      { numRuns: 200, seed: 3 },
    );
  });
  it('refuses what is no color', () => expect(() => oklabOf('seaweed')).toThrow('not a color'));
});

describe('a color in words', () => {
  it.each([
    ['#ffffff', 'white'],
    ['#000000', 'black'],
    ['#808080', 'gray'],
    ['#ff0000', 'red'],
    ['#ffff00', 'yellow'],
    ['#00ff00', 'lime'],
    ['#0000ff', 'blue'],
    ['#1f6f78', 'teal'],
    ['#e8836b', 'coral'],
    ['#0b3b3f', 'dark teal'],
  ])('%s is %s', (hex, name) => expect(colorName(hex)).toBe(name));
  it('has a name for each color there is', () => {
    fc.assert(
      fc.property(anyHex, (hex) => expect(colorName(hex)).toMatch(/^(pale |dark )?[a-z]+$/)),
      { numRuns: 300, seed: 4 },
    );
  });
});

describe('boldness', () => {
  it('grows from white over pale to dark', () => {
    const steps = ['#ffffff', '#e4f3ef', '#7fb8b0', '#1f6f78', '#0b2a2e'].map(boldness);
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    expect(steps[0]).toBeCloseTo(0, 3);
  });
  it('of two colors equally light is more where there is more color', () =>
    expect(boldness('#e02020')).toBeGreaterThan(boldness('#7b7b7b')));
  it('is told of the same color as it was told at first', () => expect(boldness('#1f6f78')).toBe(boldness('#1f6f78')));
  it('refuses what is no color', () => expect(() => boldness('#12')).toThrow('not a color'));
});

describe('mixing', () => {
  it('goes evenly from one to the other, and never leaves them', () => {
    fc.assert(
      fc.property(anyHex, anyHex, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
        const mixed = mix(a, b, share);
        expect(isHex(mixed)).toBe(true);
        const [low, high] = [oklabOf(a).l, oklabOf(b).l].sort((p, q) => p - q) as [number, number];
        expect(oklabOf(mixed).l).toBeGreaterThanOrEqual(low - 0.02);
        expect(oklabOf(mixed).l).toBeLessThanOrEqual(high + 0.02);
      }),
      { numRuns: 200, seed: 5 },
    );
  });
});

describe('luminance and contrast', () => {
  // WCAG 2.2, relative luminance: the weights of red, green and blue
  it.each([
    ['#ff0000', 0.2126],
    ['#00ff00', 0.7152],
    ['#0000ff', 0.0722],
    ['#ffffff', 1],
    ['#000000', 0],
  ] as const)('%s has a relative luminance of %d', (hex, light) => expect(luminance(hex)).toBeCloseTo(light, 4));
  it('are the same whichever color is named first', () => {
    fc.assert(
      fc.property(anyHex, anyHex, (a, b) => {
        expect(contrast(a, b)).toBeCloseTo(contrast(b, a), 9);
        expect(difference(a, b)).toBeCloseTo(difference(b, a), 6);
        expect(contrast(a, b)).toBeGreaterThanOrEqual(1);
        expect(contrast(a, b)).toBeLessThanOrEqual(21.0001);
      }),
      { numRuns: 150, seed: 6 },
    );
  });
});

it('only six digits behind a number sign are a color of a file', () =>
  expect(['#1f6f78', '#1F6F78', '1f6f78', '#1f6', '#1f6f7g', '#1f6f78 ', '', 'teal'].map(isHex)).toEqual([
    true,
    true,
    false,
    false,
    false,
    false,
    false,
    false,
  ]));

it('names no two colors beside each other alike', () => {
  const colors = ['#a0d2c8', '#1f6f78', '#e8836b', '#5aa9a0'];
  const names = colorNames(colors);
  expect(new Set(names).size).toBe(4);
  expect(names[2]).toBe(colorName('#e8836b'));
  const [light, deep] = colorNames(['#5fa59c', '#1f6f78']);
  expect([light, deep]).toEqual(['light teal', 'deep teal']);
});
