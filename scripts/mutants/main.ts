// `npm run mutants [-- COUNT [SEED [SECONDS]]]`: changes one operator, constant or condition of src/core at a time,
// runs the tests that can notice, nearest first, and lists the changes that no test noticed. `-- at FILE…` draws from
// those files alone. By default 200 changes, each tried for up to a minute on a copy of the sources.
import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { randomFrom } from '../../src/core/measure/random';
import { filesIn, isTest, takers, testsOf } from '../near/tests-of';
import { withinSeconds } from '../near/times';
import type { Mutant } from './changes';
import { changed, mutantsOf } from './changes';

const CORE = join('src', 'core');
/** A run that takes this many times what its tests should take goes round in circles: that is noticed, too. */
const ENDLESS = 5;
const START_SECONDS = 15;

const [args, only] = split(process.argv.slice(2));
const [count = 200, seed = Date.now() % 1_000_000, seconds = 60] = args.map(Number);

function split(all: readonly string[]): [string[], string[]] {
  const at = all.indexOf('at');
  return at < 0 ? [[...all], []] : [all.slice(0, at), all.slice(at + 1)];
}

function drawn(): Mutant[] {
  const files = only.length ? only : filesIn(CORE).filter((file) => !isTest(file));
  const all = files.flatMap((file) => mutantsOf(file, readFileSync(file, 'utf8')));
  const random = randomFrom(seed);
  const picked: Mutant[] = [];
  while (picked.length < count && all.length) picked.push(...all.splice(Math.floor(random() * all.length), 1));
  return picked;
}

/** A copy of the sources, in which one change after another is made. */
function copyOfSources(): string {
  const folder = mkdtempSync(join(tmpdir(), 'hobnail-mutants-'));
  // all of it: a test that misses a file would take every change for noticed
  for (const name of execFileSync('git', ['ls-files'], { encoding: 'utf8' }).trim().split('\n'))
    cpSync(name, join(folder, name));
  symlinkSync(resolve('node_modules'), join(folder, 'node_modules'));
  return folder;
}

/** @returns whether the tests held */
function hold(folder: string, tests: readonly string[]): Promise<boolean> {
  const jest = join(resolve('node_modules'), 'jest', 'bin', 'jest.js');
  const args = [
    jest,
    '--silent',
    '--bail',
    '-i',
    '--reporters',
    './tests/stand-ins/silent-reporter.cjs',
    '--runTestsByPath',
  ];
  const running = spawn(process.execPath, [...args, ...tests], { cwd: folder, stdio: 'ignore', detached: true });
  return new Promise((done) => {
    const end = setTimeout(() => process.kill(-running.pid!, 'SIGKILL'), (START_SECONDS + seconds * ENDLESS) * 1000);
    running.on('close', (status) => {
      clearTimeout(end);
      done(status === 0);
    });
  });
}

async function main(): Promise<void> {
  const by = takers();
  const mutants = drawn();
  console.log(`seed ${seed}: ${mutants.length} changes, up to ${seconds} s of tests each`);
  const queue = [...mutants];
  const lived: Mutant[] = [];
  let untested = 0;
  await Promise.all(
    Array.from({ length: Math.min(availableParallelism(), queue.length) }, async () => {
      const folder = copyOfSources();
      for (let mutant = queue.shift(); mutant; mutant = queue.shift()) {
        const whole = readFileSync(mutant.file, 'utf8');
        const tests = withinSeconds(testsOf([mutant.file], by), seconds);
        writeFileSync(join(folder, mutant.file), changed(whole, mutant));
        const alive = tests.length === 0 || (await hold(folder, tests));
        writeFileSync(join(folder, mutant.file), whole);
        if (!tests.length) untested++;
        if (!alive) continue;
        lived.push(mutant);
        console.log(`lives  ${mutant.file}:${mutant.line}  ${mutant.was}  →  ${mutant.text}`);
      }
      rmSync(folder, { recursive: true, force: true });
    }),
  );
  for (const sort of ['operator', 'constant', 'condition'] as const) {
    const mine = mutants.filter((m) => m.sort === sort);
    console.log(`${sort}: ${mine.length - lived.filter((m) => m.sort === sort).length} of ${mine.length} died`);
  }
  const died = mutants.length - lived.length;
  console.log(
    `${died} of ${mutants.length} died (${((100 * died) / mutants.length).toFixed(1)} of 100); ${untested} no test can reach`,
  );
}

void main();
