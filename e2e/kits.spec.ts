import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { readKit } from '../src/core/format/kit-csv';
import { readOrders } from '../src/core/format/orders-csv';
import { openWeek, test, pickOption } from './hobnail';

test('the stock: a sticker is spoiled, one more is found, both with their reason, and taken back', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/kits?kit=rockpool`);
  await expect(page.getByRole('link', { name: /Rockpool/ })).toContainText('287 of 287 whole');
  await page
    .getByRole('button', { name: /^checklist CL-3/ })
    .first()
    .click();
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
  const cell = page.getByRole('row', { name: /FB-1/ }).getByRole('gridcell').nth(3);
  const type = async (text: string) => {
    await cell.dblclick();
    await page.keyboard.press('Control+a');
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  };
  await type('-4');
  await expect(page.getByRole('alert')).toContainText('line 2, width_mm: found');
  await expect(page.getByRole('button', { name: 'Add this kit' })).toBeDisabled();
  await type('40');
  await page.getByRole('button', { name: 'Add this kit' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Harbor Fog');
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
  await week.getByRole('button', { name: /kinds are not enough/ }).click();
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
  await page.getByTestId('orders-file').setInputFiles({
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
    .getByRole('button', { name: 'Plan this week' })
    .click();
  await expect(page.getByRole('combobox', { name: 'Kit' })).toContainText('Night Almanac');
  await page.getByRole('button', { name: 'Not now' }).click();
  await openWeek(page, hobnail, /^This week/);
  await page.goto(`${hobnail.url}/kits?kit=night-almanac`);
  await page.getByRole('tab', { name: 'Weeks ahead' }).click();
  await expect(page.getByRole('region', { name: 'Feb 1 – 7' })).toContainText(
    /\d+ % of the kit used, \d\.\d\d of its price/,
  );
  expect(complaints).toEqual([]);
});
