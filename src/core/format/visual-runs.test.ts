import { visualRuns } from './visual-runs';

const seen = (text: string): string[] =>
  visualRuns(text, (letter) => (/[a-z]/.test(letter) ? 'latin' : /[0-9]/.test(letter) ? 'digits' : 'other')).map(
    (r) => `${r.level % 2 ? '<' : ''}${r.text}`,
  );

it('parts a line by what draws it, marks with their letters', () => {
  expect(seen('ab12c')).toEqual(['ab', '12', 'c']);
  const runs = visualRuns('e\u0301x👩\u200d👧', (letter) => letter.length);
  expect(runs.map((r) => r.text)).toEqual(['e\u0301', 'x', '👩\u200d👧']);
});

it('turns what is written from the right round, numbers and Latin in it as they are read (UAX 9)', () => {
  expect(seen('a \u05d0\u05d1 b')).toEqual(['a', ' ', '<\u05d0\u05d1', ' ', 'b']);
  // a line that begins in Hebrew: its first word is seen last
  expect(seen('\u05d0 ab 12')).toEqual(['ab', ' ', '12', '<\u05d0 ']);
  expect(seen('\u05d0 12 \u05d1')).toEqual(['< \u05d1', '12', '<\u05d0 ']);
});

it('mirrors brackets there (UAX 9, L4)', () => {
  expect(seen('(\u05d0)')[0]).toContain('\u05d0');
  expect(visualRuns('\u05d0(\u05d1)', () => 0)[0]?.text).toBe('\u05d0)\u05d1(');
});
