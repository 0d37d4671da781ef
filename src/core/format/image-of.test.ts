import fc from 'fast-check';
import { imageOf } from './image-of';

describe('the image of a value', () => {
  it('is the same for the same value, whatever the order of its keys', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(imageOf(JSON.parse(JSON.stringify(value)))).toBe(imageOf(value));
      }),
    );
    expect(imageOf({ a: 1, b: { c: [1, 2], d: null } })).toBe(imageOf({ b: { d: null, c: [1, 2] }, a: 1 }));
    expect(imageOf({ a: 1, b: undefined })).toBe(imageOf({ a: 1 }));
  });
  it('is another as soon as anything in it changes', () => {
    const values = [null, 0, '', [], {}, [0], { a: 0 }, { a: [0] }, { a: '0' }, { b: 0 }, [1, 2], [2, 1]];
    expect(new Set(values.map(imageOf)).size).toBe(values.length);
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        fc.pre(JSON.stringify(sortedCopy(a)) !== JSON.stringify(sortedCopy(b)));
        expect(imageOf(a)).not.toBe(imageOf(b));
      }),
      { numRuns: 300 },
    );
  });
});

const sortedCopy = (value: unknown): unknown =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(
        Object.entries(value)
          .sort(([a], [b]) => (a < b ? -1 : 1))
          .map(([k, v]) => [k, sortedCopy(v)]),
      )
    : Array.isArray(value)
      ? value.map(sortedCopy)
      : value;
