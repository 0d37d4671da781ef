import { keysOf } from './keys';

const named = (address: string) => keysOf(address).map(([key]) => key);

it('tells the keys of the screen first, and those of every screen on each', () => {
  expect(named('/')).toContain('?');
  expect(named('/spreads/3')[0]).toBe('Arrows');
  expect(named('/spreads/3/bench')[0]).toBe('Enter, Space');
  expect(named('/books/three-box')).toContain('Delete');
  for (const address of ['/', '/agenda', '/kits', '/books', '/settings', '/spreads/1', '/spreads/1/bench'])
    expect(named(address)).toEqual(expect.arrayContaining(['?', 'Ctrl Z, Ctrl Y']));
});
