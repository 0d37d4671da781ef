import type { Browser } from '@playwright/test';
import { chromium } from '@playwright/test';

/** Debian's browser, that asks nobody for anything. */
export const launchChrome = (): Promise<Browser> =>
  chromium.launch({
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
  });
