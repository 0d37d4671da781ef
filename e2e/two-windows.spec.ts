import { copyFileSync, renameSync, writeFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { arrangeWeek, chooseFiles, openWeek, saved, test } from './hobnail';

const calendar = (...events: readonly [string, string][]): Buffer =>
  Buffer.from(
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      ...events.flatMap(([uid, title]) => [
        'BEGIN:VEVENT',
        `UID:${uid}`,
        'DTSTART;VALUE=DATE:20270204',
        `SUMMARY:${title}`,
        'END:VEVENT',
      ]),
      'END:VCALENDAR',
      '',
    ].join('\r\n'),
  );

test('what is done while the server is away is kept in the window, and saved when it is back', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const id = await page
    .getByTestId('piece')
    .and(page.getByLabel(/^full box/))
    .first()
    .getAttribute('id');
  const box = page.locator(`#${id!}`);
  const place = () => box.getAttribute('transform');
  await hobnail.kill();
  const before = await place();
  await box.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('saved')).toHaveText('not saved yet: the server is away');
  const moved = await place();
  expect(moved).not.toBe(before);
  await hobnail.comeBack();
  await saved(page);
  await expect(page.getByText(/another window/)).toHaveCount(0);
  await page.reload();
  expect(await place()).toBe(moved);
  expect(complaints).toEqual([]);
});

test('a form is not written over what another window wrote, and both are offered', async ({
  page,
  context,
  hobnail,
  complaints,
}) => {
  const other = await context.newPage();
  const open = async (window: typeof page) => {
    await window.goto(`${hobnail.url}/agenda`);
    await window
      .getByRole('button', { name: /choir rehearsal/ })
      .first()
      .click();
    await expect(window.getByRole('dialog', { name: 'Change this series' })).toBeVisible();
  };
  await open(page);
  await open(other);
  await other.getByLabel('What').fill('choir rehearsal, hall B');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByText('choir rehearsal, hall B').first()).toBeVisible();
  await page.getByLabel('What').fill('choir rehearsal, bring notes');
  await page.getByRole('button', { name: 'Save' }).click();
  const question = page.getByRole('dialog', { name: 'Changed in another window' });
  await expect(question).toContainText('It is now “choir rehearsal, hall B”');
  await question.getByRole('button', { name: 'Back to mine' }).click();
  await expect(page.getByLabel('What')).toHaveValue('choir rehearsal, bring notes');
  await page.getByRole('button', { name: 'Save' }).click();
  await question.getByRole('button', { name: 'Write mine over it' }).click();
  await expect(page.getByText('choir rehearsal, bring notes').first()).toBeVisible();
  expect(complaints).toEqual([]);
});

test('a calendar whose name is taken is asked about before anything is kept', async ({ page, hobnail, complaints }) => {
  const bring = async (...events: readonly [string, string][]) => {
    await page.getByRole('button', { name: 'Import a file' }).click();
    await chooseFiles(page, 'files', [{ name: 'club.ics', mimeType: 'text/calendar', buffer: calendar(...events) }]);
    await page.getByRole('button', { name: 'Import', exact: true }).click();
  };
  await page.goto(`${hobnail.url}/agenda`);
  await page.getByRole('tab', { name: /Calendars/ }).click();
  await bring(['a', 'rowing'], ['b', 'fete']);
  await expect(page.getByText(/club\.ics: 2 events/)).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await bring(['b', 'fete, hall B'], ['c', 'picnic']);
  const asked = page.getByRole('group', { name: 'club.ics: what shall be done' });
  await expect(asked).toContainText('New in the file, 1:picnic');
  await expect(asked).toContainText('Changed by it, 1:fete, hall B');
  await expect(asked).toContainText('Not in the file, 1:rowing');
  await asked.getByRole('button', { name: 'Merge into it' }).click();
  await expect(page.getByText(/club\.ics: 2 events/)).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  for (const title of ['rowing', 'fete, hall B', 'picnic'])
    await expect(page.getByRole('button', { name: title }).first()).toBeVisible();
  expect(complaints).toEqual([]);
});

test('a data file that cannot be used is said in a sentence, and the house opens once it can', async ({
  page,
  hobnail,
}) => {
  await page.goto(hobnail.url);
  const week = page.getByRole('heading', { name: 'The weeks ahead' });
  await expect(week).toBeVisible();
  const kept = `${hobnail.data}.kept`;
  renameSync(hobnail.data, kept);
  await page.goto(`${hobnail.url}/agenda`);
  await expect(page.getByText('The data file was moved or removed while Hobnail had it open.')).toBeVisible();
  expect((await page.request.get(`${hobnail.url}/orders`)).status()).toBe(503);
  writeFileSync(hobnail.data, 'once upon a time there was a spreadsheet');
  await page.goto(`${hobnail.url}/kits`);
  await expect(page.getByText(/something else lies under its name/)).toBeVisible();
  copyFileSync(kept, hobnail.data);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: /Kits/ }).first()).toBeVisible();
  await page.goto(hobnail.url);
  await expect(week).toBeVisible();
});

test('an address that is none is answered with a page', async ({ page, hobnail }) => {
  for (const path of [
    '/%25',
    '/kits/%25',
    '/kits/%25E0',
    '/calendars/%25',
    '/spreads/%25',
    '/books/%25/file',
    '/spreads/9/print',
  ]) {
    const answer = await page.request.get(`${hobnail.url}${path}`);
    expect([path, answer.status()]).toEqual([path, 404]);
    expect(answer.headers()['content-type']).toContain('text/html');
    expect(await answer.text()).not.toMatch(/node_modules|\bat .*\.(ts|js):\d+/);
  }
});
