// `npm test`: installs what is missing, then lint, types, import rules, unit tests, browser tests. The last line adds
// the tests up.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, relative } from 'node:path';
import { ROOT, buildApplication, installBrowser, installPackages } from './setup.mjs';

const compiled = installPackages('to work on');
installBrowser();
const reports = mkdtempSync(join(tmpdir(), 'hobnail-test-'));
/** As `scripts/near/times.ts` reads it. */
const TIMES = join(ROOT, 'node_modules', '.cache', 'hobnail', 'test-times.json');
const failed = [];

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`);
  const started = Date.now();
  const { status } = spawnSync(join('node_modules', '.bin', command), args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  console.log(`  ${status === 0 ? 'ok' : 'FAILED'} in ${Math.round((Date.now() - started) / 1000)} s`);
  if (status !== 0) failed.push(name);
}

/**
 * A check that only reads the sources: several run at once, each on a core of its own. What it says is shown when it
 * ends.
 */
function check(name, command, args) {
  const started = Date.now();
  return new Promise((done) => {
    const said = [];
    const running = spawn(join('node_modules', '.bin', command), args, { cwd: ROOT });
    for (const stream of [running.stdout, running.stderr]) stream.on('data', (part) => said.push(part));
    running.on('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    running.on('close', (status) => {
      console.log(`\n— ${name}`);
      process.stdout.write(Buffer.concat(said));
      console.log(`  ${status === 0 ? 'ok' : 'FAILED'} in ${Math.round((Date.now() - started) / 1000)} s`);
      if (status !== 0) failed.push(name);
      done();
    });
  });
}

await Promise.all([
  check('lint', 'eslint', ['.', '--max-warnings', '0']),
  check('format', 'prettier', ['--check', '--log-level', 'warn', '.']),
  check('types', 'tsc', ['--noEmit']),
  check('import rules', 'depcruise', ['src', 'demo', '--config', '.dependency-cruiser.cjs']),
]);
await compiled;
// every core: by itself Jest leaves one idle
step('unit tests', 'jest', ['--maxWorkers=100%', '--json', `--outputFile=${join(reports, 'unit.json')}`]);
buildApplication();
step('browser tests', 'playwright', ['test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json') });

const read = (name) => {
  try {
    return JSON.parse(readFileSync(join(reports, name), 'utf8'));
  } catch {
    return null;
  }
};
const [unit, browser] = [read('unit.json'), read('browser.json')];
if (unit) {
  // for `npm run check` and `npm run mutants`, which choose what fits
  const times = unit.testResults.map((t) => [relative(ROOT, t.name), (t.endTime - t.startTime) / 1000]);
  mkdirSync(dirname(TIMES), { recursive: true });
  writeFileSync(TIMES, JSON.stringify(Object.fromEntries(times), null, 1));
}
const passed = (unit?.numPassedTests ?? 0) + (browser?.stats?.expected ?? 0);
const broken =
  (unit?.numFailedTests ?? 0) +
  (unit?.numRuntimeErrorTestSuites ?? 0) +
  (browser?.stats?.unexpected ?? 0) +
  (browser?.stats?.flaky ?? 0);
if (!unit || !browser) failed.push('a report that is missing');
if (failed.length) console.error(`\nFailed: ${failed.join(', ')}`);
console.log(`${passed} passed, ${broken} failed`);
process.exit(failed.length || broken || !passed ? 1 : 0);
