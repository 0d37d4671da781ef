import { shippedLetters } from '../../server/fonts';
import { demoSpread } from '../../../tests/fixtures';
import { checkMarkup } from '../../../tests/xml';
import { LETTER_WIDTHS } from '../art/letter-widths';
import { lettering } from '../art/lettering';
import { whiteOutOf } from '../bench/white-out';
import { parseMarkup, unescaped, writeMarkup } from './markup';
import { matrixOf } from './pdf/svg-form';
import { spreadSvg } from './spread-svg';
import { lettersAsPaths } from './text-as-path';

const letters = shippedLetters();
const xs = (d: string): number[] => [...d.matchAll(/-?[\d.]+ -?[\d.]+/g)].map((m) => Number(m[0].split(' ')[0]));

describe('markup', () => {
  it('that nothing touches is written as it was read', () => {
    const svg = '<svg viewBox="0 0 2 2"><g fill="none"><path d="M0 0h1"/>words &#38; more</g><rect x="1"/></svg>';
    expect(writeMarkup(parseMarkup(svg))).toBe(svg);
    expect(parseMarkup('<?xml version="1.0"?><a><b/></a>')).toMatchObject([{ name: 'a', children: [{ name: 'b' }] }]);
  });
  it('has its entities as letters', () => expect(unescaped('&#60;a &amp; b&#x2019;s&#62;')).toBe('<a & b’s>'));
});

describe('lettering as outlines', () => {
  it('is as wide as its font has it, from its anchor, at its size', () => {
    // the widths were measured from the font files (scripts/measure-fonts.mjs)
    const wide =
      ([...'tide'].reduce((sum, ch) => sum + LETTER_WIDTHS.Figtree[ch.codePointAt(0)! - 32]!, 0) / 1000) * 10;
    for (const [anchor, from] of [
      ['start', 5],
      ['middle', 5 - wide / 2],
      ['end', 5 - wide],
    ] as const) {
      const svg = `<g font-family="Figtree" font-size="10"><text x="5" y="20" text-anchor="${anchor}">tide</text></g>`;
      const [, d] = /d="([^"]+)"/.exec(lettersAsPaths(svg, letters))!;
      expect(Math.min(...xs(d!))).toBeGreaterThan(from - 0.5);
      expect(Math.max(...xs(d!))).toBeLessThan(from + wide + 0.5);
      expect(Math.max(...xs(d!)) - Math.min(...xs(d!))).toBeGreaterThan(wide * 0.85);
    }
  });
  it('keeps color, rim and turn, takes what its group gives, and is squeezed where it must be', () => {
    const plain = lettersAsPaths(
      lettering('tide', 'Pacifico', 6, 10, 10, '#123456', ' stroke="#ffffff" paint-order="stroke"'),
      letters,
    );
    expect(plain).toMatch(/^<path d="M[^"]+" fill="#123456" stroke="#ffffff" paint-order="stroke"\/>$/);
    const squeezed =
      '<g font-family="Caveat" font-size="6" fill="#111111"><text x="0" y="5" textLength="4" lengthAdjust="spacingAndGlyphs">walk the hounds</text></g>';
    const [, d] = /d="([^"]+)"/.exec(lettersAsPaths(squeezed, letters))!;
    expect(Math.max(...xs(d!))).toBeLessThan(4.3);
    expect(lettersAsPaths(squeezed, letters)).toContain('fill="#111111"');
  });
  it('of letters that the font does not have are an empty box, and an empty line is nothing', () => {
    const one = (text: string) =>
      /d="([^"]*)"/.exec(lettersAsPaths(`<text font-family="Caveat" font-size="5">${text}</text>`, letters))![1];
    expect(one('न')).toMatch(/^M[^Q]*Z$/);
    expect(one('')).toBe('');
  });
  it('leaves no text in a spread’s picture, so that every viewer shows the same', () => {
    const { context, placements } = demoSpread();
    const svg = spreadSvg(context, placements, whiteOutOf(context, placements), letters);
    expect(/<text|font-family|@font-face/.test(svg)).toBe(false);
    expect(svg.match(/<g id="p\d+"/g)).toHaveLength(placements.length);
    checkMarkup(svg.replace(/^<\?xml[^>]*>/, ''));
  });
});

it('what drawings move by is one matrix: translate, turn about a point, scale', () => {
  const at = (transform: string, x: number, y: number) => {
    const [a, b, cc, d, e, f] = matrixOf(transform);
    return [a * x + cc * y + e, b * x + d * y + f];
  };
  expect(at('translate(3 4)', 1, 1)).toEqual([4, 5]);
  expect(at('translate(10 0) scale(2)', 1, 1)).toEqual([12, 2]);
  const turned = at('rotate(90 5 5)', 6, 5);
  expect(turned).toEqual([expect.closeTo(5, 9), expect.closeTo(6, 9)]);
});
