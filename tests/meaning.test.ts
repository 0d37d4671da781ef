import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const CORE = join(__dirname, '..', 'src', 'core');

/** Words of people and of the application: what is said of things, never what they are. */
const SAID = String.raw`(?:\.(?:message|label|plural|remedy|say|says)\b|\bsay[A-Z]\w*\([^()]*\))`;

/** Ways in which code asks something of a sentence. */
const ASKS: readonly RegExp[] = [
  new RegExp(
    String.raw`${SAID}\s*(?:\?\.|\.)\s*(?:includes|startsWith|endsWith|match|matchAll|search|indexOf|split|replace)\(`,
  ),
  new RegExp(String.raw`\.(?:test|exec)\([^()]*${SAID}`),
  new RegExp(String.raw`${SAID}\s*(?:===|!==|==|!=|<|>)\s*(?!undefined)`),
  new RegExp(String.raw`(?:===|!==|==|!=)\s*[\w.]*${SAID}`),
  new RegExp(String.raw`(?:includes|startsWith|has|get)\([\w.]*${SAID}`),
];

const asks = (code: string): boolean => ASKS.some((way) => way.test(code));

/** Errors have messages of their own, which readers of files hand on. */
const isErrors = (line: string): boolean => /\b(?:error|e)\.message\b/.test(line);

function filesOf(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesOf(path);
    return /\.ts$/.test(entry.name) && !/\.test\.ts$/.test(entry.name) ? [path] : [];
  });
}

it('no logic of the core reads a sentence', () => {
  const found = filesOf(CORE).flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .flatMap((line, i) =>
        asks(line) && !isErrors(line) ? [`${file.slice(CORE.length + 1)}:${i + 1} ${line.trim()}`] : [],
      ),
  );
  expect(found).toEqual([]);
});

it.each([
  "if (finding.message.includes('banner')) return [];",
  'const side = / on the (left|right) page/.exec(c.finding.message)?.[1];',
  "if (change.label.startsWith('Swap')) learn(change);",
  'offered.some((o) => o.label === remedy.label)',
  'ticked.includes(step.say)',
  'if (sayFinding(f, voice).message === other) return;',
])('would find %s', (line) => expect(asks(line)).toBe(true));

it.each([
  'const name = traits(kind).label;',
  'const row = { label: traits(kind).label };',
  'paper.paragraph(`${step.n}. ${sayStep(step, voice)}`);',
])('lets %s be', (line) => expect(asks(line)).toBe(false));
