import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Every source that says something: not its tests, and not what lies in migrations, which says what once was said. */
const sources = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\.|migrations/.test(f))
  .map((f) => [f, readFileSync(join('src', f), 'utf8')] as const);

/** A line without what is a comment. */
const said = (line: string): string => line.replace(/\/\*.*?(\*\/|$)|^\s*\*.*|\/\/.*/g, '');

/** What people do not say, and what they say instead. */
const FAULTS: readonly (readonly [RegExp, string])[] = [
  [/\bof 100\b/, '63 %'],
  [/\bin its stead\b/, 'instead of it'],
  [/[Bb]egin anew\b/, 'start over'],
  [/[Ll]oad the page anew|\b(?:loaded|started|arrange) anew[.,;…'?]/, 'reload, restart, arrange again'],
  [/[Cc]ome in in\b/, 'sign in in'],
  [/\bare lacking\b/, '3 ft short'],
  [/>\s*\{f\.rule\}/, 'what it is about, with the code on hover'],
];

it.each(FAULTS)('nothing that is shown says %s, but “%s”', (fault) => {
  const found = sources.flatMap(([file, text]) =>
    text.split('\n').flatMap((line, i) => (fault.test(said(line)) ? [`${file}:${i + 1} ${line.trim()}`] : [])),
  );
  expect(found).toEqual([]);
});

it('comments may say so', () => {
  expect(said('  /** a share of 100 */ const n = 1;')).toBe('   const n = 1;');
  expect(said(' * of 100, in its stead')).toBe('');
});
