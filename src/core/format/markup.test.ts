import { demoContext, demoSpread } from '../../../tests/fixtures';
import { esc } from '../art/svg';
import { parseMarkup, unescaped, writeMarkup } from './markup';
import { spreadSvg } from './spread-svg';

it('a drawing is taken apart and put together as it was', () => {
  for (const markup of [
    '<g/>',
    '<g id="a"><rect x="1" y="2"/><text>oats, soap</text></g>',
    '<svg viewBox="0 0 3 4" xml:space="preserve"><g><g><path d="M0 0h1"/></g></g></svg>',
  ])
    expect(writeMarkup(parseMarkup(markup))).toBe(markup);
});

it('a whole spread too, but for its head', () => {
  const context = demoContext();
  const svg = spreadSvg(context, demoSpread().placements, []);
  const body = svg.slice(svg.indexOf('<svg')).trim();
  expect(writeMarkup(parseMarkup(svg)).trim()).toBe(body);
});

it('has attributes by name, children in order, and text as it stands', () => {
  const [g] = parseMarkup('<?xml version="1.0"?><!-- x --><g id="a" fill="#fff">one<rect/>two</g>');
  expect([...g!.attributes]).toEqual([
    ['id', 'a'],
    ['fill', '#fff'],
  ]);
  expect(g!.children.map((c) => (typeof c === 'string' ? c : c.name))).toEqual(['one', 'rect', 'two']);
});

it('an element that closes nothing, and one that is never closed, break nothing', () => {
  expect(parseMarkup('</g><g><rect>').map((e) => e.name)).toEqual(['g']);
  expect(parseMarkup('')).toEqual([]);
  expect(parseMarkup('only words')).toEqual([]);
});

it.each([
  ['&#38;', '&'],
  ['&#x26;', '&'],
  ['&amp;&lt;&gt;&quot;', '&<>"'],
  ['&#8217;', '’'],
  ['&unknown;', '&unknown;'],
  ['no entity', 'no entity'],
])('%j is read as %j', (text, read) => expect(unescaped(text)).toBe(read));

it('what this project writes it reads back, whatever the letters', () => {
  for (const text of ['<b>&"', 'fish & “chips”', 'vet 4:30p', 'ß æ ☂ 𝄞']) expect(unescaped(esc(text))).toBe(text);
});
