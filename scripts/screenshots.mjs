// `npm run screenshots`: the pictures of docs/screenshots/, from the demo scenario around a fixed day.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT, buildApplication, installBrowser, installPackages, run, seed } from './setup.mjs';

await installPackages('to work on');
installBrowser();
buildApplication();
const { chromium } = await import('@playwright/test');
const PORT = 4391;
const URL = `http://127.0.0.1:${PORT}`;
const FOLDER = join(ROOT, 'docs', 'screenshots');
mkdirSync(FOLDER, { recursive: true });
const browser = await chromium.launch({
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
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = async (name) => {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForFunction(() => [...document.images].every((i) => i.complete));
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
};
const choose = async (list, name) => {
  await page.getByRole('combobox', { name: list }).click();
  await page.getByRole('option', { name }).click();
};
const open = async (region, book) => {
  await page.goto(URL);
  const card = page.getByRole('region', { name: region });
  await card.getByRole('link', { name: 'Plan this week' }).click();
  await choose('Manner', 'Scattered');
  if (book && !(await page.getByRole('combobox', { name: 'Book' }).innerText()).includes(book)) {
    await choose('Book', book);
    await page.waitForURL(/[?&]book=/);
  }
  await page.getByRole('button', { name: /^Open it empty, with Rockpool/ }).click();
  await page.getByTestId('board').waitFor();
};
const arrange = async () => {
  await page.getByRole('button', { name: 'Arrange the week' }).click();
  await page.getByTestId('piece').nth(20).waitFor();
  await page
    .getByTestId('saved')
    .filter({ hasText: /^saved$/ })
    .waitFor();
};

let server = await serve();
await open(/^Next week/, 'Three-box');
await arrange();
await page
  .getByTestId('piece')
  .and(page.getByLabel(/vet, Juniper/))
  .focus();
await shoot('spread');
await page.keyboard.press('Escape');
await page.getByRole('tab', { name: /Findings/ }).click();
await page
  .getByTestId('findings')
  .getByRole('button', { name: /is mostly|nearly all of it/ })
  .first()
  .click();
await page.getByTestId('remedy').first().waitFor();
await shoot('findings');
await page.getByRole('button', { name: 'Other ways' }).click();
await page.getByRole('region', { name: 'Way 3' }).waitFor();
await shoot('ways');
await page.getByRole('button', { name: 'Cancel' }).click();
await page.getByRole('button', { name: /^Manner/ }).click();
await page.getByRole('combobox', { name: 'They stand' }).click();
await page.getByRole('option', { name: 'hill' }).click();
await page.getByTestId('looked').filter({ hasText: 'otherwise' }).waitFor();
await page.getByRole('radio').nth(4).locator('use').nth(20).waitFor({ state: 'attached' });
await shoot('manner');
await page.getByRole('button', { name: 'Cancel' }).click();
await page.getByRole('link', { name: 'To the bench' }).click();
await page.getByTestId('say').waitFor();
for (let i = 0; i < 12 && !/icon|script/.test(await page.getByTestId('say').innerText()); i++)
  await page.keyboard.press('ArrowRight');
await shoot('bench');
for (const box of await page.getByRole('checkbox', { name: /: all \d+ done$/ }).all()) await box.check();
// the last tick may lead to the end by itself
await page
  .getByRole('button', { name: /^(Every step is done|It is on paper)$/ })
  .first()
  .waitFor();
const every = page.getByRole('button', { name: 'Every step is done' });
if (await every.isVisible()) await every.click();
await page.getByRole('button', { name: 'It is on paper' }).click();
await page.getByTestId('taste').nth(4).waitFor();
const bench = page.url();
await page.goto(URL);
await page.getByRole('heading', { name: 'The weeks ahead' }).waitFor();
await shoot('shelf');
await page.goto(`${URL}/plan?week=2027-W07`);
await page
  .getByRole('img', { name: /^The week with / })
  .nth(14)
  .waitFor();
await shoot('plan');
await page.goto(`${URL}/plan/gather?week=2027-W08&colors=1f6f78,e8836b,3b2f63`);
await page.getByRole('status').filter({ hasText: 'stickers of' }).waitFor();
await shoot('gather');
await page.goto(`${URL}/agenda?week=2027-W06`);
await page.getByLabel('New item').fill('vet thu 16:30 for 45 min');
await shoot('agenda');
await page.goto(`${URL}/books?book=three-box`);
await page.getByTestId('region').first().waitFor();
await shoot('books');
await page.goto(`${URL}/settings`);
await page.getByRole('button', { name: 'Keep this hand' }).waitFor();
await shoot('settings');
await page.goto(`${URL}/kits?kit=night-almanac`);
await page.getByTestId('on-table').nth(20).waitFor();
await shoot('kits');
await page.goto(`${URL}/week`);
await page.getByRole('checkbox', { name: 'library: done' }).check();
await page.getByLabel('What came up?').fill('plumber 14:00 for 45 min');
await page.getByRole('button', { name: 'Add', exact: true }).click();
await page.getByTestId('found-place').waitFor();
await page.getByRole('checkbox', { name: 'water, Wednesday' }).click();
await shoot('week');
await page.goto(`${URL}/log`);
for (const picture of (
  await page
    .getByTestId('log-entry')
    .getByRole('img', { name: /^(The spread|A photo) of/ })
    .all()
).slice(0, 6))
  await picture.evaluate((img) => img.complete || new Promise((done) => img.addEventListener('load', done)));
await shoot('log');
await page.goto(`${URL}/log/habits?year=all`);
await page.locator('.apexcharts-svg').first().waitFor();
await shoot('log-habits');
const sheets = [
  ['shapes', 3],
  ['mixed', 5],
].map(([sort, seed]) => {
  const file = join(tmpdir(), `hobnail-${sort}.jpg`);
  run(process.execPath, ['--import', 'tsx', join('demo', 'scanner-service', 'take.ts'), sort, String(seed), file]);
  return file;
});
await page.goto(bench.replace(/spreads\/(\d+)\/bench$/, 'make?spread=$1'));
for (const kind of ['Header', 'Checklist', 'Label', 'Weekend banner']) {
  await page.getByRole('combobox', { name: 'Add' }).click();
  await page.getByRole('option', { name: kind, exact: true }).click();
}
for (const [i, count] of [8, 4, 6].entries())
  await page
    .getByRole('spinbutton', { name: /: copies$/ })
    .nth(i)
    .fill(String(count));
await page.getByRole('textbox', { name: 'Words' }).last().fill('shore leave');
await shoot('make');
await page.goto(`${URL}/scan`);
await page.getByTestId('sheet-files').setInputFiles(sheets);
await page
  .getByRole('button', { name: /^Sheet 2/ })
  .filter({ hasText: 'stickers' })
  .waitFor();
await page.getByTestId('design').nth(1).click();
await shoot('scan');
const pdf = join(tmpdir(), 'hobnail-print.pdf');
writeFileSync(pdf, await (await page.request.get(`${bench.replace(/bench$/, 'print')}`)).body());
if (process.argv.includes('--print'))
  run('pdftoppm', ['-r', '70', '-png', '-f', '2', '-l', '2', '-singlefile', pdf, join(FOLDER, 'print')]);
await stop(server);

server = await serve(false);
await page.goto(URL);
await page.getByTestId('first-steps').waitFor();
await shoot('first-steps');
await browser.close();
await stop(server);
process.exit(0);

/** Ends a server, and waits until its port is free again. */
function stop(running) {
  const ended = new Promise((done) => running.once('exit', done));
  running.kill();
  return ended;
}

/** A server with the demo scenario, fresh, or with an empty house. */
async function serve(demo = true) {
  const env = {
    HOBNAIL_DATA: join(mkdtempSync(join(tmpdir(), 'hobnail-shots-')), 'hobnail.sqlite'),
    HOBNAIL_TODAY: '2027-02-03',
  };
  if (demo) seed(env);
  const started = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)],
    { cwd: ROOT, stdio: 'ignore', env: { ...process.env, ...env } },
  );
  for (let i = 0; i < 100 && !(await fetch(URL).catch(() => null))?.ok; i++)
    await new Promise((done) => setTimeout(done, 300));
  return started;
}
