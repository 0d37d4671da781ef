import { expect } from '@playwright/test';
import { openWeek, test } from './hobnail';

test('what a week lacks is made: lines, print page, cut file, stash', async ({ page, hobnail, complaints }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  const spread = page.url();
  await page.goto(`${hobnail.url}/make?spread=${spread.split('/').at(-1)}`);
  await expect(page.getByRole('heading', { name: 'What is made' })).toBeVisible();
  const lines = page.getByTestId('made-line');
  const before = await lines.count();
  await page.getByRole('combobox', { name: 'Add' }).click();
  await page.getByRole('option', { name: 'Header' }).click();
  await expect(lines).toHaveCount(before + 1);
  const header = lines.last();
  await header.getByRole('textbox', { name: 'Words' }).fill('tide table');
  await header.getByRole('spinbutton', { name: 'Header: copies' }).fill('4');
  await expect(page.getByRole('img', { name: /^A sheet of \d+ stickers$/ }).first()).toBeVisible();

  const [print] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the print page' }).click(),
  ]);
  expect(print.suggestedFilename()).toBe('made for 2027-w06.pdf');
  const [cut] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the cut file' }).first().click(),
  ]);
  expect(cut.suggestedFilename()).toMatch(/\.cut\.svg$/);

  await page.getByRole('button', { name: 'Printed: add them to the stash' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'in the stash now' })).toBeVisible();
  await page.goto(`${hobnail.url}/kits?kit=made-for-2027-w06`);
  await expect(page.getByTestId('on-table').first()).toBeVisible();
  await page.goto(`${hobnail.url}/make?spread=999`);
  await expect(page.getByText('There is no such page')).toBeVisible();
  expect(complaints.filter((c) => !/404/.test(c))).toEqual([]);
});
