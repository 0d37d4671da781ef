import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { drag, middleOf } from './drag';
import { choosePiece, arrangeWeek, openWeek, saved, test } from './hobnail';

/** px² of the open book's pages that are seen. */
const bookArea = (page: Page): Promise<number> =>
  page.locator('[data-testid="board"] rect.paper').evaluateAll((pages) =>
    pages.reduce((sum, p) => {
      const { width, height } = p.getBoundingClientRect();
      return sum + width * height;
    }, 0),
  );

test('the book is the room, in every window', async ({ page, hobnail, complaints }) => {
  await openWeek(page, hobnail, /^Next week/, { book: 'Three-box', kit: 'Rockpool' });
  await arrangeWeek(page);
  await page.mouse.move(5, 5);
  expect((await bookArea(page)) / (1280 * 800)).toBeGreaterThan(0.5);
  await page.keyboard.press('b');
  await expect(page.getByRole('complementary', { name: 'The drawer' })).toHaveCount(0);
  await page.keyboard.press('b');
  for (const [width, height, least] of [
    [1024, 768, 0.33],
    [820, 1180, 0.4],
    [640, 400, 0.5],
    [390, 844, 0.2],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect.poll(async () => (await bookArea(page)) / (width * height)).toBeGreaterThan(least);
    const across = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(across, `${width} x ${height}: nothing lies beside the window`).toBeLessThanOrEqual(0);
    for (const name of ['To the bench', 'Undo', 'Other ways', 'The week as a list'])
      await expect(page.getByRole(name === 'To the bench' ? 'link' : 'button', { name })).toBeInViewport({
        ratio: 0.9,
      });
    const findings = page.getByRole('tab', { name: /Findings/ });
    await findings.scrollIntoViewIfNeeded();
    await findings.click();
    await expect(page.getByTestId('findings')).toBeVisible();
    await page.evaluate(() => window.scrollTo(0, 0));
  }
  expect(complaints).toEqual([]);
});

test('one comes near by wheel, keys and buttons, and sees the whole again', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const board = page.getByTestId('board');
  const whole = await board.getAttribute('viewBox');
  const across = async () => Number((await board.getAttribute('viewBox'))!.split(' ')[2]);
  const wide = await across();
  const { x, y } = await middleOf(board);
  await page.mouse.move(x, y);
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -400);
  await page.keyboard.up('Control');
  await expect.poll(across).toBeLessThan(wide * 0.7);
  await page.keyboard.press('0');
  await expect(board).toHaveAttribute('viewBox', whole!);
  await page.keyboard.press('+');
  await expect.poll(across).toBeLessThan(wide);
  await page.getByRole('button', { name: 'Whole' }).click();
  await expect(board).toHaveAttribute('viewBox', whole!);
  await page
    .getByTestId('piece')
    .and(page.getByLabel(/^header “today”/))
    .first()
    .dblclick();
  await expect.poll(across).toBeLessThan(wide / 2);
  await page.keyboard.press('z');
  await expect(board).toHaveAttribute('viewBox', whole!);
  await page.getByRole('button', { name: /^True size/ }).click();
  await expect.poll(across).not.toBe(wide);
});

test('items and stickers are picked up: offered, dragged to a day, laid and asked what for, cut, copied', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const pieces = page.getByTestId('piece');
  const vet = pieces.and(page.getByLabel(/Juniper/));
  const open = page.getByTestId('without-place');
  const takeOff = async () => {
    await choosePiece(vet.first());
    await page.getByRole('button', { name: 'Take off' }).click();
    await expect(open).toContainText('vet, Juniper');
  };
  const takeUp = open.getByRole('button', { name: /4:30p/ });

  await takeOff();
  await takeUp.click();
  const offer = page.getByTestId('offer').nth(1);
  const before = await pieces.count();
  await offer.hover();
  await expect.poll(() => pieces.count()).toBeGreaterThan(before);
  await offer.click();
  await saved(page);
  await expect(open).toHaveCount(0);

  await takeOff();
  const friday = page.getByRole('img', { name: /^Friday/ });
  const over = await middleOf(friday);
  await drag(page, await middleOf(takeUp), { x: over.x, y: over.y + 300 });
  await saved(page);
  await expect(vet.first()).toBeVisible();
  expect(Math.abs((await middleOf(vet.first())).x - over.x)).toBeLessThan(60);

  await takeOff();
  await page.getByRole('tab', { name: 'Sheets' }).click();
  await page.getByLabel('Search the stickers').fill('half box');
  const free = page.getByTestId('free-sticker').first();
  await free.scrollIntoViewIfNeeded();
  const wednesday = await middleOf(page.getByRole('img', { name: /^Wednesday/ }));
  await drag(page, await middleOf(free), { x: wednesday.x, y: wednesday.y + 330 });
  const wish = page.getByTestId('wish').filter({ hasText: 'vet' });
  await wish.click();
  await saved(page);
  await expect(vet.first()).toBeVisible();
  await expect(page.getByTestId('wishes')).toHaveCount(0);

  const width = page.getByRole('group', { name: 'Width' });
  const wide = await width.innerText();
  await width.getByRole('button', { name: 'Width: less' }).click();
  await expect.poll(() => width.innerText()).not.toBe(wide);
  const count = await pieces.count();
  const again = page.getByRole('group', { name: 'The same again on' }).getByRole('button');
  if (await again.count()) {
    await again.first().click();
    await expect.poll(() => pieces.count()).toBeGreaterThan(count);
  }
  await saved(page);
  await page.reload();
  await expect(vet.first()).toBeVisible();
  expect(complaints).toEqual([]);
});

test('a sticker dragged to another day asks whether the agenda follows; what the agenda dropped is marked', async ({
  page,
  hobnail,
}) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const dentist = page
    .getByTestId('piece')
    .and(page.getByLabel(/dentist/))
    .first();
  const from = await middleOf(dentist);
  const thursday = await middleOf(page.getByRole('img', { name: /^Thursday/ }));
  await drag(page, from, { x: thursday.x, y: from.y + 60 });
  await page.getByTestId('astray').getByRole('button', { name: 'Move it in the agenda too' }).click();
  await expect(page.getByText(/The agenda has it on that day now/)).toBeVisible();
  await saved(page);
  const spread = page.url();
  await page.goto(`${hobnail.url}/agenda?week=2027-W06`);
  const day = page.getByRole('region', { name: /Thursday/ });
  await expect(day.getByText('dentist')).toBeVisible();
  await day.getByText('dentist').click();
  await page
    .getByRole('button', { name: /^Remove/ })
    .first()
    .click();
  await expect(day.getByText('dentist')).toHaveCount(0);
  await page.goto(spread);
  await page.getByTestId('no-longer').getByRole('button').click();
  await page.getByTestId('adrift').getByRole('button', { name: 'Keep it as a memory' }).click();
  await saved(page);
  await expect(page.getByTestId('no-longer')).toHaveCount(0);
  await expect(dentist).toBeVisible();
});

/** Goes on with Tab until what has the focus is called so. */
async function tabTo(page: Page, name: RegExp, key = 'Tab'): Promise<void> {
  for (let i = 0; i < 250; i++) {
    await page.keyboard.press(key);
    const called = await page.evaluate(() => {
      const a = document.activeElement;
      return a === document.body ? '' : (a?.getAttribute('aria-label') ?? a?.textContent ?? '');
    });
    if (name.test(called)) return;
  }
  throw new Error(`Tab never came to ${String(name)}`);
}

const press = async (page: Page, name: RegExp): Promise<void> => {
  await tabTo(page, name);
  await page.keyboard.press('Enter');
};

test('the main job from an empty shelf to the last step, by keyboard alone', async ({ page, hobnail, complaints }) => {
  await hobnail.emptied();
  await page.goto(hobnail.url);
  await press(page, /^From a list$/);
  await press(page, /^A full kit$/);
  await press(page, /^Add this kit$/);
  await expect(page.getByRole('img', { name: 'done' })).toHaveCount(2);
  await press(page, /^To the agenda$/);
  await page.waitForURL(/agenda/);
  for (const line of ['vet tue 16:30', 'laundry wed', 'swim fri 7am']) {
    await expect(page.getByLabel('New item')).toBeFocused();
    await page.keyboard.type(line);
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('added')).toContainText(line.split(' ')[0]!);
  }
  await press(page, /to the shelf/);
  await page.getByTestId('first-steps').waitFor();
  await press(page, /^Plan next week/);
  await page
    .getByRole('img', { name: /^The week with / })
    .nth(4)
    .waitFor();
  await press(page, /^Plan it so/);
  await page.waitForURL(/\/spreads\/\d+$/);
  await page.getByTestId('piece').nth(12).waitFor();
  await saved(page);

  // the arrows move a piece that has the focus, and nothing else
  const focused = () => page.locator('[data-testid="piece"]:focus');
  for (let i = 0; i < 60 && (await focused().count()) === 0; i++) await page.keyboard.press('Tab');
  for (let i = 0; i < 80 && !/vet/.test((await focused().getAttribute('aria-label')) ?? ''); i++) {
    const before = await focused().getAttribute('id');
    await page.keyboard.press('.');
    await expect(page.locator(`#${before!}:focus`)).toHaveCount(0);
  }
  const vet = page.getByTestId('piece').and(page.getByLabel(/vet/)).first();
  const at = await vet.getAttribute('transform');
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
  await expect(vet).not.toHaveAttribute('transform', at!);
  await saved(page);

  // a sticker from its sheet: picked, walked to a place, laid; and taken off again
  await tabTo(page, /^Items/);
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await page.getByTestId('free-sticker').first().waitFor();
  // one that has a place left: large ones fill the days already
  for (let i = 0; i < 30 && !(await page.getByLabel('Search the stickers').evaluate((e) => e === document.activeElement)); i++) await page.keyboard.press('Tab'); // prettier-ignore
  await page.keyboard.type('flag');
  const sticker = page.locator('[data-testid="free-sticker"]:focus');
  for (let i = 0; i < 60 && (await sticker.count()) === 0; i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const laid = await page.getByTestId('piece').count();
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[data-testid="spot"]:focus')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('piece')).toHaveCount(laid + 1);
  await saved(page);

  await press(page, /^To the bench$/);
  await page.waitForURL(/bench$/);
  const progress = page.getByTestId('progress');
  await expect(progress).toContainText(/^0 of/);
  // what has the focus does its own act: nothing is ticked by it
  await tabTo(page, /^Back to the spread$/);
  await page.keyboard.press('Space');
  await expect(progress).toContainText(/^0 of/);
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  const steps = Number(/of (\d+)/.exec(await progress.innerText())![1]);
  // steps that are alike are done by one press
  for (let done = 0; done < steps; done = Number(/^\d+/.exec(await progress.innerText())![0])) {
    await page.keyboard.press('Enter');
    await expect(progress).not.toContainText(new RegExp(`^${done} of`));
  }
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'The keys' })).toContainText('tick the step');
  await page.keyboard.press('Escape');
  expect(complaints).toEqual([]);
});

test.describe('by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('the main job from an empty shelf to the last step', async ({ page, hobnail, complaints }) => {
    await hobnail.emptied();
    await page.goto(hobnail.url);
    await page.getByRole('button', { name: 'From a list' }).tap();
    await page.getByRole('button', { name: 'A mini kit' }).tap();
    await page.getByRole('button', { name: 'Add this kit' }).tap();
    await expect(page.getByRole('img', { name: 'done' })).toHaveCount(2);
    await page.getByRole('link', { name: 'To the agenda' }).tap();
    await page.getByLabel('New item').fill('vet tue 16:30');
    await page.getByRole('button', { name: 'Add', exact: true }).tap();
    await expect(page.getByTestId('added')).toContainText('vet');
    await page.getByRole('link', { name: /to the shelf/ }).tap();
    await page.getByRole('link', { name: /^Plan next week/ }).tap();
    await page.getByRole('button', { name: 'Open it empty' }).first().tap();
    await page.waitForURL(/\/spreads\/\d+$/);
    await page.getByRole('button', { name: 'Arrange the week' }).tap();
    await page.getByTestId('piece').nth(8).waitFor();
    await saved(page);
    await page.getByTestId('piece').and(page.getByLabel(/vet/)).first().tap();
    await page
      .getByRole('button', { name: 'Lay it over the others' })
      .or(page.getByTestId('swap').first())
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Let go' }).tap();
    await page.getByRole('link', { name: 'To the bench' }).tap();
    await page.waitForURL(/bench$/);
    const progress = page.getByTestId('progress');
    const steps = Number(/of (\d+)/.exec(await progress.innerText())![1]);
    // steps that are alike are done by one tap
    for (let done = 0; done < steps; done = Number(/^\d+/.exec(await progress.innerText())![0])) {
      await page.getByRole('button', { name: /^(All \d+ done, next|Done, next|Next)$/ }).tap();
      await expect(progress).not.toContainText(new RegExp(`^${done} of`));
    }
    expect(complaints).toEqual([]);
  });
});
