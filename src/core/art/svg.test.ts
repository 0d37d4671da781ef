import fc from 'fast-check';
import { parseMarkup } from '../format/markup';
import { box, colorPen, esc, num, put, rimPen, spark } from './svg';

it.each([
  [1, '1'],
  [1.005, '1'],
  [1.239, '1.24'],
  [-0.001, '0'],
  [1e-9, '0'],
  [1234.5, '1234.5'],
])('%d is written %s', (n, text) => expect(num(n)).toBe(text));

it('no text breaks out of a drawing, and no letter that a drawing must not have is in it', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 40 }), (text) => {
      const [g, ...others] = parseMarkup(`<g id="${esc(text)}"><text>${esc(text)}</text></g>`);
      expect([g?.name, others.length, [...(g?.attributes.keys() ?? [])]]).toEqual(['g', 0, ['id']]);
      expect(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(esc(text))).toBe(false);
    }),
    { seed: 12, numRuns: 300 },
  );
});

describe('pens draw the same shapes', () => {
  const rim = rimPen(2, '#fffdf8');
  it('in color, with their opacity where there is one', () => {
    expect(colorPen.fill('M0 0h1', '#123456')).toBe('<path d="M0 0h1" fill="#123456"/>');
    expect(colorPen.disc(1, 2, 3, '#123456', 0.5)).toBe(
      '<circle cx="1" cy="2" r="3" fill="#123456" fill-opacity="0.5"/>',
    );
    expect(colorPen.disc(1, 2, 3, '#123456', 1)).not.toContain('opacity');
    expect(colorPen.line('M0 0h1', '#123456', 0.3)).toContain('stroke-width="0.3"');
    expect(colorPen.oval(1, 2, 3, 4, '#123456', 30)).toContain('rotate(30 1 2)');
    expect(colorPen.oval(1, 2, 3, 4, '#123456')).not.toContain('rotate');
  });
  it('or the paper round them, wider by the rim on both sides', () => {
    expect(rim.line('M0 0h1', '#123456', 0.5)).toContain('stroke-width="4.5"');
    for (const drawn of [rim.fill('M0 0h1', '#123456'), rim.disc(1, 2, 3, '#123456'), rim.oval(1, 2, 3, 4, '#123456', 9)])
      expect([drawn.includes('#123456'), drawn.includes('#fffdf8'), drawn.includes('stroke-width="4"')]).toEqual([
        false, true, true,
      ]); // prettier-ignore
  });
});

it('a box has round corners where it is told', () => {
  expect(box(0, 1, 2, 3, '#fff')).toBe('<rect x="0" y="1" width="2" height="3" fill="#fff"/>');
  expect(box(0, 1, 2, 3, '#fff', 1)).toContain('rx="1"');
});

it('a figure is put by its middle, scaled from a hundred', () => {
  expect(put('<g/>', 10, 20, 50)).toBe('<g transform="translate(10 20) scale(0.5) translate(-50 -50)"><g/></g>');
  expect(put('<g/>', 10, 20, 50, 45)).toContain('rotate(45)');
});

it('a star comes back to where it began', () => {
  const numbers = (spark(10, 10, 4).match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  expect(numbers.slice(0, 2)).toEqual([10, 6]);
  const ends = Array.from({ length: 4 }, (_, i) => numbers.slice(2 + 4 * i + 2, 2 + 4 * i + 4));
  const sum = ends.reduce((s, [x = 0, y = 0]) => [s[0]! + x, s[1]! + y], [0, 0]);
  expect(sum.map((n) => Math.abs(n) < 0.05)).toEqual([true, true]);
});
