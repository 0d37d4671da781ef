import { expect } from '@playwright/test';
import { seriousFaults } from './axe';
import { arrangeWeek, choosePiece, openWeek, test } from './hobnail';

const DRAWER = '[aria-label="The drawer"]';

test('axe finds nothing on any screen', async ({ page, hobnail }) => {
  for (const path of [
    '/',
    '/agenda?week=2027-W06',
    '/kits',
    '/books',
    '/scan',
    '/log',
    '/week',
    '/plan?week=2027-W08',
    '/plan/gather?week=2027-W08',
    '/settings',
  ]) {
    await page.goto(`${hobnail.url}${path}`);
    await page.getByRole('heading').first().waitFor();
    expect.soft(await seriousFaults(page), path).toEqual([]);
  }
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  for (const tab of [/Rounds/, /Calendars/]) {
    await page.getByRole('tab', { name: tab }).click();
    expect.soft(await seriousFaults(page), String(tab)).toEqual([]);
  }
  await page.getByTestId('agenda-item').first().click();
  for (const tab of ['Comes round', 'Looking ahead']) {
    await page.getByRole('tab', { name: tab }).click();
    expect.soft(await seriousFaults(page), tab).toEqual([]);
  }
  await page.goto(`${hobnail.url}/books`);
  await page.getByRole('button', { name: 'Measure a book' }).click();
  expect.soft(await seriousFaults(page), 'measuring').toEqual([]);
  await page.goto(`${hobnail.url}/kits`);
  for (const tab of ['Numbers', 'Its card', 'Weeks ahead', 'Order list', 'Supplies']) {
    await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).click();
    expect.soft(await seriousFaults(page), tab).toEqual([]);
  }
});

test('axe finds nothing on the spread, its dialogs and the bench', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  expect.soft(await seriousFaults(page), 'empty').toEqual([]);
  await arrangeWeek(page);
  await choosePiece(page.getByTestId('piece').and(page.getByLabel(/vet, Juniper/)));
  expect.soft(await seriousFaults(page), 'a piece in hand').toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: /Findings/ }).click();
  expect.soft(await seriousFaults(page, DRAWER), 'findings').toEqual([]);
  await page.getByRole('tab', { name: 'Sheets' }).click();
  expect.soft(await seriousFaults(page, DRAWER), 'sheets').toEqual([]);
  for (const name of [/^Other ways/, /^Manner/, /^Start over/, /^The week as a list/, /^The keys/]) {
    await page.getByRole('button', { name }).click();
    await page.getByRole('dialog').waitFor();
    if (name.test('Other ways')) await page.getByRole('region', { name: 'Way 3' }).waitFor();
    // a button that may be pressed by now is on its way from gray to its color
    await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'));
    expect.soft(await seriousFaults(page, '[role=dialog]'), String(name)).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.getByRole('link', { name: 'To the bench' }).click();
  await page.getByTestId('say').waitFor();
  expect.soft(await seriousFaults(page), 'bench').toEqual([]);
});
