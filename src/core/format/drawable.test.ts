import { shippedLetters } from '../../server/fonts';
import { cleanLine, cleanText } from '../measure/clean-text';
import { drawable } from './drawable';

const letters = shippedLetters();
const FAMILIES = ['Caveat', 'Figtree', 'Fraunces', 'Pacifico', 'Sacramento'];

it('every font draws letters with marks that its library stumbles over', () => {
  const marks = [0x300, 0x301, 0x303, 0x304, 0x308].map((c) => String.fromCodePoint(c));
  for (const family of FAMILIES)
    for (const base of ['i', ' i', 'Ç', 'x', ''])
      for (const one of marks)
        for (const two of ['', ...marks])
          expect(letters.outline(`a${base}${one}${two}b`, family).width).toBeGreaterThan(0);
});

describe('what cannot be drawn', () => {
  const draws = (text: string): number => {
    if (/q\u0301|#/.test(text)) throw new Error('no');
    return text.length;
  };
  it('goes without its marks, or is left out, and all else stands', () => {
    expect(drawable('aq\u0301b', draws).text).toBe('aqb');
    expect(drawable('a#b', draws).text).toBe('ab');
    expect(drawable('cafe\u0301', draws)).toEqual({ text: 'café', drawn: 4 });
  });
});

describe('a clean text', () => {
  it.each([
    ['a\rb\r\nc', 'a\nb\nc'],
    ['a\u0000\u0007b\u009f', 'ab'],
    ['a\u2028b\u0085c', 'a\nb\nc'],
    ['a\ud800b\udc00', 'a\ufffdb\ufffd'],
    ['𝄞 e\u0301 \t', '𝄞 e\u0301 \t'],
  ])('%j is %j', (given, clean) => expect(cleanText(given)).toBe(clean));
  it('of one line has no line ends', () => expect(cleanLine('oat \r\n milk\neggs')).toBe('oat milk eggs'));
});
