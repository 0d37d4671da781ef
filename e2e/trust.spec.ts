import { expect } from '@playwright/test';
import { arrangeWeek, chooseFiles, chooseOf, openWeek, planCard, test } from './hobnail';

const HEAD = 'code,kind,count,width_mm,height_mm,words\n';
const event = (...lines: string[]): Buffer =>
  Buffer.from(
    ['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:r1', ...lines, 'END:VEVENT', 'END:VCALENDAR', ''].join(
      '\r\n',
    ),
  );

test('only the pages of this house may change something in it, and nothing else is run', async ({
  page,
  hobnail,
  complaints,
}) => {
  const shelf = await page.goto(hobnail.url);
  const policy = shelf!.headers()['content-security-policy'];
  expect(policy).toMatch(/script-src 'self' 'nonce-[A-Za-z0-9+/=]{20,}' 'strict-dynamic'/);
  expect(shelf!.headers()['x-content-type-options']).toBe('nosniff');
  const send = (headers: Record<string, string>) =>
    page.request.post(`${hobnail.url}/take-in`, {
      headers,
      multipart: {
        files: { name: 'household.ics', mimeType: 'text/calendar', buffer: event('DTSTART:20270209T100000') },
      },
    });
  for (const headers of [
    { origin: 'https://evil.example' },
    { 'sec-fetch-site': 'cross-site' },
    { host: 'evil.example' },
  ] as Record<string, string>[])
    expect((await send(headers)).status()).toBe(403);
  await page.goto(`${hobnail.url}/agenda`);
  await expect(page.getByText('choir rehearsal').first()).toBeVisible(); // the calendar of that name was not replaced
  // a script that came into the page some other way is not run
  const refused = page.waitForEvent('console', { predicate: (m) => /Content Security Policy/.test(m.text()) });
  await page.evaluate(() => {
    const picture = document.createElement('div');
    picture.innerHTML = '<img src="data:," onerror="window.ranAnyway = true">';
    document.body.append(picture);
  });
  await refused;
  expect(await page.evaluate(() => 'ranAnyway' in window)).toBe(false);
  expect(complaints).toEqual([]);
});

test('a calendar with a length that is none is refused with its line, and all screens stand', async ({
  page,
  hobnail,
}) => {
  await page.goto(hobnail.url);
  await page.getByRole('button', { name: 'Import a file' }).click();
  await chooseFiles(page, 'files', [
    {
      name: 'regatta.ics',
      mimeType: 'text/calendar',
      buffer: event('DTSTART:20270209T100000', 'SUMMARY:regatta', 'DURATION:PT'),
    },
  ]);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText(/regatta\.ics, line 3, VEVENT "r1", DURATION/)).toBeVisible();
  for (const [path, heading] of [
    ['', 'The weeks ahead'],
    ['/agenda', /Feb/],
    ['/kits', /Kits/],
  ] as const) {
    await page.goto(`${hobnail.url}${path}`);
    await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
  }
});

test('a week is counted before it is begun, and what the school gives up is said', async ({ page, hobnail }) => {
  await page.goto(hobnail.url);
  await page.getByRole('button', { name: 'Import a file' }).click();
  await chooseFiles(page, 'files', [
    {
      name: 'thin.kit.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        `${HEAD}L,label,4,38,12,\nB,full-box,2,38.1,48.3,\nC,checklist,1,38.1,48,\nH,header,3,38.1,6.4,today\n`,
      ),
    },
  ]);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await page.getByRole('dialog', { name: 'Check the kit' }).getByRole('button', { name: 'Add this kit' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await page
    .getByRole('region', { name: /^In 2 weeks/ })
    .getByRole('link', { name: 'Plan this week' })
    .click();
  await chooseOf(page, 'Manner', 'Scattered');
  await expect(planCard(page, 'Thin')).toContainText(/3 full boxes, \d+ stickers, \d+ of them from the stash/);
  await expect(planCard(page, 'Rockpool')).toContainText(/All \d+ items on stickers/);

  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Thin' });
  await arrangeWeek(page);
  await page.getByRole('button', { name: 'Finish' }).click();
  const lost = page.getByRole('region', { name: 'Habits given up' });
  await expect(lost).toContainText('Scattered, as far as it goes');
  await expect(lost).toContainText(/^.*of 7 full boxes: /s);
});

test('the house is opened to its network under a passphrase, and closed again', async ({
  page,
  browser,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/settings`);
  const door = page.getByRole('region', { name: 'The door' });
  await door.getByLabel('Passphrase').fill('short');
  await expect(door.getByRole('button', { name: 'Open the door' })).toBeDisabled();
  await door.getByLabel('Passphrase').fill('seven gray gulls');
  await door.getByRole('button', { name: 'Open the door' }).click();
  await expect(door).toContainText('Open: who knows the passphrase');
  const outside = `http://127.0.0.1:${hobnail.doorPort}`;

  const tablet = await (await browser.newContext()).newPage();
  await tablet.goto(`${outside}/agenda`);
  await tablet.getByLabel('Passphrase').fill('seven gray geese');
  await tablet.getByRole('button', { name: 'Come in' }).click();
  await expect(tablet.getByText('That was not the passphrase.')).toBeVisible();
  await tablet.getByLabel('Passphrase').fill('seven gray gulls');
  await tablet.getByRole('button', { name: 'Come in' }).click();
  await expect(tablet.getByRole('heading', { name: 'The weeks ahead' })).toBeVisible();
  await tablet.goto(`${outside}/agenda`);
  await tablet.getByLabel('New item').fill('tablet holder thu');
  await tablet.keyboard.press('Enter');
  await expect(tablet.getByText('tablet holder').first()).toBeVisible();

  await hobnail.kill(); // it stands as it was left, and everybody is to say the passphrase again
  await hobnail.comeBack();
  await tablet.goto(outside);
  await expect(tablet.getByLabel('Passphrase')).toBeVisible();
  await page.goto(`${hobnail.url}/settings`);
  await door.getByRole('button', { name: 'Close the door' }).click();
  await expect(door).toContainText('Closed: Hobnail answers to this machine alone.');
  await expect(tablet.goto(outside)).rejects.toThrow(/ERR_CONNECTION_REFUSED/);
  expect(complaints).toEqual([]);
});
