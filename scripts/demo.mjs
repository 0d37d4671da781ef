// `npm run demo`: installs, builds, lays the demo scenario and serves it on 127.0.0.1, with its simulated household
// calendar. `-- --fresh` starts over.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { ROOT, buildApplication, installPackages, seed } from './setup.mjs';

const DATA = process.env.HOBNAIL_DATA ?? join(ROOT, '.data', 'hobnail.sqlite');

if (process.argv.includes('--fresh')) for (const ending of ['', '-wal', '-shm']) rmSync(DATA + ending, { force: true });
installPackages();
buildApplication();
const household = await freePort(4390);
seed({ HOBNAIL_DATA: DATA, HOBNAIL_FEED: `http://127.0.0.1:${household}/household.ics` });
const port = await freePort(Number(process.env.PORT ?? 4300));
const service = spawn(
  process.execPath,
  ['--import', 'tsx', join('demo', 'household-service', 'serve.ts'), String(household)],
  { cwd: ROOT, stdio: ['pipe', 'ignore', 'ignore'] },
);
const server = spawn(
  process.execPath,
  [join('node_modules', 'next', 'dist', 'bin', 'next'), 'start', '-H', '127.0.0.1', '-p', String(port)],
  {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, HOBNAIL_DATA: DATA, NEXT_TELEMETRY_DISABLED: '1' },
  },
);
server.stdout.on('data', (text) => {
  if (/Ready/.test(text))
    console.log(
      `\nHobnail is open at http://127.0.0.1:${port}  (Ctrl C closes it; what you change is kept)\nThe simulated household calendar is at http://127.0.0.1:${household}/\n`,
    );
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  service.kill();
  process.exit(code ?? 0);
});

/** The first port from `wanted` on that nobody listens on. */
async function freePort(wanted) {
  for (let port = wanted; port < wanted + 50; port++) {
    const free = await new Promise((done) => {
      const probe = createServer()
        .once('error', () => done(false))
        .once('listening', () => probe.close(() => done(true)))
        .listen(port, '127.0.0.1');
    });
    if (free) return port;
  }
  throw new Error(`no free port from ${wanted} on`);
}
