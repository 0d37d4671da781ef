import { dashes, operator } from './operators';

it('writes numbers short, never as powers of ten, and finer in a matrix', () => {
  expect(operator('curve', 1, 0.5, -0.00001, 100, 2.00004, 1e-9)).toBe('1 0.5 0 100 2 0 c');
  expect(operator('line', 0.0006, 1200)).toBe('0.001 1200 l');
  expect(operator('matrix', 0.00006, 0, 0, -1, 10, 0)).toBe('0.00006 0 0 -1 10 0 cm');
  expect(operator('show', 'X12')).toBe('/X12 Do');
  expect(operator('save')).toBe('q');
  expect(dashes([1.5, 2])).toBe('[1.5 2] 0 d');
});
