import { kitOf, piece } from '../../../tests/fixtures';
import { isOf, tableKits } from './is-of';
import { sayTheme } from './say-theme';

const [red, blue, green] = [
  piece({ kit: 'a', code: 'R' }),
  piece({ kit: 'b', code: 'R' }),
  piece({ kit: 'b', code: 'G' }),
];
const gathered = { ...kitOf(red, green), name: 'gathered', gathered: true } as const;

it('a sticker is of the kit that it is named by, or of the one that it was gathered into', () => {
  expect([red, blue, green].map((p) => isOf({ name: 'a', pieces: [] }, p))).toEqual([true, false, false]);
  expect([red, blue, green].map((p) => isOf(gathered, p))).toEqual([true, false, true]);
});

it('what was gathered lies on the sheets of its own kits, with what else of them lies ready', () => {
  const stash = [{ name: 'b', pieces: [blue] }];
  expect(tableKits({ kit: gathered, stash }).map((k) => [k.name, k.pieces.map((p) => p.code)])).toEqual([
    ['a', ['R']],
    ['b', ['G', 'R']],
  ]);
  const plain = { name: 'a', pieces: [red] };
  expect(tableKits({ kit: plain, stash })).toEqual([plain, ...stash]);
});

it('a theme is called by its colors and its foil', () => {
  expect(sayTheme(['pink', 'red'], 'rose-gold')).toBe('Pink, red and rose gold foil');
  expect(sayTheme(['pink', 'red'], null)).toBe('Pink and red');
  expect(sayTheme(['pink', 'red'], 'none')).toBe('Pink and red');
});
