import { Hobnail, seedDatabase } from '../../e2e/server';
import { openDatabase } from '../../src/db/database';
import { addKit } from '../../src/db/kits';
import { KIT_SORTS } from '../../tests/kit-sorts';
import { launchChrome } from './chrome';
import { ms, say } from './report';

const KITS = 60;
const AMONG = [1, 12, 60] as const;
const BARS: Readonly<Record<(typeof AMONG)[number], string>> = { 1: '400 ms', 12: '2 s', 60: '8 s' };

/** How soon a week is seen as it would be with each kit, from the click on, with kits of many sorts. */
export async function choosing(): Promise<void> {
  const hobnail = new Hobnail(await seedDatabase(false));
  await stockUp(hobnail.data);
  await hobnail.start();
  const chrome = await launchChrome();
  const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } });
  for (const visit of ['first', 'second'] as const) {
    await page.goto(hobnail.url);
    const plan = page.getByRole('region', { name: /^In 2 weeks/ }).getByRole('link', { name: 'Plan this week' });
    await plan.waitFor();
    await page.waitForLoadState('networkidle');
    const from = performance.now();
    await plan.click();
    const pictures = page.getByRole('img', { name: /^The week with / });
    for (const n of AMONG) {
      await pictures.nth(n - 1).waitFor({ timeout: 120_000 });
      say(
        `from the click to ${n === 1 ? 'the first picture' : `${n} pictures`} of the week with other kits, ${visit} visit`,
        BARS[n],
        ms(performance.now() - from),
      );
    }
  }
  await chrome.close();
  await hobnail.remove();
}

async function stockUp(file: string): Promise<void> {
  const db = await openDatabase(file);
  const sorts = Object.values(KIT_SORTS);
  for (let i = 0; i < KITS; i++) {
    const { kit } = (sorts[i % sorts.length] as (typeof sorts)[number])(i + 1);
    const name = `kit-${i + 1}`;
    await addKit(db, { ...kit, name, pieces: kit.pieces.map((p) => ({ ...p, kit: name })) }, 'kit');
  }
  await db.destroy();
}
