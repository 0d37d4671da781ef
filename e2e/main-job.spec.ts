import { expect } from '@playwright/test';
import { arrangeWeek, choosePiece, openWeek, saved, test } from './hobnail';

test('the main job: open the coming week, arrange it, move a piece, undo, reload, go to the bench, print', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await expect(page.getByTestId('without-place')).toContainText('dentist');
  await arrangeWeek(page);
  await expect(page.getByTestId('without-place')).toHaveCount(0);
  await expect(page.getByRole('tab', { name: /^Items · \d+$/ })).toBeVisible();

  const vet = page.getByTestId('piece').and(page.getByLabel(/vet, Juniper/));
  const place = () => vet.getAttribute('transform');
  const before = await place();
  await choosePiece(vet);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await saved(page);
  const moved = await place();
  expect(moved).not.toBe(before);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(vet).toHaveAttribute('transform', before as string);
  await page.keyboard.press('Control+y');
  await page.keyboard.press('Control+y');
  await expect(vet).toHaveAttribute('transform', moved as string);
  await saved(page);

  const count = await page.getByTestId('piece').count();
  await page.reload();
  await expect(page.getByTestId('piece')).toHaveCount(count);
  await expect(vet).toHaveAttribute('transform', moved as string);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();

  await page.getByRole('link', { name: 'To the bench' }).click();
  await expect(page.getByTestId('say')).toContainText('White out');
  await expect(page.getByRole('note')).toContainText('flammable');
  await page.keyboard.press('Space');
  await page.getByRole('checkbox', { name: /^White-out, right page: all/ }).check();
  await expect(page.getByTestId('progress')).toHaveText(/^2 of \d+ steps done$/);
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('progress')).toHaveText(/^2 of \d+ steps done$/);

  const print = await page.request.get(
    `${hobnail.url}${await page.getByRole('link', { name: 'Print at 100 %' }).getAttribute('href')}`,
  );
  expect(print.headers()['content-type']).toBe('application/pdf');
  expect((await print.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.goto(hobnail.url);
  await expect(page.getByRole('region', { name: /^Next week/ })).toContainText('laid out');
  expect(complaints).toEqual([]);
});

test('by hand: drag, swap, write, take off, place from the sheet, lock', async ({ page, hobnail, complaints }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const pieces = page.getByTestId('piece');
  const laundry = pieces.and(page.getByLabel(/little “laundry”/)).first();
  const box = (await laundry.boundingBox())!;
  const from = await laundry.getAttribute('transform');
  await page.mouse.move(box.x + 20, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 24, box.y + 40, { steps: 6 });
  await page.mouse.up();
  await saved(page);
  expect(await laundry.getAttribute('transform')).not.toBe(from);
  expect(/translate\(([\d.]+)/.exec((await laundry.getAttribute('transform'))!)?.[1]).toBe(
    /translate\(([\d.]+)/.exec(from!)?.[1],
  );
  await page.keyboard.press('Control+z');
  await expect(laundry).toHaveAttribute('transform', from!);

  const chosen = pieces.and(page.getByLabel(/^header “today”/)).first();
  await chosen.click();
  const code = await chosen.getAttribute('data-piece');
  const swap = page.getByTestId('swap').first();
  await expect(swap).toHaveAccessibleName(/^Swap for .* header.*, \d+ left$/);
  const other = await swap.locator('title').textContent(); // its code shows on hover
  // a finger that rests on an offer sees it in the book; lifted, it has taken nothing
  const own = pieces.and(page.locator('[aria-pressed="true"]'));
  const before = await own.getAttribute('data-piece');
  const finger = { pointerType: 'touch', isPrimary: true, bubbles: true };
  await swap.dispatchEvent('pointerdown', finger);
  await expect(own).not.toHaveAttribute('data-piece', before!);
  await swap.dispatchEvent('pointerup', finger);
  await swap.dispatchEvent('click');
  await expect(own).toHaveAttribute('data-piece', before!);
  await swap.click();
  await saved(page);
  const swapped = await pieces.and(page.locator('[aria-pressed="true"]')).getAttribute('data-piece');
  expect(swapped!.split('/')[1]).toBe(other);
  expect(await pieces.and(page.locator('[aria-pressed="true"]')).getAttribute('data-piece')).not.toBe(code);

  await choosePiece(pieces.and(page.getByLabel(/vet, Juniper/)));
  await page.getByLabel(/Written with/).fill('vet, bring papers');
  await page.getByLabel(/Written with/).press('Enter');
  await expect(pieces.and(page.getByLabel(/vet, bring papers/))).toBeVisible();
  await page.getByRole('button', { name: 'Lock' }).click();
  await expect(page.getByRole('button', { name: 'Take off' })).toBeDisabled();
  await page.getByRole('button', { name: 'Unlock' }).click();
  const count = await pieces.count();
  await page.getByRole('button', { name: 'Take off' }).click();
  await saved(page);
  expect(await pieces.count()).toBeLessThan(count);
  await expect(page.getByTestId('without-place')).toContainText('vet, Juniper');
  await page.getByRole('tab', { name: /Findings/ }).click();
  await page
    .getByTestId('findings')
    .getByRole('button', { name: /would not work/ })
    .first()
    .click();
  await expect(page.locator('[data-testid="board"] animate')).toHaveCount(1);
  await page.getByRole('button', { name: 'Place what’s left' }).click();
  await expect(page.getByTestId('findings').getByRole('button', { name: /would not work/ })).toHaveCount(0);

  await page.getByRole('tab', { name: 'Sheets' }).click();
  await page.getByLabel('Search the stickers').fill('flag');
  await page.getByTestId('free-sticker').first().click();
  const spots = page.getByTestId('spot');
  await expect(spots.first()).toBeVisible();
  const now = await pieces.count();
  await spots.first().focus();
  await page.keyboard.press('Enter');
  await saved(page);
  await expect(pieces).toHaveCount(now + 1);
  expect(complaints).toEqual([]);
});

test('what was shown as saved survives a kill -9', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const box = page.locator('[data-role="box"]').first();
  await choosePiece(box);
  const before = await box.getAttribute('transform');
  await page.keyboard.press('ArrowRight');
  await saved(page);
  const moved = await box.getAttribute('transform');
  expect(moved).not.toBe(before);
  await hobnail.kill();
  await hobnail.start();
  await openWeek(page, hobnail, /^Next week/);
  await expect(page.locator('[data-role="box"]').first()).toHaveAttribute('transform', moved!);
  await hobnail.kill();
  await choosePiece(page.locator('[data-role="box"]').first());
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('saved')).toHaveText('not saved yet: the server is away');
});
