import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { RULES_INDEX, rulesIndex } from '../scripts/rules-index';
import { RULES } from '../src/core/review/registry';

const text = (file: string): string => readFileSync(file, 'utf8');
const pages = [
  'README.md',
  'CHANGELOG.md',
  'CONTRIBUTING.md',
  ...['docs', 'docs/formats', 'docs/decisions'].flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => name.endsWith('.md'))
      .map((name) => join(folder, name)),
  ),
];

it('the index of rules is what its registry makes', () => {
  const plain = (table: string): string => table.replace(/ +/g, ' ');
  expect(plain(text(RULES_INDEX))).toBe(plain(rulesIndex()));
});

it('the handbook has every rule that is reviewed', () => {
  const handbook = text('docs/handbook.md');
  for (const { code } of RULES) expect(handbook).toContain(`- **${code}** `);
});

it.each(pages)('every link of %s leads somewhere', (page) => {
  for (const [, target = ''] of text(page).matchAll(/\]\(([^)#]+)(?:#[^)]*)?\)/g))
    if (!/^https?:/.test(target)) expect([target, existsSync(join(dirname(page), target))]).toEqual([target, true]);
});

it('what sources point to in docs/ is there', () => {
  const filesIn = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesIn(path) : /\.(tsx?|mjs)$/.test(entry.name) ? [path] : [];
    });
  for (const file of ['src', 'demo', 'scripts'].flatMap(filesIn))
    for (const [target] of text(file).matchAll(/docs\/[\w./-]+\.(?:md|json|txt)/g))
      expect([file, target, existsSync(target)]).toEqual([file, target, true]);
});
