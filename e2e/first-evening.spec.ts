import type { Locator, Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { FLATBED, scanned } from '../demo/scanner-service/device';
import { madeUpSheet } from '../demo/scanner-service/made-up-sheets';
import { saidEvening } from '../tests/first-evening';
import { chooseFiles, saved, test } from './hobnail';

/** A week's items as they are typed: at home in two languages more, by 24 hours. */
const ITEMS = [
  'vet Juniper tue 16:30 for 45 min', 'choir tue 19:30', 'early ferry mon 5:45', 'early ferry tue 5:45',
  'late ferry thu 13:30', 'bins mon evening', 'laundry wed', 'dig plot sat morning', 'call Mum sun 11:00',
  'rent due mon', 'zadzwonić do Zofii wed 18:00', 'urodziny Łukasza fri', 'お花見 sat 10:00', '歯医者 thu 9:15',
  'swim fri 7am', 'walk the hounds mon evening', 'walk the hounds wed evening', 'soup for Nan sat',
  'water the beans thu', 'dog biscuits list to buy fri', 'oats list to buy fri', 'soap list to buy fri',
  'library books back by thu', 'haircut wed 14:15', 'choir dues fri', 'bread sun', 'iron uniform sun evening',
  'foster visit sat 13:00', 'seed order mon', 'film fri 20:30',
]; // prettier-ignore

const FILE = [
  'BEGIN:VCALENDAR', 'VERSION:2.0', 'X-WR-CALNAME:Rowing club',
  'BEGIN:VEVENT', 'UID:row-1', 'DTSTART:20270209T180000', 'DTEND:20270209T193000', 'SUMMARY:rowing', 'END:VEVENT',
  'BEGIN:VTODO', 'UID:row-2', 'SUMMARY:oil the winch', 'END:VTODO', 'END:VCALENDAR', '',
].join('\r\n'); // prettier-ignore

/** Does what a person does, by mouse or by finger, and counts it: a press, a choice, a field with what is typed. */
class Person {
  acts = 0;
  /** acts with a pointer */
  presses = 0;
  keys = 0;

  constructor(
    readonly page: Page,
    private readonly touch: boolean,
  ) {}

  async press(at: Locator): Promise<void> {
    this.acts++;
    this.presses++;
    await (this.touch ? at.tap() : at.click());
  }
  soFar = (began: number) => ({
    acts: this.acts,
    presses: this.presses,
    keys: this.keys,
    waited: (Date.now() - began) / 1000,
  });
  button = (name: string | RegExp) => this.press(this.page.getByRole('button', { name, exact: true }).first());
  link = (name: string | RegExp) => this.press(this.page.getByRole('link', { name }).first());
  async type(at: Locator, text: string): Promise<void> {
    this.acts++;
    if (!(await at.evaluate((field) => field === document.activeElement))) this.presses++;
    this.keys += text.length + 1;
    await at.fill(text);
    await at.press('Enter');
  }
  async choose(label: string, option: RegExp): Promise<void> {
    await this.press(this.page.getByRole('combobox', { name: label }));
    await this.press(this.page.getByRole('option', { name: option }));
    await expect(this.page.getByRole('listbox')).toHaveCount(0);
  }
}

/** From an empty house to a week that is planned. @returns what it took */
async function toAPlannedWeek(me: Person, url: string): Promise<void> {
  const { page } = me;
  await page.goto(url);
  await me.link('Settings');
  await me.choose('Hours', /24 hours/);
  await expect(page.getByText('Hours are written so')).toBeVisible();
  await me.choose('My week starts on', /Sunday/);
  await expect(page.getByText('Your week now starts on Sunday')).toBeVisible();

  await me.link('Books');
  await me.button('Measure a book');
  await me.type(page.getByLabel('Name', { exact: true }), 'harbor log');
  await me.type(page.getByLabel('Column width'), '1 1/2');
  await me.button('Make this book');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('harbor log');

  await me.link(/to the shelf/);
  await me.button('From a list');
  await me.button('A full kit');
  await me.button('Add this kit');
  await expect(page.getByRole('img', { name: 'done' })).toHaveCount(2);

  await me.link('To the agenda');
  await page.waitForURL(/agenda/);
  // one types on while the line before is kept
  for (const line of ITEMS) {
    await me.type(page.getByLabel('New item'), line);
    await expect(page.getByLabel('New item')).toHaveValue('');
  }
  await expect(page.getByTestId('added')).toContainText('film');
  await me.link(/to the shelf/);
  await me.link(/^Plan next week/);
  await expect(page.getByRole('combobox', { name: 'Book' })).toContainText('harbor log');
  // the week itself, as it would be, in each manner: one is taken as it is
  await expect(page.getByTestId('plan-card')).toHaveCount(5);
  await page
    .getByRole('img', { name: /^The week with / })
    .nth(4)
    .waitFor();
  await me.button(/^Plan it so, .* Scattered$/);
  await page.waitForURL(/\/spreads\/\d+$/);
  await page.getByTestId('piece').nth(20).waitFor();
  await saved(page);
}

test('a first evening, by mouse and keys', async ({ page, hobnail, complaints }) => {
  test.setTimeout(240_000);
  await hobnail.emptied();
  const me = new Person(page, false);
  const began = Date.now();
  await toAPlannedWeek(me, hobnail.url);
  const planned = me.soFar(began);
  saidEvening('by mouse and keys, 1280 px', planned);
  expect(planned.acts).toBeLessThanOrEqual(60);

  // in its owner's hand and clock
  await expect(
    page
      .getByTestId('piece')
      .and(page.getByLabel(/16:30 vet Juniper/))
      .first(),
  ).toBeVisible();
  for (const name of [/zadzwonić do Zofii/, /urodziny Łukasza/, /お花見/, /歯医者/])
    await expect(page.getByTestId('piece').and(page.getByLabel(name)).first()).toBeVisible();
  await expect(page.getByTestId('without-place')).toHaveCount(0);

  // a calendar by file, and what of it has no date
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  await page.getByRole('tab', { name: 'Calendars' }).click();
  await page.getByRole('button', { name: 'Import a file' }).click();
  await chooseFiles(page, 'files', { name: 'export (3).ics', mimeType: 'text/calendar', buffer: Buffer.from(FILE) });
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  await expect(page.getByText('1 event and 1 task imported as “Rowing club”')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('tab', { name: /^To settle/ }).click();
  const winch = page.getByRole('group', { name: 'oil the winch' });
  await winch.getByRole('button', { name: /^Bring to/ }).click();
  await expect(winch).toHaveCount(0);
  await expect(page.getByTestId('agenda-item').filter({ hasText: 'oil the winch' })).toBeVisible();

  // what came since finds its place; a sticker is picked and laid by a click; one is moved
  await page.getByRole('link', { name: 'To the spread' }).click();
  await page.getByRole('button', { name: 'Place what’s left' }).click();
  await expect(page.getByTestId('without-place')).toHaveCount(0);
  await saved(page);
  await page.getByRole('tab', { name: 'Sheets' }).click();
  await page.getByLabel('Search the stickers').fill('deco');
  const laid = await page.getByTestId('piece').count();
  await page.getByTestId('free-sticker').first().click();
  const paper = (await page.locator('.paper').first().boundingBox())!;
  await page.mouse.click(paper.x + paper.width * 0.4, paper.y + paper.height * 0.7);
  await expect(page.getByTestId('piece')).toHaveCount(laid + 1);
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('piece')).toHaveCount(laid);
  await saved(page);

  // a kit by scan beside it
  const sheet = madeUpSheet('boxes', 3);
  await page.goto(`${hobnail.url}/scan`);
  const { bytes, type } = await scanned(sheet, FLATBED);
  await chooseFiles(page, 'sheet-files', { name: 'sheet.jpg', mimeType: type, buffer: bytes });
  await expect(page.getByTestId('outline')).toHaveCount(sheet.stickers.length, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Add this kit' }).click();
  await page.getByLabel('Name of the kit').fill('Mgła i latarnie');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('heading', { name: /Mgła i latarnie/ })).toBeVisible({ timeout: 60_000 });

  // printed, ticked, kept
  await page.goto(hobnail.url);
  await page
    .getByRole('region', { name: /^Next week/ })
    .getByRole('link', { name: 'Open' })
    .first()
    .click();
  await page.getByRole('link', { name: 'To the bench' }).click();
  const print = page.getByRole('link', { name: 'Print at 100 %' });
  const pdf = await page.request.get(`${hobnail.url}${await print.getAttribute('href')}`);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  for (const box of await page.getByRole('checkbox', { name: /: all \d+ done$/ }).all()) {
    await box.check();
    await expect(box).toBeChecked();
  }
  await page.getByRole('button', { name: 'It is on paper' }).click();
  await expect(page.getByRole('heading', { name: 'As it was planned' })).toBeVisible();

  // backed up, and brought back from the file
  await page.goto(`${hobnail.url}/settings`);
  const backups = page.getByRole('region', { name: 'Backups' });
  await backups.getByRole('button', { name: 'Back up now' }).click();
  await expect(backups.getByRole('alert').filter({ hasText: 'Backed up' })).toBeVisible({ timeout: 60_000 });
  const name = await backups.getByRole('link', { name: 'Save a copy' }).first().getAttribute('href');
  const buffer = await (await page.request.get(`${hobnail.url}${name}`)).body();
  await hobnail.emptied();
  await page.goto(`${hobnail.url}/settings`);
  await chooseFiles(page, 'backup-file', { name: 'mine.zip', mimeType: 'application/zip', buffer });
  await page.getByRole('dialog').getByRole('button', { name: 'Put it back' }).click();
  await expect(backups.getByRole('alert').filter({ hasText: 'as it was then' })).toBeVisible({ timeout: 60_000 });
  await page.goto(hobnail.url);
  await expect(page.getByRole('region', { name: /^Next week/ })).toContainText('on paper');
  expect(complaints).toEqual([]);
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('a first evening, on a tablet', async ({ page, hobnail, complaints }) => {
    test.setTimeout(180_000);
    await hobnail.emptied();
    const me = new Person(page, true);
    const began = Date.now();
    await toAPlannedWeek(me, hobnail.url);
    const planned = me.soFar(began);
    saidEvening('by touch, 820 px', planned);
    expect(planned.acts).toBeLessThanOrEqual(60);
    await expect(page.getByTestId('without-place')).toHaveCount(0);
    await me.link('To the bench');
    await expect(page.getByTestId('progress')).toContainText(/^0 of/);
    await me.press(page.getByRole('checkbox', { name: /: all \d+ done$/ }).first());
    await expect(page.getByTestId('progress')).not.toContainText(/^0 of/);
    await page.goto(hobnail.url);
    await expect(page.getByRole('region', { name: /^Next week/ })).toContainText('laid out');
    expect(complaints).toEqual([]);
  });
});
