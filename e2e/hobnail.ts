import type { Locator, Page } from '@playwright/test';
import { expect, test as base } from '@playwright/test';
import { Hobnail, seededDatabase } from './server';

export type { Hobnail } from './server';
export { TODAY } from './server';

/**
 * Each test has data of its own, and a server that nobody else asks meanwhile: none needs another, in any order. The
 * server is kept for the next test, which puts its own data in the place of what is there; one that was killed is
 * started again.
 * `withPast`: the weeks long past are there, too, which takes longer to lay.
 */
export const test = base.extend<{ complaints: string[]; hobnail: Hobnail; withPast: boolean }, { servers: Hobnail[] }>({
  withPast: [false, { option: true }],
  servers: [
    async ({}, use) => {
      const servers: Hobnail[] = [];
      await use(servers);
      for (const server of servers) await server.remove();
    },
    { scope: 'worker', timeout: 240_000 },
  ],
  hobnail: async ({ servers, withPast }, use, info) => {
    const seed = seededDatabase(withPast);
    const [kept] = servers;
    const hobnail = kept ?? new Hobnail(seed);
    if (kept) kept.lay(seed);
    else servers.push(hobnail);
    if (!hobnail.running) await hobnail.start();
    await use(hobnail);
    if (info.status !== info.expectedStatus) await hobnail.kill(); // what it was left in is nobody else's
  },
  complaints: [
    async ({ page }, use) => {
      const complaints: string[] = [];
      page.on('pageerror', (e) => complaints.push(e.message));
      page.on(
        'request',
        (r) => !/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(r.url()) && complaints.push(`asked ${r.url()}`),
      );
      await use(complaints);
    },
    { auto: true },
  ],
});

/** Opens a week of the shelf by its name there, with the kit and book wanted. */
export async function openWeek(
  page: Page,
  hobnail: Hobnail,
  name: RegExp,
  choose: { book?: string; kit?: string } = {},
): Promise<void> {
  await page.goto(hobnail.url);
  const card = page.getByRole('region', { name });
  const start = card.getByRole('link', { name: 'Plan this week' });
  await start.or(card.getByRole('link', { name: /^(Open|Go on)$/ })).waitFor();
  if (await start.count()) {
    await start.click();
    await chooseOf(page, 'Manner', 'Scattered');
    const book = page.getByRole('combobox', { name: 'Book' });
    if (choose.book && !new RegExp(choose.book).test(await book.innerText())) {
      await chooseOf(page, 'Book', choose.book);
      await page.waitForURL(/[?&]book=/);
    }
    await planCard(page, choose.kit ?? 'Rockpool')
      .getByRole('button', { name: 'Open it empty' })
      .click();
  } else {
    await card.getByRole('link', { name: /^(Open|Go on)$/ }).click();
  }
  await page.waitForURL(/\/spreads\/\d+$/);
  await page.getByTestId('board').waitFor();
}

/** Chooses from one of the lists with which a week is planned. */
export async function chooseOf(page: Page, label: 'Book' | 'Kits' | 'Manner' | 'Week', value: string): Promise<void> {
  await page.getByRole('combobox', { name: label }).click();
  await pickOption(page, new RegExp(value));
}

/** The week as it would be with a kit, in the manner that was chosen. */
export const planCard = (page: Page, kit: string): Locator =>
  page
    .getByTestId('plan-card')
    .and(page.getByLabel(new RegExp(`^${kit}, `)))
    .first();

export async function saved(page: Page): Promise<void> {
  await page
    .getByTestId('saved')
    .filter({ hasText: /^saved$/ })
    .waitFor();
}

export async function arrangeWeek(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Arrange the week' }).click();
  await page.getByTestId('piece').nth(20).waitFor();
  await saved(page);
}

/** Chooses files, once the page listens: one that was only just sent takes no choice, and no person is so quick. */
export async function chooseFiles(page: Page, field: string, files: Parameters<Locator['setInputFiles']>[0]) {
  const input = page.getByTestId(field);
  await expect
    .poll(() => input.evaluate((at) => Object.keys(at).some((key) => key.startsWith('__reactProps'))))
    .toBe(true);
  await input.setInputFiles(files);
}

/** Leaves the week as it was before it was begun, for the tests that follow. */
export async function giveUp(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Start over' }).click();
  await page.getByRole('button', { name: 'Delete this spread' }).click();
  await page.getByRole('heading', { name: 'The weeks ahead' }).waitFor();
}

/**
 * Picks from the list that is open, and sees it closed. A list just opened takes no click for a moment, so that the
 * click which opened it picks nothing: a click that comes too soon is made again.
 */
export async function pickOption(page: Page, name: string | RegExp, exact = false): Promise<void> {
  const option = page.getByRole('option', { name, exact });
  await option.waitFor();
  await expect(async () => {
    if (await option.isVisible()) await option.click({ timeout: 1000 });
    await expect(page.getByRole('listbox')).toHaveCount(0, { timeout: 2000 });
  }).toPass({ timeout: 30_000 });
}

/**
 * Writes into a cell of a table, once the table lies still and takes what is typed: a table that only just opened may
 * move under the pointer, and keys that come before its field is there are lost.
 */
export async function writeCell(cell: Locator, text: string): Promise<void> {
  await expect(async () => {
    await cell.click();
    await expect(cell).toBeFocused({ timeout: 1000 });
  }).toPass();
  await cell.dblclick();
  const field = cell.page().locator('.MuiDataGrid-cell--editing input');
  await field.press('Control+a');
  await field.pressSequentially(text);
  await expect(field).toHaveValue(text);
  await field.press('Enter');
}

/** Types a day into a day field, as `MMDDYYYY`. */
export async function pickDay(page: Page, field: string, day: string): Promise<void> {
  await page.getByRole('group', { name: field }).getByRole('spinbutton', { name: 'Month' }).click();
  await page.keyboard.type(day);
}

/** Chooses a piece: in its middle an icon or a script may lie, which is a piece of its own. */
export const choosePiece = (piece: Locator): Promise<void> => piece.focus();
