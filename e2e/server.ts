import type { ChildProcess } from 'node:child_process';
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, cpSync, existsSync, mkdtempSync, readFileSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

export const TODAY = '2027-02-03';

const DATA = 'hobnail.sqlite';
const WAIT = 50;
/** A server is waited for so long, ms: a busy machine takes its time. */
const PATIENCE = 90_000;
const TRIES = 3;

const later = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** The scenarios: without the weeks long past, and with them. */
export const SEEDS = [false, true] as const;

const seedName = (past: boolean): string => `HOBNAIL_SEED_${past ? 'PAST' : 'PLAIN'}`;

/** Lays the demo scenario around a fixed day, to be copied for each test. Children of this process know where. */
export function seedDatabase(past: boolean): Promise<string> {
  const file = join(mkdtempSync(join(tmpdir(), 'hobnail-seed-')), DATA);
  const laying = spawn(process.execPath, ['--import', 'tsx', 'scripts/seed.ts'], {
    env: { ...process.env, HOBNAIL_DATA: file, HOBNAIL_TODAY: TODAY, HOBNAIL_PAST: past ? '1' : '0' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  return new Promise((done, fail) => {
    laying.on('close', (status) => {
      if (status !== 0) return fail(new Error('the scenario could not be laid'));
      process.env[seedName(past)] = file;
      done(file);
    });
  });
}

/** Where a scenario was laid. */
export function seededDatabase(past = false): string {
  const file = process.env[seedName(past)];
  if (!file) throw new Error('no scenario was laid');
  return file;
}

/**
 * A server of its own on data of its own. It can be killed and started again on the same data; it is known by a name
 * that it answers with, so that no other server is taken for it, and none is left that still answers.
 */
export class Hobnail {
  private server: ChildProcess | null = null;
  private name = '';
  private readonly folder = mkdtempSync(join(tmpdir(), 'hobnail-e2e-'));
  readonly data = join(this.folder, DATA);
  url = '';
  /** where its door is, once it is opened to the network */
  doorPort = 0;

  constructor(seed: string) {
    this.lay(seed);
  }

  /** Puts other data in the place of all that is there; a server that runs takes it up by itself. */
  lay(seed: string): void {
    for (const name of readdirSync(this.folder))
      if (name !== DATA) rmSync(join(this.folder, name), { recursive: true, force: true });
    copyFileSync(seed, `${this.data}.fresh`);
    renameSync(`${this.data}.fresh`, this.data);
    const pictures = join(dirname(seed), 'pictures');
    if (existsSync(pictures)) cpSync(pictures, join(this.folder, 'pictures'), { recursive: true });
  }

  get running(): boolean {
    return this.server !== null && this.server.exitCode === null;
  }

  /** @param at the port; any that is free where none is given */
  async start(at?: number): Promise<void> {
    for (let n = 0; n < TRIES; n++) {
      const port = at ?? (await freePort());
      this.doorPort ||= await freePort();
      this.url = `http://127.0.0.1:${port}`;
      this.name = randomUUID();
      this.server = spawn(
        process.execPath,
        ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
        {
          env: {
            ...process.env,
            HOBNAIL_DATA: this.data,
            HOBNAIL_TODAY: TODAY,
            HOBNAIL_START: this.name,
            HOBNAIL_DOOR_PORT: String(this.doorPort),
            NEXT_TELEMETRY_DISABLED: '1',
          },
          stdio: 'ignore',
          detached: true, // a group of its own, so that what it starts ends with it
        },
      );
      if (await this.answers()) return;
      await this.kill(); // the port was taken by somebody else meanwhile, or it ended by itself
    }
    throw new Error('the server did not start');
  }

  /** Waits till this very server answers. */
  private async answers(): Promise<boolean> {
    for (let waited = 0; waited < PATIENCE; waited += WAIT) {
      if (this.server?.exitCode !== null) return false;
      const who = await whoAnswers(this.url);
      if (who === this.name) return true;
      if (who !== null) return false;
      await later(WAIT);
    }
    return false;
  }

  /** An empty house in place of the demo's. */
  async emptied(): Promise<void> {
    await this.kill();
    for (const ending of ['', '-journal']) rmSync(this.data + ending, { force: true });
    await this.comeBack();
  }

  /** Ends the server and all that it started at once, with no chance to write anything more. */
  async kill(): Promise<void> {
    const { server } = this;
    this.server = null;
    if (!server?.pid) return;
    const ended = server.exitCode === null ? new Promise((done) => server.once('exit', done)) : Promise.resolve();
    try {
      process.kill(-server.pid, 'SIGKILL');
    } catch {
      // it had ended by itself
    }
    await ended;
    for (let waited = 0; (await whoAnswers(this.url)) === this.name; waited += WAIT) {
      if (waited > PATIENCE) throw new Error('a killed server still answers');
      await later(WAIT);
    }
  }

  /** Starts it again at its old address, for windows that are still open. */
  comeBack(): Promise<void> {
    return this.start(Number(new URL(this.url).port));
  }

  /** The memory that the server holds, MB (Linux: VmRSS). */
  memory(): number {
    const status = readFileSync(`/proc/${this.server?.pid ?? 0}/status`, 'utf8');
    return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
  }

  /** Ends it for good. */
  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** The name of the server at an address; null where none answers. */
async function whoAnswers(url: string): Promise<string | null> {
  const answer = await fetch(`${url}/alive`, { signal: AbortSignal.timeout(10_000) }).catch(() => null);
  return answer ? (answer.headers.get('x-hobnail-start') ?? '') : null;
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });
}
