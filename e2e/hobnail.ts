import type { ChildProcess } from 'node:child_process';
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { test as base } from '@playwright/test';

export const TODAY = '2027-02-03';

/**
 * A server of its own, with the demo scenario around a fixed day; it can be killed and started again on the same
 * data.
 */
export class Hobnail {
  private server: ChildProcess | null = null;
  readonly data = join(mkdtempSync(join(tmpdir(), 'hobnail-e2e-')), 'hobnail.sqlite');
  url = '';

  private get env() {
    return { ...process.env, HOBNAIL_DATA: this.data, HOBNAIL_TODAY: TODAY, NEXT_TELEMETRY_DISABLED: '1' };
  }

  seed(): void {
    const { status, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/seed.ts'], {
      env: this.env,
      encoding: 'utf8',
    });
    if (status !== 0) throw new Error(stderr);
  }

  async start(): Promise<void> {
    const port = await freePort();
    this.url = `http://127.0.0.1:${port}`;
    this.server = spawn(
      process.execPath,
      ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
      { env: this.env, stdio: 'ignore' },
    );
    for (let i = 0; i < 120; i++) {
      if ((await fetch(this.url).catch(() => null))?.ok) return;
      await new Promise((done) => setTimeout(done, 250));
    }
    throw new Error('the server did not start');
  }

  /** Ends the server at once, with no chance to write anything more. */
  async kill(): Promise<void> {
    const { server } = this;
    if (!server) return;
    const ended = new Promise((done) => server.once('exit', done));
    server.kill('SIGKILL');
    await ended;
    this.server = null;
  }
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });
}

/** One seeded server for all tests of a file. */
export const test = base.extend<{ complaints: string[] }, { hobnail: Hobnail }>({
  hobnail: [
    async ({}, use) => {
      const hobnail = new Hobnail();
      hobnail.seed();
      await hobnail.start();
      await use(hobnail);
      await hobnail.kill();
    },
    { scope: 'worker' },
  ],
  complaints: [
    async ({ page }, use) => {
      const complaints: string[] = [];
      page.on('pageerror', (e) => complaints.push(e.message));
      page.on(
        'request',
        (r) => !/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(r.url()) && complaints.push(`asked ${r.url()}`),
      );
      await use(complaints);
    },
    { auto: true },
  ],
});

/** Opens a week of the shelf by its name there, with the kit and book wanted. */
export async function openWeek(
  page: Page,
  hobnail: Hobnail,
  name: RegExp,
  choose: { book?: string; kit?: string } = {},
): Promise<void> {
  await page.goto(hobnail.url);
  const card = page.getByRole('region', { name });
  const start = card.getByRole('button', { name: 'Plan this week' });
  await start.or(card.getByRole('link', { name: /^(Open|Go on)$/ })).waitFor();
  if (await start.count()) {
    await start.click();
    for (const [label, value] of [
      ['Book', choose.book],
      ['Kit', choose.kit],
    ] as const) {
      if (!value) continue;
      await page.getByRole('combobox', { name: label }).click();
      await page.getByRole('option', { name: new RegExp(value) }).click();
    }
    await page.getByRole('button', { name: 'Open the book' }).click();
  } else {
    await card.getByRole('link', { name: /^(Open|Go on)$/ }).click();
  }
  await page.waitForURL(/\/spreads\/\d+$/);
  await page.getByTestId('board').waitFor();
}

export async function saved(page: Page): Promise<void> {
  await page
    .getByTestId('saved')
    .filter({ hasText: /^saved$/ })
    .waitFor();
}

export async function arrangeWeek(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Arrange the week' }).click();
  await page.getByTestId('piece').nth(20).waitFor();
  await saved(page);
}

/** Leaves the week as it was before it was begun, for the tests that follow. */
export async function giveUp(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await page.getByRole('button', { name: 'Give the week up' }).click();
  await page.getByRole('heading', { name: 'The weeks ahead' }).waitFor();
}
