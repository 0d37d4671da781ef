// What a fresh machine lacks, installed by Node alone: the packages, the tools they are built with, the browser for
// the tests, the built application.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
const LOCK_STAMP = join(ROOT, 'node_modules', '.hobnail-lock');
const BUILD_STAMP = join(ROOT, '.next', 'hobnail-sources');

/** Runs a command and ends the whole script when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    ...options,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...options.env },
  });
  if (done.status !== 0) {
    console.error(`${command} ${args.join(' ')} did not succeed${done.error ? `: ${done.error.message}` : ''}`);
    process.exit(done.status ?? 1);
  }
}

const has = (tool) => spawnSync('sh', ['-c', `command -v ${tool}`]).status === 0;
const hash = (text) => createHash('sha256').update(text).digest('hex');

function apt(...packages) {
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [['update'], ['install', '-y', '--no-install-recommends', ...packages]]) {
    const [command, ...rest] = [...asRoot, 'apt-get', '-q', ...args];
    run(command, rest, { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  }
}

/**
 * Installs the packages when the lock file says others than are there.
 * @param what to use the application, or to work on it: that takes a third more
 * @returns when SQLite is compiled, too: the application can be built, and sources be looked over, meanwhile
 */
export function installPackages(what = 'to use') {
  const wanted = hash(readFileSync(join(ROOT, 'package-lock.json')));
  const there = existsSync(LOCK_STAMP) ? readFileSync(LOCK_STAMP, 'utf8') : '';
  const whole = `${wanted} to work on`;
  if (there === whole || there === `${wanted} ${what}`) return Promise.resolve();
  const missing = [
    ['make', 'build-essential'],
    ['g++', 'build-essential'],
    ['python3', 'python3'],
  ]
    .filter(([tool]) => !has(tool))
    .map(([, name]) => name);
  if (missing.length) apt(...new Set(missing));
  console.log('Installing packages…');
  const quietly = ['--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'];
  if (there.startsWith(wanted)) {
    // all that is there stays as it is, SQLite too
    run('npm', ['install', '--no-save', ...quietly]);
    writeFileSync(LOCK_STAMP, whole);
    return Promise.resolve();
  }
  run('npm', ['ci', ...(what === 'to use' ? ['--omit=dev'] : []), ...quietly]);
  return compileSqlite().then(() => writeFileSync(LOCK_STAMP, `${wanted} ${what}`));
}

/** The one package that is built from source: its ready-made binary would come from another machine at install. */
function compileSqlite() {
  const prefix = dirname(dirname(process.execPath));
  const headers = existsSync(join(prefix, 'include', 'node', 'node.h')) ? { npm_config_nodedir: prefix } : {};
  const started = Date.now();
  const said = [];
  const compiling = spawn('npm', ['rebuild', 'better-sqlite3', '--foreground-scripts'], {
    cwd: ROOT,
    // -O1 is compiled in two thirds of the time of -O3; a save waits for the disk, not for SQLite
    env: { ...process.env, npm_config_build_from_source: 'true', CFLAGS: '-O1', CXXFLAGS: '-O1', ...headers },
  });
  for (const stream of [compiling.stdout, compiling.stderr]) stream.on('data', (part) => said.push(part));
  return new Promise((done) => {
    compiling.on('close', (status) => {
      if (status !== 0) {
        process.stderr.write(Buffer.concat(said));
        console.error('SQLite could not be compiled.');
        process.exit(status ?? 1);
      }
      console.log(`SQLite is compiled (${Math.round((Date.now() - started) / 1000)} s).`);
      done();
    });
  });
}

/** Builds the application when its sources are others than those it was built from. */
export function buildApplication() {
  const wanted = hash(
    sources()
      .map((file) => `${file}:${hash(readFileSync(join(ROOT, file)))}`)
      .join('\n'),
  );
  if (existsSync(BUILD_STAMP) && readFileSync(BUILD_STAMP, 'utf8') === wanted) return;
  console.log('Building the application (about a minute)…');
  rmSync(BUILD_STAMP, { force: true });
  run(process.execPath, [join('node_modules', 'next', 'dist', 'bin', 'next'), 'build']);
  mkdirSync(dirname(BUILD_STAMP), { recursive: true });
  writeFileSync(BUILD_STAMP, wanted);
}

function sources() {
  const walk = (folder) =>
    readdirSync(join(ROOT, folder))
      .sort()
      .flatMap((name) => {
        const path = join(folder, name);
        return statSync(join(ROOT, path)).isDirectory() ? walk(path) : /\.test\.tsx?$/.test(name) ? [] : [path];
      });
  return ['package-lock.json', 'next.config.ts', 'tsconfig.json', ...walk('src'), ...walk(join('docs', 'formats'))];
}

/** The browser for the tests. */
export function installBrowser() {
  if (!existsSync('/usr/bin/chromium')) apt('chromium');
}

/** Lays the demo scenario into a database that has none. */
export function seed(env) {
  run(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], { env });
}
