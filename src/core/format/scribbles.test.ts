import { SCRIBBLES } from './scribbles';

const heightOf = (text: string): { top: number; foot: number } => {
  const ys = SCRIBBLES.outline(text, '').path.flatMap(({ args }) => args.filter((_, i) => i % 2));
  return { top: Math.min(...ys), foot: Math.max(...ys) };
};

describe('handwriting from afar', () => {
  it('has one closed stroke for each letter and none for a space, and runs as far as its letters', () => {
    const { path, width } = SCRIBBLES.outline('vet 9', '');
    expect(path.filter((c) => c.do === 'M')).toHaveLength(4);
    expect(path.filter((c) => c.do === 'Z')).toHaveLength(4);
    expect(width).toBeCloseTo(5 * 0.42);
    const xs = path.flatMap(({ args }) => args.filter((_, i) => i % 2 === 0));
    expect(Math.max(...xs)).toBeLessThanOrEqual(width);
    expect(SCRIBBLES.outline('', '')).toEqual({ path: [], width: 0 });
  });
  it('is taller for tall letters, and deeper for deep ones', () => {
    const small = heightOf('a');
    for (const tall of ['d', 'V', '9', 'Ж']) expect(heightOf(tall).top).toBeLessThan(small.top - 0.2);
    expect(heightOf('g').foot).toBeGreaterThan(small.foot + 0.1);
    expect(heightOf('g').top).toBeCloseTo(small.top);
  });
  it('lacks no letter: it has none', () => expect(SCRIBBLES.lacking('字')).toEqual([]));
});
