// `npm run check`: an answer for what was changed since the last commit, in under a minute: lint, format, types,
// import rules, and as many of the tests that can notice it as fit, nearest first. `npm test` runs them all.
import { execFileSync, spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { isTest, testsOf } from './near/tests-of';
import { withinSeconds } from './near/times';

/** s of tests, by what they took last; the rest of the minute is for starting them and for the checks beside */
const TESTS = 15;

const git = (...args: string[]): string[] =>
  execFileSync('git', args, { encoding: 'utf8' })
    .split('\n')
    .filter((line) => line && existsSync(line));

function step(name: string, command: string, args: readonly string[]): Promise<boolean> {
  const started = Date.now();
  return new Promise((done) => {
    const said: Buffer[] = [];
    const running = spawn(join('node_modules', '.bin', command), args);
    for (const stream of [running.stdout, running.stderr]) stream.on('data', (part: Buffer) => said.push(part));
    running.on('close', (status) => {
      const took = `${Math.round((Date.now() - started) / 1000)} s`;
      console.log(
        status === 0 ? `ok      ${name}, ${took}` : `FAILED  ${name}, ${took}\n${Buffer.concat(said).toString()}`,
      );
      done(status === 0);
    });
  });
}

async function main(): Promise<void> {
  const changed = [...new Set([...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '-o', '--exclude-standard')])];
  const sources = changed.filter((file) => /\.tsx?$/.test(file));
  const all = testsOf(changed);
  const tests = withinSeconds(all, TESTS);
  const steps = [
    changed.length && step('format', 'prettier', ['--check', '--ignore-unknown', '--log-level', 'warn', ...changed]),
    sources.length && step('types', 'tsc', ['--noEmit']),
    sources.length && step('lint', 'eslint', ['--max-warnings', '0', ...sources]),
    sources.length && step('import rules', 'depcruise', ['src', 'demo', '--config', '.dependency-cruiser.cjs']),
    tests.length &&
      step(`${tests.length} of ${all.length} tests`, 'jest', ['--maxWorkers=1', '--runTestsByPath', ...tests]),
  ].filter((s) => s !== 0);
  const held = await Promise.all(steps);
  if (!steps.length) console.log('Nothing was changed.');
  if (all.length > tests.length) console.log(`${all.length - tests.length} more can notice it: npm test runs them.`);
  const alone = changed.filter((file) => /^src\/.*\.tsx?$/.test(file) && !isTest(file) && !testsOf([file]).length);
  if (alone.length) console.log(`No unit test reaches ${alone.join(', ')}.`);
  process.exit(held.every(Boolean) ? 0 : 1);
}

void main();
