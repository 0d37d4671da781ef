// Serves the built application on 127.0.0.1 until it is stopped; for `npm run demo` and `npm start`.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

/**
 * @param env what the server is told beside this process's own
 * @param says what to print once it is open, by its address
 * @param ended called when it ends
 */
export async function serve({ env, says, ended = () => {} }) {
  const port = await freePort(Number(process.env.PORT ?? 4300));
  const server = spawn(
    process.execPath,
    [join('node_modules', 'next', 'dist', 'bin', 'next'), 'start', '-H', '127.0.0.1', '-p', String(port)],
    {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    },
  );
  server.stdout.on('data', (text) => {
    if (/Ready/.test(text)) console.log(says(`http://127.0.0.1:${port}`));
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => {
    ended();
    process.exit(code ?? 0);
  });
}

/** The first port from `wanted` on that nobody listens on. */
export async function freePort(wanted) {
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
