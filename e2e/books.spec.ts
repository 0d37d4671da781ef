import { PDFDocument } from 'pdf-lib';
import { expect } from '@playwright/test';
import { readBook } from '../src/core/format/book-json';
import { arrangeWeek, chooseFiles, chooseOf, giveUp, openWeek, pickOption, saved, test } from './hobnail';

/** One white pixel, as a scan. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8/5+hHgAHggJ/PchI7wAAAABJRU5ErkJggg==',
  'base64',
);

test('a week is laid out in another manner, one habit set otherwise, and the whole kept as one’s own', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  await page.getByRole('button', { name: 'Manner: Scattered' }).click();
  await page.getByRole('radio', { name: /Grounded/ }).click();
  await page.getByRole('combobox', { name: 'Full boxes a week' }).click();
  await pickOption(page, '4', true);
  // the week itself shows it, and what it comes to; held, a button shows how it is now
  await expect(page.getByTestId('looked')).toContainText(/Full boxes \d → 4, .*pieces otherwise/i);
  await page.getByRole('button', { name: 'Hold to see it as it is' }).focus();
  await page.keyboard.down('Space');
  await expect(page.getByRole('img', { name: 'The week as it is' })).toBeVisible();
  await page.keyboard.up('Space');
  await expect(page.getByRole('img', { name: 'The week as it would be' })).toBeVisible();
  await expect(page.getByText('1 set otherwise than Grounded has it')).toBeVisible();
  await page.getByLabel('Keep as my own manner').fill('quiet weeks');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('“quiet weeks” is kept')).toBeVisible();
  await page.getByRole('button', { name: 'Use it and arrange again' }).click();
  await expect(page.getByRole('button', { name: 'Manner: Grounded, adapted' })).toBeVisible();
  await saved(page);
  await expect(page.getByTestId('piece').and(page.getByLabel(/bottom washi/))).toHaveCount(0);
  await expect(page.getByTestId('piece').and(page.getByLabel(/^full box/))).toHaveCount(4);
  await page.reload();
  await expect(page.getByTestId('piece').and(page.getByLabel(/^full box/))).toHaveCount(4);
  await giveUp(page);
  await page
    .getByRole('region', { name: /^In 2 weeks/ })
    .getByRole('link', { name: 'Plan this week' })
    .click();
  await chooseOf(page, 'Manner', 'quiet weeks');
  await expect(page.getByText('your own, after grounded')).toBeVisible();
  expect(complaints).toEqual([]);
});

test('a book is measured, drawn over a scan, kept through every half-done state, and planned in', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/books`);
  await expect(page.getByText('ships with Hobnail: make a copy to change it')).toBeVisible();
  await page.getByRole('button', { name: 'Measure a book' }).click();
  await page.getByLabel('Name', { exact: true }).fill('harbor log');
  await page.getByLabel('Column width').fill('2 3/4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('and the page is 177.8 mm wide');
  await page.getByLabel('Column width').fill('38 mm');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Make this book' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('harbor log');

  const region = (id: string) => page.locator(`[data-testid=region][data-id=${id}]`);
  await region('day-1').click();
  await page.getByLabel('Height').fill('6 1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await region('day-1').click({ position: { x: 30, y: 90 } });
  await page.keyboard.press('Delete');
  await expect(page.getByRole('alert').filter({ hasText: 'columns for day 1' })).toBeVisible();
  await page.reload();
  await expect(region('day-1')).toHaveCount(0);
  await expect(page.getByRole('alert').filter({ hasText: 'columns for day 1' })).toBeVisible();
  const file = async () => readBook(await (await page.request.get(`${hobnail.url}/books/harbor-log/file`)).text(), 'x');
  // weeks go on with the last version that was whole
  expect((await file()).regions.find((r) => r.id === 'day-1')?.h).toBe(165.1);
  await page.getByRole('button', { name: 'Draw', exact: true }).click();
  const paper = (await page.getByTestId('page').boundingBox())!;
  await page.mouse.move(paper.x + paper.width * 0.5, paper.y + paper.height * 0.15);
  await page.mouse.down();
  await page.mouse.move(paper.x + paper.width * 0.7, paper.y + paper.height * 0.8, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('combobox', { name: 'Of which day' })).toHaveText('second day');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await expect.poll(async () => (await file()).regions.filter((r) => r.kind === 'day').length).toBe(7);
  await page.getByTestId('page').click({ position: { x: 4, y: 4 } });

  await chooseFiles(page, 'scan-file', { name: 'page.png', mimeType: 'image/png', buffer: PIXEL });
  await expect(page.locator('[data-testid=page] image')).toHaveCount(1);
  expect(
    (
      await page.request.put(`${hobnail.url}/books/harbor-log/scans/0`, {
        headers: { 'content-type': 'text/plain' },
        data: 'no picture',
      })
    ).status(),
  ).toBe(415);
  const print = await PDFDocument.load(
    await (await page.request.get(`${hobnail.url}/books/harbor-log/test-print`)).body(),
  );
  expect(print.getPageCount()).toBe(3);

  await page.getByRole('button', { name: 'Check this screen' }).click();
  await expect(page.getByTestId('card')).toHaveCSS('width', /^323\.5/); // 85.6 mm at 96 pixels to the inch
  await page.getByRole('button', { name: 'Cancel' }).click();
  await openWeek(page, hobnail, /^In 3 weeks/, { kit: 'Rockpool', book: 'harbor log' });
  await arrangeWeek(page);
  await page.goto(`${hobnail.url}/books?book=harbor-log`);
  await expect(page.getByRole('button', { name: 'Remove this book' })).toBeDisabled();
  await openWeek(page, hobnail, /^In 3 weeks/);
  await giveUp(page);
  await page.goto(`${hobnail.url}/books?book=harbor-log`);
  await page.getByRole('button', { name: 'Remove this book' }).click();
  await expect(page.getByRole('link', { name: /harbor log/ })).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('a week on four pages is seen by halves', async ({ page, hobnail, complaints }) => {
  await openWeek(page, hobnail, /^In 4 weeks/, { kit: 'Night Almanac', book: 'Four-page' });
  await arrangeWeek(page);
  await page.getByRole('button', { name: '3–4' }).click();
  await expect(page.getByRole('group', { name: /The open book/ })).toHaveAttribute('viewBox', /^296 /);
  expect(complaints).toEqual([]);
});
