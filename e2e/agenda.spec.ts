import type { AddressInfo } from 'node:net';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { demandsOfWeek } from '../src/core/week/demands';
import { readCalendar } from '../src/core/format/calendar';
import { householdService } from '../demo/household-service/service';
import { TODAY, chooseFiles, openWeek, pickDay, pickOption, test } from './hobnail';

const day = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const items = (page: Page, name: string) => day(page, name).getByTestId('agenda-item');
const add = async (page: Page, text: string) => {
  await page.getByLabel('New item').fill(text);
  await page.getByLabel('New item').press('Enter');
  await expect(page.getByLabel('New item')).toHaveValue('');
};

test('the agenda: a typed line becomes an item, is changed, taken out, brought back, and reaches the spread', async ({
  page,
  hobnail,
  complaints,
}) => {
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
  await pickDay(page, 'Day', '02122027');
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
  await page.getByRole('link', { name: /^Feb 17,/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Feb 15 – 21');

  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await expect(page.getByTestId('without-place')).toContainText('hoof trim');
  await page.getByRole('link', { name: 'Add or change items in the agenda' }).click();
  await expect(page.getByRole('link', { name: 'To the spread' })).toBeVisible();
  expect(complaints).toEqual([]);
});

test('what is left over is brought along once; what looks entered twice is asked about', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/agenda`);
  const asked = page.getByRole('group', { name: 'return library books', exact: true });
  await expect(asked).toContainText('from Tuesday');
  await asked.getByRole('button', { name: 'Bring to Wednesday' }).click();
  await expect(items(page, 'Wednesday').filter({ hasText: 'return library books' })).toBeVisible();
  await expect(asked).toHaveCount(0);
  await page.getByRole('group', { name: 'turn the compost' }).getByRole('button', { name: 'Let it go' }).click();
  await page.getByRole('group', { name: 'prune the currants' }).getByRole('button', { name: 'It is done' }).click();
  await expect(page.getByRole('group', { name: 'prune the currants' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('group', { name: 'prune the currants' })).toBeVisible();

  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  const twice = page.getByRole('group', { name: /book the camp bus/ });
  await twice.getByRole('button', { name: 'Take Tuesday’s out' }).click();
  await expect(twice).toHaveCount(0);
  await expect(items(page, 'Tuesday').filter({ hasText: 'book camp bus' })).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('days that will not hold get ways out; lists and items are dragged to other days; things are ticked and narrowed', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/agenda?week=2027-W07`);
  for (const t of ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven'])
    await add(page, `meeting ${t} on the pier wed 10:00`);
  const wednesday = day(page, 'Wednesday');
  await expect(wednesday).toContainText('too full');
  const planned = await items(page, 'Wednesday').count();
  await wednesday.getByRole('button', { name: 'Ways out' }).click();
  await wednesday
    .getByRole('group', { name: 'Ways out' })
    .getByRole('button', { name: /^Move “.+” to Tuesday|^Move “.+” to Thursday/ })
    .first()
    .click();
  await expect(items(page, 'Wednesday')).toHaveCount(planned - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(items(page, 'Wednesday')).toHaveCount(planned); // what is drawn anew is not dragged meanwhile

  const list = day(page, 'Saturday').getByText('cleaning', { exact: true });
  await list.hover();
  await page.mouse.down();
  const to = (await day(page, 'Sunday').boundingBox())!;
  await page.mouse.move(to.x + 60, to.y + 20, { steps: 8 });
  await page.mouse.move(to.x + 70, to.y + 30, { steps: 3 });
  await page.mouse.up();
  await expect(items(page, 'Sunday').filter({ hasText: 'kitchen floor' })).toBeVisible();
  await expect(items(page, 'Saturday').filter({ hasText: 'kitchen floor' })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(items(page, 'Saturday').filter({ hasText: 'kitchen floor' })).toBeVisible();

  await page.getByLabel('laundry: done').click();
  await expect(page.getByLabel('laundry: done')).toBeChecked();
  await page.getByRole('combobox', { name: 'Show' }).click();
  await pickOption(page, 'lists and to-dos');
  await expect(items(page, 'Tuesday')).toHaveCount(2);
  await page.getByLabel('Find an item').fill('spring concert');
  await expect(page.getByText('Nothing of this week fits.')).toBeVisible();
  await page.getByRole('link', { name: /2027-03-20 · spring concert/ }).click();
  await expect(items(page, 'Saturday').filter({ hasText: 'spring concert' })).toBeVisible();
  expect(complaints).toEqual([]);
});

test('a rota and turns are made and changed; one day of a series moves; the calendar is written out', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  await page.getByLabel('New item').fill('glass / paper every thu evening');
  await expect(page.getByTestId('understood')).toHaveText(
    'taking turns, every 2 weeks: glass, paper, from Thursday, Feb 11',
  );
  await page.getByLabel('New item').press('Enter');
  await expect(items(page, 'Thursday').filter({ hasText: 'glass' })).toBeVisible();
  await page.getByRole('tab', { name: 'Rounds' }).click();
  await page.getByRole('button', { name: /^glass, paper/ }).click();
  await page.getByLabel('Turn 1', { exact: true }).fill('glass and cans');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(items(page, 'Thursday').filter({ hasText: 'glass and cans' })).toBeVisible();

  await items(page, 'Wednesday').filter({ hasText: 'water the beans' }).click();
  await page.getByRole('tab', { name: 'Comes round' }).click();
  await pickDay(page, 'Move only this day to', '02122027');
  await page.getByRole('button', { name: 'Move this day' }).click();
  await expect(items(page, 'Friday').filter({ hasText: 'water the beans' })).toBeVisible();
  await expect(items(page, 'Sunday').filter({ hasText: 'water the beans' })).toBeVisible();

  await page.getByRole('tab', { name: /Calendars/ }).click();
  const written = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export household' }).click();
  const file = readFileSync(await (await written).path(), 'utf8');
  const titles = demandsOfWeek([readCalendar(file, 'household.ics')], '2027-W06')
    .demands.filter((d) => d.day === 4)
    .map((d) => d.title);
  expect(titles).toContain('water the beans');
  expect(complaints).toEqual([]);
});

test('a feed is followed, brings news when the agenda opens, and keeps its last good copy', async ({
  page,
  hobnail,
  complaints,
}) => {
  const service = householdService(TODAY);
  await new Promise<void>((done) => service.listen(0, '127.0.0.1', done));
  const origin = `http://127.0.0.1:${(service.address() as AddressInfo).port}`;
  const post = (path: string) => fetch(`${origin}${path}`, { method: 'POST', redirect: 'manual' });
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  await page.getByRole('tab', { name: /Calendars/ }).click();
  await page.getByRole('button', { name: 'Follow a feed' }).click();
  await page.getByLabel('Name').fill('shared');
  await page.getByLabel('Address').fill('https://calendar.example/a.ics');
  await page.getByRole('button', { name: 'Follow', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('an address on this machine');
  await page.getByLabel('Address').fill(`${origin}/household.ics`);
  await page.getByRole('button', { name: 'Follow', exact: true }).click();
  await expect(items(page, 'Tuesday').filter({ hasText: 'plumber' })).toBeVisible();
  await items(page, 'Tuesday').filter({ hasText: 'plumber' }).click();
  await expect(page.getByRole('dialog')).toContainText('comes from the feed');
  await page.getByRole('button', { name: 'Close' }).click();

  await post('/change');
  await page.getByRole('button', { name: 'Check the feeds now' }).click();
  await expect(page.getByRole('group', { name: 'shared' })).toContainText('new: chimney sweep · changed: plumber');
  // a feed that dawdles holds nothing up
  await post('/mood/slow');
  await page.getByRole('button', { name: 'Check the feeds now' }).click();
  await expect(page.getByRole('button', { name: 'Asking…' })).toBeVisible();
  await page.getByLabel('New item').fill('oars fri');
  await page.keyboard.press('Enter');
  await expect(items(page, 'Friday').filter({ hasText: 'oars' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Asking…' })).toBeVisible();
  await page.getByRole('button', { name: 'Check the feeds now' }).waitFor();
  await post('/mood/rubbish');
  await page.getByRole('button', { name: 'Check the feeds now' }).click();
  await expect(page.getByRole('group', { name: 'shared' })).toContainText('The last check failed');
  await expect(items(page, 'Friday').filter({ hasText: 'chimney sweep' })).toBeVisible();
  service.closeAllConnections();
  service.close();
  await page.getByRole('button', { name: 'Remove shared' }).click();
  await expect(items(page, 'Friday').filter({ hasText: 'chimney sweep' })).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('the hand is measured with a sample line, and the weeks are measured with it', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/agenda?week=2027-W10`);
  const wanted = async () => {
    const [, said = ''] = /([\d/ ]+) in of/.exec((await day(page, 'Tuesday').innerText()) ?? '') ?? [];
    const parts = said
      .trim()
      .split(' ')
      .map((part) => part.split('/').map(Number));
    return parts.reduce((sum, [top = 0, bottom = 1]) => sum + top / bottom, 0);
  };
  const before = await wanted();
  await page.goto(`${hobnail.url}/settings`);
  await page.getByLabel('Length of one line').fill('900 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('hand')).toContainText('Nobody writes in that size');
  const keep = async (length: string, rise: string) => {
    await page.goto(`${hobnail.url}/settings`);
    await page.getByLabel('Length of one line').fill(`${length} mm`);
    await page.getByLabel('From the first line to the last').fill(`${rise} mm`);
    await page.getByRole('button', { name: 'Keep this hand' }).click();
    await expect(page.getByText('Your hand is kept')).toBeVisible();
    await page.goto(`${hobnail.url}/agenda?week=2027-W10`);
  };
  await keep('170', '24');
  expect(await wanted()).toBeGreaterThan(before);
  await keep('96.8', '13.5');
  expect(await wanted()).toBe(before);
  expect(complaints).toEqual([]);
});

test('short forms are kept one by one, never longer than their word, and taken back', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/settings`);
  const forms = page.getByRole('region', { name: 'Your short forms' });
  const add = forms.getByRole('button', { name: 'Add' });
  await expect(add).toBeDisabled();
  await forms.getByLabel('Word').fill('two words');
  await forms.getByLabel('Short form').fill('2w');
  await expect(forms.getByText('one word')).toBeVisible();
  await forms.getByLabel('Word').fill('with');
  await forms.getByLabel('Short form').fill('withal');
  await expect(forms.getByText('shorter than the word')).toBeVisible();
  await expect(add).toBeDisabled();
  await forms.getByLabel('Short form').fill('w/');
  await forms.getByLabel('Short form').press('Enter');
  await expect(forms.getByText('with → w/')).toBeVisible();
  await expect(forms.getByLabel('Word')).toHaveValue('');
  await page.reload();
  await forms.getByRole('button', { name: 'with → w/' }).press('Delete');
  await expect(forms.getByText('with → w/')).toBeHidden();
  expect(complaints).toEqual([]);
});

test('calendar files that are cut off, in other letters, or very large are answered for', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(hobnail.url);
  await page.getByRole('button', { name: 'Import a file' }).click();
  const events = Array.from(
    { length: 20_000 },
    (_, i) => `BEGIN:VEVENT\r\nUID:u${i}\r\nDTSTART;VALUE=DATE:2031010${1 + (i % 9)}\r\nSUMMARY:e${i}\r\nEND:VEVENT`,
  ).join('\r\n');
  const large = `BEGIN:VCALENDAR\r\n${events}\r\nEND:VCALENDAR\r\n`;
  const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'text/calendar', buffer });
  await chooseFiles(page, 'files', [
    file('cut.ics', Buffer.from(large.slice(0, 900_000))),
    file('latin.ics', Buffer.from('BEGIN:VCALENDAR\nX-NAME:caf\xe9\nEND:VCALENDAR', 'latin1')),
    file('large.ics', Buffer.from(large)),
  ]);
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('Nothing of cut.ics was kept.')).toBeVisible();
  await expect(page.getByText('Nothing of latin.ics was kept.')).toBeVisible();
  await expect(page.getByText('large.ics: 20000 events imported.')).toBeVisible({ timeout: 60_000 });
  await page.goto(`${hobnail.url}/agenda`);
  await page.getByRole('tab', { name: /Calendars/ }).click();
  await expect(page.getByRole('group', { name: 'large' })).toContainText('20000 items');
  await expect(page.getByRole('group', { name: 'cut' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Remove large' }).click();
  await expect(page.getByRole('group', { name: 'large' })).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('lines typed one right after the other are all there, and unsaved words are asked about before they go', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  const line = page.getByLabel('New item');
  for (let n = 1; n <= 9; n++) {
    await line.fill(`knot number ${n} on tuesday`);
    await line.press('Enter');
    await expect(line).toHaveValue('');
  }
  for (let n = 1; n <= 9; n++) await expect(page.getByText(`knot number ${n}`).first()).toBeVisible();
  await page.getByRole('button', { name: 'By form' }).click();
  const form = page.getByRole('dialog', { name: 'A new item' });
  await form.getByLabel('What').fill('seal the skiff');
  await page.keyboard.press('Escape');
  const asked = page.getByRole('dialog', { name: 'Close without saving?' });
  await asked.getByRole('button', { name: 'Go on writing' }).click();
  await expect(form.getByLabel('What')).toHaveValue('seal the skiff');
  await page.keyboard.press('Escape');
  await asked.getByRole('button', { name: 'Close, and lose it' }).click();
  await expect(form).toBeHidden();
  await page.getByRole('button', { name: 'By form' }).click();
  await page.keyboard.press('Escape'); // nothing was written: nothing is asked
  await expect(form).toBeHidden();
  expect(complaints).toEqual([]);
});
