import { expect } from '@playwright/test';
import { arrangeWeek, chooseFiles, openWeek, planCard, test } from './hobnail';

const HEAD = 'code,kind,count,width_mm,height_mm,words\n';
const THREE_STICKERS = {
  name: 'three.kit.csv',
  mimeType: 'text/csv',
  buffer: Buffer.from(`${HEAD}Q,quarter-box,1,38.1,12,\nB,full-box,1,38.1,48.3,\nC,date-cover,1,38.1,12,\n`),
};
const calendar = (...lines: string[]): Buffer =>
  Buffer.from(['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n'));

test('broken files get the message, and nothing of them is kept', async ({ page, hobnail, complaints }) => {
  await page.goto(hobnail.url);
  await page.getByRole('button', { name: 'Import a file' }).click();
  await chooseFiles(page, 'files', [
    { name: 'bad.kit.csv', mimeType: 'text/csv', buffer: Buffer.from(`${HEAD}a,icon,1,-9,9,\na,icon,1,9,9,\n`) },
    {
      name: 'cut.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from('BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:2027'),
    },
    { name: 'bad.book.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"hobnail.book/1"}') },
    THREE_STICKERS,
  ]);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page.getByRole('dialog', { name: 'Check the kit' }).getByRole('button', { name: 'Add this kit' }).click();
  await expect(
    page.getByText('bad.kit.csv, line 2, width_mm: found "-9", expected a length from 0.1 to 600 mm'),
  ).toBeVisible();
  await expect(page.getByText('line 3, code: found "a"')).toBeVisible();
  await expect(page.getByText('the file seems cut off')).toBeVisible();
  await expect(page.getByText('bad.book.json, binding: found nothing')).toBeVisible();
  await expect(page.getByText('three.kit.csv: 3 stickers of 3 designs.')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await page
    .getByRole('region', { name: /^In 2 weeks/ })
    .getByRole('link', { name: 'Plan this week' })
    .click();
  await expect(planCard(page, 'Three')).toBeVisible();
  await expect(planCard(page, 'Bad')).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('a kit of three stickers, an undated B6 book, sixty items and a title of 200 letters', async ({
  page,
  hobnail,
  complaints,
}) => {
  const many = Array.from({ length: 60 }, (_, i) => [
    'BEGIN:VEVENT',
    `UID:many-${i}`,
    `DTSTART:202702${String(22 + (i % 7)).padStart(2, '0')}T${String(6 + (i % 15)).padStart(2, '0')}0000`,
    `SUMMARY:${i === 0 ? 'a title that will not end '.repeat(8) : `errand ${i}`}`,
    'END:VEVENT',
  ]).flat();
  await page.goto(hobnail.url);
  await page.getByRole('button', { name: 'Import a file' }).click();
  await chooseFiles(page, 'files', [
    { name: 'many.ics', mimeType: 'text/calendar', buffer: calendar(...many) },
    THREE_STICKERS,
  ]);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page.getByRole('dialog', { name: 'Check the kit' }).getByRole('button', { name: 'Add this kit' }).click();
  await expect(page.getByText('many.ics: 60 events imported.')).toBeVisible();
  await expect(page.getByText('three.kit.csv: 3 stickers of 3 designs.')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();

  await openWeek(page, hobnail, /^In 3 weeks/, { book: 'Open week, B6', kit: 'Rockpool' });
  await arrangeWeek(page);
  const tab = await page.getByRole('tab', { name: /^Items/ }).innerText();
  const total = Number(/Items · (\d+)/.exec(tab)?.[1]);
  expect(total).toBeGreaterThanOrEqual(60);
  const open = Number(/(\d+) open/.exec(tab)?.[1] ?? 0);
  await page.getByRole('tab', { name: /Findings/ }).click();
  await expect(page.getByTestId('findings').getByText(/would not work/)).toHaveCount(open);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);

  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Three' });
  await page.getByRole('button', { name: 'Arrange the week' }).click();
  await expect(page.getByTestId('piece').first()).toBeVisible();
  // the stash and the pen carry what three stickers cannot: nothing is left out
  await expect(page.getByRole('tab', { name: /^Items · 34$/ })).toBeVisible();
  await expect(page.getByTestId('without-place')).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('a week can be given up; one that is not there says so', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^In 4 weeks/, { kit: 'Rockpool' });
  await page.getByRole('button', { name: 'Start over' }).click();
  await page.getByRole('button', { name: 'Delete this spread' }).click();
  await expect(
    page.getByRole('region', { name: /^In 4 weeks/ }).getByRole('link', { name: 'Plan this week' }),
  ).toBeVisible();
  await page.goto(`${hobnail.url}/spreads/999`);
  await expect(page.getByText('There is no such page')).toBeVisible();
  await page.goto(`${hobnail.url}/spreads/none/bench`);
  await expect(page.getByText('There is no such page')).toBeVisible();
});

test('at twice the size every screen can be scrolled to its end, and a spread is read as a list', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  await page.getByRole('button', { name: 'The week as a list' }).focus();
  await page.keyboard.press('Enter');
  const list = page.getByRole('dialog', { name: 'The week as a list' });
  for (const day of ['Monday', 'Sunday', 'Beside the days'])
    await expect(list.getByRole('heading', { name: day })).toBeAttached();
  const item = list.getByRole('button', { name: /choir rehearsal · on/ });
  await item.focus();
  await page.keyboard.press('Enter'); // the sticker that carries it is chosen
  await expect(list).toHaveCount(0);
  await expect(page.locator('[data-testid=piece][aria-pressed=true]')).toHaveAccessibleName(/choir/);

  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.setViewportSize({ width: 640, height: 400 }); // 1280 × 800 at 200 %
  for (const [path, last] of [
    ['', page.getByRole('region', { name: /^In 5 weeks/ })],
    ['/agenda', page.getByRole('heading', { name: /^Sunday/ })],
    ['/kits', page.getByRole('tab').last()],
    ['/settings', page.getByRole('region', { name: 'What was learned' }).or(page.getByRole('region').last())],
  ] as const) {
    await page.goto(`${hobnail.url}${path}`);
    await expect(async () => {
      await last.first().scrollIntoViewIfNeeded();
      await page.waitForTimeout(300); // a screen that has just come may scroll by itself
      await expect(last.first()).toBeInViewport({ timeout: 500 });
    }).toPass();
    expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThan(2);
    const moving = await page.evaluate(
      () => getComputedStyle(document.querySelector('button') as Element).transitionDuration,
    );
    expect(Math.max(...moving.split(',').map(parseFloat))).toBeLessThan(0.01);
  }
  expect(complaints).toEqual([]);
});
