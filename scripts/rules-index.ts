import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { RULES } from '../src/core/review/registry';

export const RULES_INDEX = join('docs', 'rules.md');
const FOLDER = join('src', 'core', 'review');

/** What the comment over a rule says after its code. */
function sentenceOf(file: string, code: string): string {
  const text = readFileSync(join(FOLDER, file), 'utf8');
  const said = new RegExp(`/\\*\\*[\\s*]*${code}: ([\\s\\S]*?)\\*/`).exec(text)?.[1];
  if (said === undefined) throw new Error(`${file} does not say what ${code} is`);
  const sentence = said.replace(/\s*\n\s*\*?\s*/g, ' ').trim();
  return sentence[0]!.toUpperCase() + sentence.slice(1);
}

/** The index of the rules that the review knows, made of its registry. */
export function rulesIndex(): string {
  const files = readdirSync(FOLDER).filter((name) => !name.endsWith('.test.ts'));
  const rows = RULES.map(({ code, title }) => {
    const file = files.find((name) => name.startsWith(`${code.toLowerCase()}-`));
    if (file === undefined) throw new Error(`no file is named by ${code}`);
    return `| ${code} | ${title} | ${sentenceOf(file, code)} | [${file}](../${FOLDER}/${file}) |`;
  });
  return [
    '# The rules that the review knows',
    '',
    'Made from `src/core/review/registry.ts` by `npm run schemas`. What each means in the trade: [handbook.md](handbook.md), section 6. K7, P5 and E are no findings: they are how a week is arranged (`src/core/arrange`, `src/core/manner/options/smallest.ts`).',
    '',
    '| code | name | what it finds | file |',
    '|---|---|---|---|',
    ...rows,
    '',
  ].join('\n');
}
