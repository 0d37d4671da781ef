import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { readKit } from '../src/core/format/kit-csv';
import { readOrders } from '../src/core/format/orders-csv';
import { chooseFiles, choosePiece, openWeek, pickOption, planCard, test, writeCell } from './hobnail';

test('the stock: a sticker is spoiled, one more is found, both with their reason, and taken back', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/kits?kit=rockpool`);
  await expect(page.getByRole('link', { name: /Rockpool/ })).toContainText('287 of 287 whole');
  await page.getByTestId('on-table').filter({ hasText: 'CL-3' }).first().click();
  await expect(page.getByTestId('sums')).toHaveText('2 whole of 2');
  await page.getByRole('button', { name: 'One was spoiled' }).click();
  await page.getByLabel('Why').fill('the cat sat on it');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByTestId('sums')).toHaveText('1 whole, 1 spoiled of 2');
  await expect(page.getByText('copy 1: spoiled, the cat sat on it')).toBeVisible();
  await expect(page.getByRole('link', { name: /Rockpool/ })).toContainText('286 of 287 whole');
  await page.getByRole('button', { name: 'There is one more' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByTestId('sums')).toHaveText('2 whole, 1 spoiled of 3');
  await page.getByRole('tab', { name: 'Numbers' }).click();
  await expect(page.getByRole('row', { name: /CL-3/ })).toContainText('kelp');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Rockpool/ })).toContainText('286 of 287 whole');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('link', { name: /Rockpool/ })).toContainText('287 of 287 whole');
  const written = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export (.csv)' }).click();
  expect(
    readKit(readFileSync(await (await written).path(), 'utf8'), 'r.kit.csv', 'rockpool').pieces.reduce(
      (n, p) => n + p.count,
      0,
    ),
  ).toBe(287);
  expect(complaints).toEqual([]);
});

test('a kit is taken in from a usual list, corrected in the table, and found again', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/kits`);
  await page.getByRole('button', { name: 'Add a kit' }).click();
  await page.getByRole('button', { name: 'A mini kit' }).click();
  await page.getByLabel('Name', { exact: true }).fill('harbor fog');
  const cell = page.getByRole('row', { name: /FB-1/ }).getByRole('gridcell').nth(4);
  const type = (text: string) => writeCell(cell, text);
  await type('-4');
  await expect(page.getByRole('alert')).toContainText('line 2, width_mm: found');
  await expect(page.getByRole('button', { name: 'Add this kit' })).toBeDisabled();
  await type('40 mm');
  await page.getByRole('button', { name: 'Add this kit' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('harbor fog');
  await page.getByLabel('Search all kits').fill('40x48.3');
  await expect(page.getByTestId('found')).toHaveCount(1);
  await expect(page.getByTestId('found')).toContainText('full box FB-1');

  await page.getByLabel('Search all kits').fill('');
  await page.getByRole('button', { name: 'Add a kit' }).click();
  await page.getByRole('button', { name: 'A mini kit' }).click();
  await page.getByLabel('Name', { exact: true }).fill('harbor fog');
  await page.getByRole('button', { name: 'Add this kit' }).click();
  await expect(page.getByRole('alert')).toContainText('a name that no kit has yet');
  expect(complaints).toEqual([]);
});

test('weeks ahead: a kit is planned, what lacks has substitutes and goes on the order list, which is written out', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/kits`);
  await page.getByRole('tab', { name: 'Weeks ahead' }).click();
  const week = page.getByRole('region', { name: 'Feb 15 – 21' });
  await week.getByRole('combobox', { name: 'Kit' }).click();
  await pickOption(page, 'Night Almanac');
  const covers = week.getByRole('group', { name: 'date covers' });
  await expect(covers).toContainText('date covers: 1 of 7');
  await covers.getByRole('button', { name: 'Put 6 on the order list' }).click();
  await expect(covers.getByRole('button', { name: 'on the order list' })).toBeVisible();
  await week.getByRole('button', { name: /kinds are short/ }).click();
  await expect(week.getByText('date covers: 7 needed, 1 there')).toBeVisible();
  await page.getByRole('tab', { name: /Order list, 1/ }).click();
  await expect(page.getByRole('group', { name: 'date covers' })).toContainText(
    'order by 2027-02-07, needed 2027-02-15',
  );
  const written = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export (.csv)' }).click();
  expect(readOrders(readFileSync(await (await written).path(), 'utf8'), 'orders.csv')).toMatchObject([
    { what: 'date covers', count: 6 },
  ]);
  await chooseFiles(page, 'orders-file', {
    name: 'o.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('what,count,shop,days,needed_by\nheaders,0,x,3,2027-03-01\n'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'o.csv, line 2, count: found "0"' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove date covers from the list' }).click();
  await expect(page.getByText('Nothing to order.')).toBeVisible();

  await page.getByRole('tab', { name: /Supplies/ }).click();
  await page.getByLabel('correction tape, there is').fill('1.5');
  await page.getByRole('group', { name: 'correction tape' }).getByRole('button', { name: 'used up' }).click();
  await expect(page.getByRole('group', { name: 'correction tape' })).toContainText('runs out: 1.5 m left');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.goto(hobnail.url);
  await page
    .getByRole('region', { name: /^In 2 weeks/ })
    .getByRole('link', { name: 'Plan this week' })
    .click();
  await expect(planCard(page, 'Night Almanac')).toContainText('planned for this week');
  await openWeek(page, hobnail, /^This week/);
  await page.goto(`${hobnail.url}/kits?kit=night-almanac`);
  await page.getByRole('tab', { name: 'Weeks ahead' }).click();
  await expect(page.getByRole('region', { name: 'Feb 1 – 7' })).toContainText(
    /\d+ % of the kit used, \$\d\.\d\d of its price/,
  );
  expect(complaints).toEqual([]);
});

test('a kit that is stored is corrected: lines, counts, washi, a stash split off, its name, and all of it undone', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/kits?kit=rockpool`);
  const thisKit = async (act: string) => {
    await page.getByRole('button', { name: 'This kit' }).click();
    await page.getByRole('menuitem', { name: act }).click();
  };
  const own = page.getByRole('link', { name: /287 of 287|of \d+ whole/ }).filter({ hasText: 'Rockpool' });
  const undo = page.getByRole('button', { name: 'Undo', exact: true });

  await thisKit('Correct its list');
  const table = page.getByRole('dialog', { name: 'Correct Rockpool' });
  const copies = table.getByRole('row', { name: /CL-3/ }).getByRole('gridcell', { name: '2', exact: true });
  await writeCell(copies.first(), '5');
  await expect(table.getByText('1 changed')).toBeVisible();
  await table.getByRole('button', { name: 'Copy the line' }).click();
  await expect(table.getByText('1 added')).toBeVisible();
  await table.getByRole('button', { name: 'Undo' }).click();
  await expect(table.getByText('1 changed', { exact: true })).toBeVisible();
  await table.getByRole('row', { name: /CL-4/ }).getByRole('gridcell', { name: 'CL-4' }).click();
  await page.evaluate(() => {
    const clipboard = new DataTransfer();
    clipboard.setData('text/plain', 'CL-4\tchecklist\t9');
    document.activeElement!.dispatchEvent(new ClipboardEvent('paste', { clipboardData: clipboard, bubbles: true }));
  });
  await expect(table.getByText('2 changed')).toBeVisible();
  await table.getByRole('button', { name: 'Save the list' }).click();
  await expect(table).toBeHidden();
  await expect(own).toContainText('297 of 297 whole');

  await page.getByRole('tab', { name: 'Numbers' }).click();
  await writeCell(page.getByRole('row', { name: /CL-4/ }).getByRole('gridcell', { name: '9', exact: true }), '4');
  await page.getByRole('button', { name: 'Keep the count' }).click();
  await expect(own).toContainText('292 of 297 whole');

  await thisKit('Add washi by its length');
  await page.getByLabel('Long').fill('32');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('15 mm × 32 cm added')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();

  await thisKit('Split off to a stash');
  await page.getByLabel('Stash', { exact: true }).fill('sea drawer');
  await page.getByLabel('CL-3, to the stash').fill('3');
  await page.getByRole('button', { name: 'Move them' }).click();
  await expect(page.getByRole('link', { name: /sea drawer/ })).toContainText('3 of 3 whole');

  await page.getByRole('tab', { name: 'Its card' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Low tide');
  await page.getByLabel('Where it lies').fill('blue folder');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByRole('link', { name: /Low tide/ })).toContainText('blue folder');
  await thisKit('Retire it');
  await expect(page.getByText('Retired', { exact: true })).toBeVisible();
  for (let i = 0; i < 6; i++) {
    await undo.click();
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
  }
  await expect(own).toContainText('287 of 287 whole');
  await expect(page.getByRole('link', { name: /sea drawer/ })).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('what a week has of a kit is held; a sticker is kept for later', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^This week/);
  // one on which nothing lies: that would go along
  const [boxes, keep] = [page.locator('[data-role="box"]'), page.getByRole('button', { name: 'Keep for later' })];
  for (let i = 0; i < (await boxes.count()); i++) {
    await choosePiece(boxes.nth(i));
    if (await keep.isEnabled()) break;
  }
  await keep.click();
  await expect(page.getByText(/no week takes it till you use it again/)).toBeVisible();
  await page.goto(`${hobnail.url}/kits?kit=night-almanac`);
  await page.getByRole('button', { name: 'This kit' }).click();
  await page.getByRole('menuitem', { name: 'Remove it' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText(/Night Almanac stays/)).toBeVisible();
});

test('stickers that go with a kit are found over all the others, by their colors', async ({ page, hobnail }) => {
  await page.goto(`${hobnail.url}/kits?kit=night-almanac`);
  await page.getByLabel('Goes with').click();
  await pickOption(page, 'Rockpool');
  await expect(page.getByText('What goes with Rockpool, the nearest in color first')).toBeVisible();
  await expect(page.getByTestId('found').first()).toContainText('Stash');
  await page.getByTestId('found').filter({ hasText: 'QU-2' }).click();
  await expect(page).toHaveURL(/kit=stash&piece=QU-2/);
  await expect(page.getByRole('heading', { name: /quote box QU-2/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(page.getByRole('heading', { name: 'quote box QU-2' })).toBeVisible();
});

test('a kit is given away as one file, and taken in again under another name', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/kits?kit=rockpool`);
  await page.getByRole('button', { name: 'This kit' }).click();
  await page.getByRole('menuitem', { name: 'Give it away' }).click();
  const give = page.getByRole('dialog', { name: 'Give Rockpool away' });
  await give.getByLabel('A note to go with it').fill('for the choir');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    give.getByRole('link', { name: 'Save the file' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('Rockpool.hobnail-kit.zip');
  const card = await page.request.get(
    new URL((await give.getByRole('link', { name: 'Print its card' }).getAttribute('href'))!, hobnail.url).href,
  );
  expect((await card.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await give.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Add a kit' }).click();
  await page.getByTestId('kit-file').setInputFiles(await file.path());
  await expect(page.getByRole('alert').filter({ hasText: 'save it as UTF-8' })).toBeVisible();
  await page.getByTestId('kit-file').setInputFiles({
    name: file.suggestedFilename(),
    mimeType: 'application/zip',
    buffer: readFileSync(await file.path()),
  });
  const look = page.getByRole('dialog', { name: 'Check the kit' });
  await expect(look.getByText('for the choir')).toBeVisible();
  await look.getByLabel('Name').fill('Rockpool from Mara');
  await look.getByRole('button', { name: 'Add this kit' }).click();
  await expect(look).toBeHidden();
  await expect(page.getByRole('link', { name: /Rockpool from Mara/ })).toContainText('287 of 287 whole');
  await page.getByRole('tab', { name: 'Its card' }).click();
  await expect(page.getByLabel('Notes')).toHaveValue('for the choir');
  expect(complaints).toEqual([]);
});
