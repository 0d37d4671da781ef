// `npm run demo`: installs, builds, lays the demo scenario and serves it on 127.0.0.1, with its simulated household
// calendar, scanner and cutter. `-- --fresh` starts over.
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, serve } from './serve.mjs';
import { ROOT, buildApplication, installPackages, seed } from './setup.mjs';

const DATA = process.env.HOBNAIL_DATA ?? join(ROOT, '.data', 'hobnail.sqlite');

if (process.argv.includes('--fresh')) for (const ending of ['', '-wal', '-shm']) rmSync(DATA + ending, { force: true });
const compiled = installPackages();
buildApplication();
await compiled;
const household = await freePort(4390);
seed({ HOBNAIL_DATA: DATA, HOBNAIL_FEED: `http://127.0.0.1:${household}/household.ics` });
const scanner = await freePort(4490);
const cutter = await freePort(4491);
const standIns = [
  ['household-service', household],
  ['scanner-service', scanner],
  ['cutter-service', cutter],
].map(([name, port]) =>
  spawn(process.execPath, ['--import', 'tsx', join('demo', name, 'serve.ts'), String(port)], {
    cwd: ROOT,
    stdio: ['pipe', 'ignore', 'ignore'],
  }),
);
await serve({
  env: {
    HOBNAIL_DATA: DATA,
    HOBNAIL_DEMO: '1',
    HOBNAIL_SCANNER: `http://127.0.0.1:${scanner}`,
    HOBNAIL_CUTTER: `http://127.0.0.1:${cutter}`,
  },
  says: (address) =>
    `\nHobnail is open at ${address}  (Ctrl C closes it; what you change is kept)\nThe simulated household calendar is at http://127.0.0.1:${household}/\nThe simulated scanner is at http://127.0.0.1:${scanner}/\nThe simulated cutter is at http://127.0.0.1:${cutter}/\n`,
  ended: () => standIns.forEach((service) => service.kill()),
});
