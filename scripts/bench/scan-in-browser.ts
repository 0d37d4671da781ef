// Reads sheets of 600 dpi on the real screen: from the file chosen to the outlines shown, decoding included, and the
// most memory that the page's process has held.
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FLATBED, scanned } from '../../demo/scanner-service/device';
import { madeUpSheet } from '../../demo/scanner-service/made-up-sheets';
import { Hobnail, seedDatabase } from '../../e2e/server';
import { launchChrome } from './chrome';

const SHEETS = ['boxes', 'lists', 'mixed', 'touching', 'strips'] as const;

/** @param seed of sheets that the reader was not made on. @returns a section of the report */
export async function inTheBrowser(seed: number): Promise<string> {
  const hobnail = new Hobnail(await seedDatabase(false));
  await hobnail.start();
  const chrome = await launchChrome();
  const folder = mkdtempSync(join(tmpdir(), 'sheets-'));
  const rows: string[] = [];
  try {
    for (const sort of SHEETS) {
      const sheet = madeUpSheet(sort, seed);
      const { bytes, width, height } = await scanned(sheet, { ...FLATBED, dpi: 600, seed: 100 });
      // a file: bytes would first go through the pipe to the browser, and that time is not the screen's
      const file = join(folder, `${sort}.jpg`);
      writeFileSync(file, bytes);
      const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } });
      await page.goto(`${hobnail.url}/scan`, { waitUntil: 'networkidle' });
      const start = performance.now();
      await page.getByTestId('sheet-files').setInputFiles(file);
      await page.getByTestId('outline').first().waitFor({ timeout: 60_000 });
      const ms = performance.now() - start;
      const found = await page.getByTestId('outline').count();
      const hands = await chrome.newBrowserCDPSession();
      const { processInfo } = await hands.send('SystemInfo.getProcessInfo');
      const most = Math.max(...processInfo.filter((p) => p.type === 'renderer').map((p) => peakOf(p.id)));
      rows.push(
        `| ${sort} | ${width} × ${height} | ${found} of ${sheet.stickers.length} | ${(ms / 1000).toFixed(1)} | ${most} |`,
      );
      await page.close();
    }
  } finally {
    await chrome.close();
    await hobnail.remove();
    rmSync(folder, { recursive: true });
  }
  return `## In the browser, 600 dpi\n\nFrom the file chosen to the outlines shown, decoding and drawing included (bar: 4 s in the worker, 600 MB); the stickers' pictures are cut out later, when the kit is added; memory is the most that the page's whole process held, of which an empty screen takes its share.\n\n| sheet | px | stickers | s | MB |\n|---|---|---|---|---|\n${rows.join('\n')}\n`;
}

/** The most memory a process has held, MB. */
const peakOf = (pid: number): number =>
  Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024);
