import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { arrangeWeek, openWeek, test } from './hobnail';

/** What axe finds wrong (WCAG 2.0 to 2.2, A and AA, and its best practice for names): rule, and where it is first. */
async function wrongs(page: Page): Promise<string[]> {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(400); // what fades in is of no contrast meanwhile
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return violations.map((v) => `${v.id}: ${v.nodes.length}, ${v.nodes[0]?.html.slice(0, 160) ?? ''}`);
}

test('axe finds nothing on any screen', async ({ page, hobnail }) => {
  for (const path of ['/', '/agenda?week=2027-W06', '/kits', '/books', '/settings']) {
    await page.goto(`${hobnail.url}${path}`);
    await page.getByRole('heading').first().waitFor();
    expect.soft(await wrongs(page), path).toEqual([]);
  }
  await page.goto(`${hobnail.url}/kits`);
  for (const tab of ['Numbers', 'Its card', 'Weeks ahead', 'Order list', 'Supplies']) {
    await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).click();
    expect.soft(await wrongs(page), tab).toEqual([]);
  }
});

test('axe finds nothing on the spread, its dialogs and the bench', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  expect.soft(await wrongs(page), 'empty').toEqual([]);
  await arrangeWeek(page);
  await page
    .getByTestId('piece')
    .and(page.getByLabel(/vet, Juniper/))
    .click();
  expect.soft(await wrongs(page), 'a piece in hand').toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: /Findings/ }).click();
  expect.soft(await wrongs(page), 'findings').toEqual([]);
  await page.getByRole('tab', { name: 'Sheets' }).click();
  expect.soft(await wrongs(page), 'sheets').toEqual([]);
  for (const name of [/^Other ways/, /^Manner/, /^Begin anew/, /^The week as a list/, /^The keys/]) {
    await page.getByRole('button', { name }).click();
    await page.getByRole('dialog').waitFor();
    expect.soft(await wrongs(page), String(name)).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.getByTestId('say').waitFor();
  expect.soft(await wrongs(page), 'bench').toEqual([]);
});
