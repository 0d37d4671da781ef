import { checkMarkup } from '../../../tests/xml';
import { piece } from '../../../tests/fixtures';
import { contrast } from '../color/color';
import { SHAPES } from '../kit/kinds';
import { randomFrom } from '../measure/random';
import { drawPiece, shownCut } from './draw-piece';
import type { FontName } from './letter-widths';
import { LETTER_WIDTHS } from './letter-widths';
import { broken, fittingSize, lettering, textWidth } from './lettering';
import { MOTIFS, isPattern, motifOf } from './motifs/registry';
import { outline } from './outlines';
import { box, colorPen, esc, num, put, rimPen, spark } from './svg';
import { legible, tonesOf } from './tones';

const FONTS = Object.keys(LETTER_WIDTHS) as FontName[];
const tones = tonesOf('#e4f3ef', '#1f6f78');

/** The absolute points a path of M, H, V, L, h, v, l, a, C, A and q comes to; enough for an outline's bounds. */
function pointsOf(d: string): { x: number; y: number }[] {
  const points: { x: number; y: number }[] = [];
  let [x, y] = [0, 0];
  const size: Readonly<Record<string, number>> = { m: 2, l: 2, h: 1, v: 1, a: 7, c: 6, q: 4, t: 2, z: 0 };
  for (const [, letter = '', rest = ''] of d.matchAll(/([a-z])([^a-z]*)/gi)) {
    const numbers = [...rest.matchAll(/-?\d*\.?\d+/g)].map(Number);
    const step = size[letter.toLowerCase()] ?? 0;
    for (let i = 0; step && i < numbers.length; i += step) {
      const [dx, dy] = numbers.slice(i + step - 2, i + step) as [number, number];
      const own = letter === letter.toLowerCase();
      if (letter.toLowerCase() === 'h') x = (own ? x : 0) + (numbers[i] as number);
      else if (letter.toLowerCase() === 'v') y = (own ? y : 0) + (numbers[i] as number);
      else [x, y] = own ? [x + dx, y + dy] : [dx, dy];
      points.push({ x, y });
    }
  }
  return points;
}

describe.each(SHAPES)('the outline of a %s piece', (shape) => {
  it.each([
    [38.1, 48.3],
    [38, 9],
    [14, 14],
    [4, 3],
  ])('%d × %d mm stays inside its own size', (w, h) => {
    const points = pointsOf(outline(shape, w, h));
    expect(points.length).toBeGreaterThanOrEqual(2);
    for (const p of points) {
      expect(p.x).toBeGreaterThanOrEqual(-0.06);
      expect(p.y).toBeGreaterThanOrEqual(-0.06);
      expect(p.x).toBeLessThanOrEqual(w + 0.06);
      expect(p.y).toBeLessThanOrEqual(h + 0.06);
    }
  });
  it('is closed, and smaller where it is inset', () => {
    expect(outline(shape, 38, 20)).toMatch(/^M.*z$/);
    const farthest = (inset: number): number =>
      Math.max(...pointsOf(outline(shape, 38, 20, inset)).map((p) => p.x + p.y));
    expect(farthest(3)).toBeLessThan(farthest(0));
  });
});

describe('numbers and text for SVG', () => {
  it('have two places at most and no minus zero', () =>
    expect([1 / 3, -0.001, 12.345, 1e-9, 100].map(num)).toEqual(['0.33', '0', '12.35', '0', '100']));
  it('cannot leave their attribute or their element', () => {
    const hostile = `"/><script>alert('1')</script>&\u0000\u001b`;
    expect(esc(hostile)).not.toMatch(/["'<>\u0000\u001b]/);
    expect(() => checkMarkup(`<svg><text x="${esc(hostile)}">${esc(hostile)}</text></svg>`)).not.toThrow();
  });
  it('keep every letter of every language', () => expect(esc('chœur 合唱 🐕')).toBe('chœur 合唱 🐕'));
});

describe('pens', () => {
  it('draw the same shapes, one in color and one in paper only', () => {
    const figure = (pen: typeof colorPen): string =>
      pen.fill('M0 0h1z', '#123456', 0.5) +
      pen.line('M0 0h9', '#123456', 2) +
      pen.disc(5, 5, 2, '#123456') +
      pen.oval(5, 5, 3, 2, '#123456', 30);
    const tags = (svg: string): string[] => [...svg.matchAll(/<(\w+)/g)].map((m) => m[1] as string);
    expect(tags(figure(rimPen(3, '#ffffff')))).toEqual(tags(figure(colorPen)));
    expect(figure(rimPen(3, '#ffffff'))).not.toContain('#123456');
    expect(figure(rimPen(3, '#ffffff'))).toContain('stroke-width="6"');
    expect(figure(rimPen(3, '#ffffff'))).toContain('stroke-width="8"'); // a line of 2 with 3 on either side
  });
  it('say opacity only where there is some', () => {
    expect(colorPen.disc(0, 0, 1, '#111111')).not.toContain('opacity');
    expect(colorPen.disc(0, 0, 1, '#111111', 1)).not.toContain('opacity');
    expect(colorPen.disc(0, 0, 1, '#111111', 0.25)).toContain('fill-opacity="0.25"');
  });
  it('turn only what is turned', () => {
    expect(colorPen.oval(3, 4, 2, 1, '#111111')).not.toContain('rotate');
    expect(colorPen.oval(3, 4, 2, 1, '#111111', 15)).toContain('rotate(15 3 4)');
    expect(put('<g/>', 10, 20, 50)).toBe('<g transform="translate(10 20) scale(0.5) translate(-50 -50)"><g/></g>');
    expect(put('<g/>', 10, 20, 50, -8)).toContain('rotate(-8)');
  });
  it('round a box only where it is round', () => {
    expect(box(0, 0, 3, 4, '#111111')).not.toContain('rx');
    expect(box(0, 0, 3, 4, '#111111', 1)).toContain('rx="1"');
  });
  it('put a star’s four points at its radius', () => {
    const points = pointsOf(spark(10, 10, 4));
    for (const [x, y] of [
      [10, 6],
      [14, 10],
      [10, 14],
      [6, 10],
    ] as const)
      expect(points.some((p) => Math.hypot(p.x - x, p.y - y) < 0.05)).toBe(true);
  });
});

describe('lettering', () => {
  it.each(FONTS)('%s has a width for every letter from the space to the tilde', (font) => {
    expect(LETTER_WIDTHS[font]).toHaveLength(0x7e - 0x20 + 1);
    for (const w of LETTER_WIDTHS[font]) expect(w).toBeGreaterThan(0);
  });
  it.each(FONTS)(
    '%s: a text is as wide as its letters, with or without marks, a wide one as its size, others as an n',
    (font) => {
      expect(textWidth('', font)).toBe(0);
      expect(textWidth('ferry', font)).toBeCloseTo([...'ferry'].reduce((sum, c) => sum + textWidth(c, font), 0));
      expect(textWidth('š', font)).toBe(textWidth('s', font));
      expect(textWidth('合', font)).toBe(1);
      expect(textWidth('🐕', font)).toBe(1);
      expect(textWidth('ж', font)).toBe(textWidth('n', font));
    },
  );
  it.each(FONTS)('%s fits width and height, whichever is less', (font) => {
    for (const [w, h] of [
      [30, 4],
      [5, 40],
      [0.5, 0.5],
    ] as const) {
      const size = fittingSize('weekend', font, w, h);
      expect(textWidth('weekend', font) * size).toBeLessThanOrEqual(w + 1e-9);
      expect(size).toBeLessThanOrEqual(h);
    }
    expect(Number.isFinite(fittingSize('', font, 30, 4))).toBe(true);
  });
  it('is centered, escaped and heavier where the font has it', () => {
    const svg = lettering('a<b', 'Figtree', 3, 10, 5, '#111111');
    expect(svg).toContain('text-anchor="middle"');
    expect(svg).toContain('a&#60;b');
    expect(svg).toContain('font-weight="600"');
    expect(lettering('a', 'Caveat', 3, 10, 5, '#111111', ' opacity=".5"')).toMatch(/opacity="\.5"/);
    expect(lettering('a', 'Caveat', 3, 10, 5, '#111111')).not.toContain('font-weight');
  });
  it('is broken between words only, none lost', () => {
    const text = 'small tides still turn the biggest boats';
    const lines = broken(text, 12);
    expect(lines.join(' ')).toBe(text);
    for (const line of lines) expect(line.length <= 12 || !line.includes(' ')).toBe(true);
    expect(broken('', 12)).toEqual([]);
    expect(broken('  spaced   out ', 4)).toEqual(['spaced', 'out']);
  });
});

describe('tones', () => {
  it('are paler and deeper than the printed color, and know a dark ground', () => {
    expect(tones.dark).toBe(false);
    expect(tonesOf('#14222e', '#ffffff').dark).toBe(true);
    expect(contrast(tones.pale, '#fffdf8')).toBeLessThan(contrast(tones.deep, '#fffdf8'));
    expect(contrast(tones.soft, '#fffdf8')).toBeLessThan(contrast(tones.deep, '#fffdf8'));
  });
  it('ink is the first wanted color with a contrast of 3 (WCAG 2.2, 1.4.3, large text), else dark or white', () => {
    expect(legible('#ffffff', '#eeeeee', '#1f6f78')).toBe('#1f6f78');
    expect(legible('#ffffff', '#eeeeee')).toBe('#1f2a33');
    expect(legible('#101820')).toBe('#ffffff');
    for (const ground of ['#e4f3ef', '#1f6f78', '#777777', '#e8836b', '#000000'])
      expect(contrast(ground, legible(ground, '#808080'))).toBeGreaterThanOrEqual(3);
  });
});

describe.each(Object.keys(MOTIFS))('the motif %s', (name) => {
  const motif = motifOf(name);
  it.each([
    [38.1, 48.3],
    [160, 11],
    [3, 2],
  ])('fills %d × %d mm with clean markup, the same each time', (w, h) => {
    const drawn = motif.fill(w, h, tones, randomFrom(7));
    checkMarkup(`<svg>${drawn}</svg>`);
    expect(drawn).not.toMatch(/NaN|undefined|Infinity/);
    expect(motif.fill(w, h, tones, randomFrom(7))).toBe(drawn);
  });
  it('has a figure where it is no pattern, and its rim covers as many shapes', () => {
    if (!isPattern(name)) expect(motif.figure).toBeDefined();
    const figure = motif.figure?.(colorPen, tones) ?? '';
    checkMarkup(`<svg>${figure}</svg>`);
    expect(figure).not.toMatch(/NaN|undefined/);
    const shapes = (svg: string): number => svg.split('<').length;
    expect(shapes(motif.figure?.(rimPen(3, '#ffffff'), tones) ?? '')).toBe(shapes(figure));
  });
});

it('a motif nobody has drawn is leaves and dots', () => {
  for (const word of ['zeppelin', '', '__proto__', 'constructor']) expect(motifOf(word)).toBe(motifOf('sprig'));
});

describe('a cut as it is drawn', () => {
  const roll = piece({ kind: 'washi', width: 5000, height: 15 });
  it('is the whole piece where there is none', () =>
    expect(shownCut(piece(), null)).toEqual({ x: 0, y: 0, w: 38.1, h: 12 }));
  it('far along a roll looks as near its beginning, its size kept', () => {
    const far = shownCut(roll, { x: 4321, y: 1.5, w: 150, h: 12 });
    expect(far).toMatchObject({ y: 1.5, w: 150, h: 12 });
    expect(far.x + far.w).toBeLessThanOrEqual(400);
  });
  it('of a sticker stays where it is', () =>
    expect(shownCut(piece(), { x: 10, y: 2, w: 5, h: 3 })).toEqual({ x: 10, y: 2, w: 5, h: 3 }));
});

it('a piece’s clips are named after it, so that two drawings on a page never share one', () => {
  const names = (id: string): string[] =>
    [...drawPiece(piece({ kind: 'full-box', motif: 'waves' }), id).matchAll(/clipPath id="([^"]+)"/g)].map(
      (m) => m[1] as string,
    );
  expect(names('a').length).toBeGreaterThan(0);
  expect(names('a').filter((n) => names('b').includes(n))).toEqual([]);
});
