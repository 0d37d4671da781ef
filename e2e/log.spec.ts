import { expect } from '@playwright/test';
import { arrangeWeek, openWeek, saved, test } from './hobnail';

test('the log has every week as a picture, and is looked through by what is on it', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  await saved(page);
  await page.goto(hobnail.url);
  await page.getByRole('link', { name: 'Log' }).click();
  const entries = page.getByTestId('log-entry');
  await expect(page.getByRole('img', { name: /^The spread of Feb 8/ })).toBeVisible();
  const all = await entries.count();
  await page.getByLabel('Look for').fill('dentist rockpool');
  await page.keyboard.press('Enter');
  await expect(entries.first()).toContainText('Feb 8');
  await page.getByLabel('Look for').fill('submarine');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No week has “submarine” on it.')).toBeVisible();
  await page.getByRole('link', { name: 'All' }).click();
  await expect(entries).toHaveCount(all);
  await page.getByRole('link', { name: /^Open Feb 8/ }).click();
  await page.getByTestId('piece').nth(20).waitFor();
  expect(complaints).toEqual([]);
});
