import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/lay-seeds.ts',
  timeout: 400_000, // nothing waits by these limits: they only end what hangs, on a machine that may be slow
  expect: { timeout: 45_000 },
  workers: 2,
  fullyParallel: true, // each test has its own server and data (e2e/hobnail.ts)
  retries: 0,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 80_000,
    contextOptions: { reducedMotion: 'reduce' }, // what moves to its place is drawn again and again on the way
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
