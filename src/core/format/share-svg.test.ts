import { demoContext, demoSpread } from '../../../tests/fixtures';
import { shippedLetters } from '../../server/fonts';
import type { SharedTexts } from './share-svg';
import { scribbled, shareSvg } from './share-svg';

const context = demoContext();
const { placements } = demoSpread();
const drawn = (texts: SharedTexts, letters: boolean) =>
  // lettering as text, so that a word that is left in it would be found
  shareSvg(context, placements, [], texts, letters ? shippedLetters() : null);
const words = [
  ...new Set(
    [...placements.map((p) => p.text ?? ''), ...context.week.demands.map((d) => d.title)]
      .flatMap((t) => t.match(/\p{L}{4,}/gu) ?? [])
      .filter((w) => !context.kit.pieces.some((p) => p.words.includes(w))),
  ),
];

it('has the texts where they are kept', () => {
  expect(words.length).toBeGreaterThan(20);
  expect(words.some((w) => drawn('kept', false).includes(w))).toBe(true);
});

it.each(['blurred', 'left out'] as const)('has no word of its owner’s where they are %s', (texts) => {
  const svg = drawn(texts, false);
  expect(words.filter((w) => svg.includes(`>${w}`) || svg.includes(` ${w} `))).toEqual([]);
  expect(svg).not.toContain(context.week.week);
  expect(svg).not.toContain('<title>');
  expect(svg).not.toContain('<desc');
});

it('is the same picture but for the texts, with its lettering as outlines', () => {
  const [kept, out] = [drawn('kept', true), drawn('left out', true)];
  expect(kept).not.toContain('<text');
  expect(out.length).toBeLessThan(kept.length);
  expect(drawn('blurred', true).length).toBeGreaterThan(out.length);
});

it.each([
  ['vet', 'mmm'],
  ['9a vet, Juniper', 'mmmmmmmmmmmmmmm'],
  ['oats\n  soap', 'mmmmmm\n  mmmmmm'],
  ['', ''],
])('waves stand for %j, by threes', (text, waves) => {
  expect(scribbled(text)).toBe(waves);
});
