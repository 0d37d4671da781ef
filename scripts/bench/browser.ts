import { gzipSync } from 'node:zlib';
import { Hobnail, seedDatabase } from '../../e2e/server';
import { openDatabase } from '../../src/db/database';
import { addKit } from '../../src/db/kits';
import { placementsOf } from '../../src/db/placements';
import { makeEdit } from '../../src/db/spread-edits';
import { kitOf, piece } from '../../tests/fixtures';
import { launchChrome } from './chrome';
import { say, ms, quantile } from './report';

/** What only a browser shows: how much script comes, and how dragging feels. */
export async function browser(): Promise<void> {
  const hobnail = new Hobnail(await seedDatabase(false));
  await fillUp(hobnail.data);
  await hobnail.start();
  const chrome = await launchChrome();
  const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } });
  // each script once: one that is asked for ahead and then run comes once, and out of the cache the second time
  const scripts = new Map<string, Promise<number>>();
  page.on('response', (r) => {
    if (!r.url().endsWith('.js')) return;
    const before = scripts.get(r.url());
    const length = r.body().then((b) => gzipSync(b).length);
    scripts.set(r.url(), before ? Promise.all([before, length]).then((both) => Math.max(...both)) : length);
  });
  await page.goto(`${hobnail.url}/spreads/1`);
  await page.getByTestId('piece').nth(20).waitFor();
  await page.waitForLoadState('networkidle');
  const bytes = (await Promise.all(scripts.values())).reduce((a, b) => a + b, 0);
  say('script of the spread screen, compressed, first load', 'under 350 kB', `${Math.round(bytes / 1000)} kB`);
  const piece = page.locator('[data-role="box"]').first();
  const at = (await piece.boundingBox())!;
  const placed = await page.getByTestId('piece').count();
  // as text: the helper names that the compiler adds are not known in the page
  await page.evaluate(
    'window.frames_ = []; let last = performance.now(); requestAnimationFrame(function tick(now) { frames_.push(now - last); last = now; requestAnimationFrame(tick); });',
  );
  await page.mouse.move(at.x + 10, at.y + 10);
  await page.mouse.down();
  for (let i = 0; i < 120; i++) await page.mouse.move(at.x + 10 + (i % 60), at.y + 10 - (i % 40));
  const frames = (await page.evaluate<number[]>('frames_')).slice(5).sort((a, b) => a - b);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  say(
    `dragging, ${placed} placements, ${frames.length} frames`,
    'no frame over 25 ms at the 95th percentile, 150 placements',
    `median ${ms(quantile(frames, 0.5))}, 95th ${ms(quantile(frames, 0.95))}`,
  );
  await chrome.close();
  await hobnail.remove();
}

/** The bar for dragging is set at so many placements. */
const PLACEMENTS = 150;

/** Small pictures over the demo spread's pages, till as many pieces lie there as the bar asks. */
async function fillUp(file: string): Promise<void> {
  const db = await openDatabase(file);
  const there = await placementsOf(db, 1);
  const lacking = Math.max(0, PLACEMENTS - there.length);
  const confetti = piece({
    kit: 'confetti',
    kind: 'deco',
    code: 'D',
    count: lacking + 1,
    width: 4,
    height: 4,
    shape: 'free',
  });
  await addKit(db, { ...kitOf(confetti), name: 'confetti' }, 'stash');
  const after = Array.from({ length: lacking }, (_, i) => ({
    ...(there[0] as (typeof there)[number]),
    id: `p${5000 + i}`,
    kit: 'confetti',
    code: 'D',
    copy: i + 1,
    cut: null,
    turn: 0,
    page: i % 2,
    x: 14 + ((i * 37) % 140),
    y: 40 + ((i * 53) % 150),
    w: 4,
    h: 4,
    layer: 3,
    role: 'finish' as const,
    day: null,
    items: [],
    text: null,
    ink: null,
  }));
  await makeEdit(db, 1, { deed: { do: 'arrange', what: 'rest' }, before: [], after });
  await db.destroy();
}
