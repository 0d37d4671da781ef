import { expect } from '@playwright/test';
import sharp from 'sharp';
import { saved, test } from './hobnail';

test('a week is gathered by its colors from several kits, put in and out by hand, and laid out', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/plan?week=2027-W08`);
  await page.getByRole('link', { name: 'Gather one by colors' }).click();
  const gathered = page.getByRole('status').filter({ hasText: /^\d+ stickers of \d+ designs from \d+ kits$/ });
  await expect(gathered).toBeVisible();
  const boxes = page.getByRole('region', { name: 'full boxes' });
  await expect(boxes.getByRole('button', { pressed: true }).first()).toBeVisible();

  // colors out of a photo, and one taken out again
  const photo = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#1f6f78' } })
    .composite([
      { input: { create: { width: 150, height: 120, channels: 3, background: '#e8836b' } }, top: 0, left: 0 },
      { input: { create: { width: 80, height: 60, channels: 3, background: '#3b2f63' } }, top: 140, left: 200 },
    ])
    .jpeg()
    .toBuffer();
  await page.getByTestId('theme-photo').setInputFiles({ name: 'pier.jpg', mimeType: 'image/jpeg', buffer: photo });
  const colors = page.getByRole('group', { name: 'The colors of the week' });
  await expect(colors.getByLabel(/^Color \d/)).toHaveCount(3);
  await page
    .getByTestId('theme-photo')
    .setInputFiles({ name: 'x.txt', mimeType: 'text/plain', buffer: Buffer.from('x') });
  await expect(page.getByRole('alert').filter({ hasText: 'x.txt is no picture' })).toBeVisible();
  await colors
    .getByRole('button', { name: /^Remove/ })
    .last()
    .click();
  await expect(colors.getByLabel(/^Color \d/)).toHaveCount(2);

  const first = boxes.getByRole('button', { pressed: true }).first();
  const name = (await first.getAttribute('aria-label'))!;
  await first.click();
  await expect(boxes.getByRole('button', { name, pressed: false }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Lay the week out' }).click();
  await expect(page.getByTestId('plan-card')).toHaveCount(5);
  await page.getByRole('button', { name: /^Plan it so, with .*Scattered$/ }).click();
  await expect(page).toHaveURL(/\/spreads\/\d+$/);
  await page.getByTestId('piece').nth(10).waitFor();
  await saved(page);

  // on the table lie the kits that it was gathered from
  await page.getByRole('tab', { name: 'Sheets' }).click();
  const table = page.getByLabel('On the table');
  await expect(table.locator('option').nth(1)).toBeAttached();
  await table.selectOption({ index: 1 });
  await expect(page.getByTestId('free-sticker').first()).toBeVisible();
  expect(complaints).toEqual([]);
});
