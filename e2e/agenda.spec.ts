import { expect } from '@playwright/test';
import { openWeek, test } from './hobnail';

test('the agenda: a typed line becomes an item, is changed, taken out, brought back, and reaches the spread', async ({ page, hobnail, complaints }) => {
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  const thursday = page.getByRole('region', { name: 'Thursday' });
  const item = thursday.getByTestId('agenda-item').filter({ hasText: 'hoof trim' });
  await page.getByLabel('New item').fill('hoof trim thu 8:15 for 20 min');
  await expect(page.getByTestId('understood')).toHaveText('“hoof trim”: Thursday, Feb 11, at 8:15a for 20 min');
  await page.getByLabel('New item').press('Enter');
  await expect(item).toBeVisible();
  await expect(page.getByLabel('New item')).toHaveValue('');

  await item.click();
  await page.getByLabel('What').fill('hoof trim, both');
  await page.getByLabel('Day', { exact: true }).fill('2027-02-12');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('region', { name: 'Friday' }).getByText('hoof trim, both')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(item).toBeVisible();

  await page.getByRole('region', { name: 'Wednesday' }).getByText('walk the hounds').click();
  await page.getByRole('button', { name: 'Take this day out' }).click();
  await expect(page.getByRole('region', { name: 'Wednesday' }).getByText('walk the hounds')).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Monday' }).getByText('walk the hounds')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Wednesday' }).getByText('walk the hounds')).toBeVisible();

  await page.getByLabel('Find an item').fill('hoof');
  await expect(page.getByTestId('agenda-item')).toHaveCount(1);
  await page.getByRole('link', { name: /2027-02-17$/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Feb 15 – 21');

  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await expect(page.getByTestId('without-place')).toContainText('hoof trim');
  await page.getByRole('link', { name: 'Add or change items in the agenda' }).click();
  await expect(page.getByRole('link', { name: 'To the spread' })).toBeVisible();
  expect(complaints).toEqual([]);
});
