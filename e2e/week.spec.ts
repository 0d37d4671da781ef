import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { seriousFaults } from './axe';
import { test } from './hobnail';

test.use({ withPast: true });

test('through the week: what came up has its place, and what was is written down, with a tap each', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(hobnail.url);
  await page.getByRole('link', { name: 'This week', exact: true }).click();
  const today = page.getByRole('region', { name: 'Today, Wednesday' });
  await today.getByRole('checkbox', { name: 'library: done' }).check();
  await today.getByLabel('What came up?').fill('plumber 14:00 for 45 min');
  await today.getByRole('button', { name: 'Add', exact: true }).click();
  const found = page.getByTestId('found-place');
  await expect(found).toContainText('“plumber” has its place');
  await expect(found.getByRole('listitem').last()).toContainText('Write “2p plumber”');
  await expect(today.getByTestId('day-item').filter({ hasText: 'plumber' })).toBeVisible();

  // two taps move it; it is then lacking on the spread, and finds a place there
  await today.getByRole('button', { name: 'Move plumber' }).click();
  await page.getByRole('menuitem', { name: 'Tomorrow' }).click();
  const tomorrow = page.getByRole('region', { name: 'Tomorrow, Thursday' });
  await expect(tomorrow.getByTestId('day-item').filter({ hasText: 'plumber' })).toBeVisible();

  await page.getByRole('checkbox', { name: 'water, Wednesday' }).click();
  await expect(page.getByRole('checkbox', { name: 'water, Wednesday' })).toBeChecked();
  await page.getByRole('region', { name: 'Dinner' }).getByRole('button').first().click();
  const dinner = page.getByRole('region', { name: 'Dinner' }).getByRole('combobox');
  await expect(dinner).not.toHaveValue('');
  const eaten = await dinner.inputValue();
  await page.getByLabel('food, $').fill('12,50');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: '+ ½ hour of allotment' }).click();
  await expect(page.getByLabel('allotment, h')).toHaveValue('0.5');
  await page.getByLabel('What really happened').fill('The plumber sang bass.');
  await page.getByLabel('What really happened').blur();
  await page.getByLabel('For next week').fill('ask Odile for the keys');
  await page.getByRole('button', { name: 'Note' }).click();
  await expect(page.getByRole('button', { name: 'Remove ask Odile for the keys' })).toBeVisible();

  // all of it is kept: nothing has to be saved
  await expect(page.getByTestId('week-saved')).toHaveText('saved');
  await page.reload();
  await expect(page.getByLabel('food, $')).toHaveValue('12.5');
  await expect(page.getByLabel('What really happened')).toHaveValue('The plumber sang bass.');
  await expect(dinner).toHaveValue(eaten);
  await expect(page.getByRole('checkbox', { name: 'water, Wednesday' })).toBeChecked();
  expect(await seriousFaults(page)).toEqual([]);

  // what was left of last week is brought over once, and undone in one step
  await page.getByRole('button', { name: 'Bring all 3 to today' }).click();
  await expect(today.getByTestId('day-item').filter({ hasText: 'turn the compost' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Bring all/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Bring all 3 to today' })).toBeVisible();
  await page.getByRole('group', { name: 'water the beans' }).getByRole('button', { name: 'It stays' }).click();
  await expect(page.getByRole('group', { name: 'water the beans' })).toHaveCount(0);

  // the note waits in the next week
  await page.getByRole('link', { name: 'The week after' }).click();
  await page
    .getByRole('group', { name: 'ask Odile for the keys' })
    .getByRole('button', { name: 'Make it an item' })
    .click();
  await expect(page.getByTestId('day-item').filter({ hasText: 'ask Odile for the keys' })).toBeVisible();

  // on a phone nothing stands beside the window
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${hobnail.url}/week`);
  await page.getByLabel('What came up?').waitFor();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(complaints).toEqual([]);
});

test('the log: charts with their tables and files, other years, sharing, leftovers, export', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/log`);
  await page.getByLabel('Look for').fill('seed swap');
  await page.getByRole('button', { name: 'Search' }).click();
  const entry = page.getByTestId('log-entry').filter({ hasText: 'Jan 4' });
  await expect(entry.getByRole('img', { name: /^A photo of Jan 4/ })).toBeVisible();
  await expect(entry.locator('mark').first()).toHaveText(/seed/i);
  // a leftover laid in an empty place of that week, with a word
  const spread = (await entry.getByRole('link').first().getAttribute('href'))!;
  await page.goto(`${hobnail.url}${spread.replace(/[?#].*$/, '')}/bench`);
  const memories = page.getByRole('region', { name: 'Empty places, and leftovers for them' });
  const forWords = memories.getByTestId('memory').filter({ has: page.getByRole('textbox') });
  const field = forWords.first().getByRole('textbox');
  await field.fill('the first frost of the whole long winter, and then some more of it');
  await field.press('Enter');
  await expect(memories.getByRole('alert')).toContainText('a word it has room for');
  await field.fill('ice');
  const there = await forWords.count();
  await forWords.first().getByRole('button', { name: /^Lay / }).click();
  await expect(forWords).not.toHaveCount(there);
  await page.goto(`${hobnail.url}/log?q=ice`);
  await expect(page.getByTestId('log-entry').filter({ hasText: 'Jan 4' })).toContainText('ice');
  for (const room of ['Dinners', 'Habits', 'Hours and spending', 'Items', 'Kits', 'Colors', 'At the bench']) {
    await page.getByRole('navigation', { name: 'Log' }).getByRole('link', { name: room }).click();
    await expect(page.getByRole('heading', { level: 2, name: room })).toBeVisible();
    await expect(page.getByRole('table').first()).toBeVisible();
    if (room !== 'Dinners') await page.locator('.apexcharts-svg').first().waitFor();
    expect.soft(await seriousFaults(page), room).toEqual([]);
  }
  await page.getByRole('link', { name: 'Items' }).click();
  await page.getByLabel('When was it last done?').fill('laundry');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'When it was last done' }).getByRole('row')).toHaveCount(2);
  await page.getByRole('link', { name: 'Habits' }).click();
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Streaks as CSV' }).click(),
  ]);
  const lines = readFileSync(await csv.path(), 'utf8')
    .trim()
    .split('\r\n');
  await expect(page.getByRole('region', { name: 'Streaks' }).getByRole('row')).toHaveCount(lines.length);

  await page.goto(`${hobnail.url}/log/years?week=2027-W05`);
  await expect(page.getByRole('region', { name: /2026$/ })).toContainText('Dinners');

  await page.goto(`${hobnail.url}/log`);
  await page.getByRole('link', { name: /^Share Jan 4/ }).click();
  await page.getByLabel(/Blurred/).check();
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as SVG, any size' }).click(),
  ]);
  const svg = readFileSync(await picture.path(), 'utf8');
  expect([svg.includes('<title'), svg.includes('<text'), /2027|dentist/.test(svg)]).toEqual([false, false, false]);

  await page.goto(hobnail.url);
  await page.getByRole('link', { name: 'A week from what is left of begun kits' }).click();
  const left = page.getByTestId('plan-card').filter({ hasText: /items on stickers/ });
  await expect(left.first()).toContainText(/leaves \d+ of \d+ stickers/);
  await left.first().getByRole('button', { name: 'Plan it so' }).click();
  await page.waitForURL(/\/spreads\/\d+$/);
  await page.getByTestId('piece').nth(20).waitFor();
  expect(complaints).toEqual([]);
});
