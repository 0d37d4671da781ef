import { expect } from '@playwright/test';
import { arrangeWeek, giveUp, openWeek, saved, test, pickOption } from './hobnail';

test('a finding is taken away by one action, another is wanted so and stays so', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const onDays = () => page.locator('[data-role=day]').count();
  const before = await onDays();
  await page.getByRole('button', { name: 'Arrange Tuesday alone' }).click();
  await saved(page);
  expect(Math.abs((await onDays()) - before)).toBeLessThan(6); // the other days are as they were
  const label = page
    .getByTestId('piece')
    .and(page.getByLabel(/^quarter box/))
    .first();
  await label.focus(); // a click might meet the icon that lies on it
  for (let i = 0; i < 9; i++) await page.keyboard.press('ArrowRight');
  await saved(page);
  await page.getByRole('tab', { name: /Findings/ }).click();
  const aside = page
    .getByTestId('findings')
    .locator('[data-rule=F1]')
    .filter({ hasText: /quarter box .*is .* out of its column/ })
    .first();
  await aside.click();
  await page.getByTestId('remedy').first().click();
  await saved(page);
  await expect(aside).toHaveCount(0);
  await expect(page.getByRole('alert').filter({ hasText: /^Move|^Trim|^Swap/ })).toBeVisible();

  const rest = page
    .getByTestId('findings')
    .locator('[data-rule=B1]')
    .filter({ hasText: /^Left page/ });
  await page.getByTestId('ordinary').click();
  await rest.click();
  await page.getByRole('button', { name: 'I want it so' }).click();
  await expect(rest).toHaveCount(0);
  await page.reload();
  await page.getByRole('tab', { name: /Findings/ }).click();
  await expect(rest).toHaveCount(0);
  await page.getByRole('button', { name: /^Wanted so · 1/ }).click();
  await page.getByRole('button', { name: 'Say it again' }).click();
  await page.getByTestId('ordinary').click();
  await expect(rest).toBeVisible();
  await giveUp(page);
  expect(complaints).toEqual([]);
});

test('a late item is let in, a spoiled sticker is replaced on the spread and on the bench, and the stock knows', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 3 weeks/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  const spread = page.url();
  const week = (await page
    .getByRole('link', { name: 'Add or change items in the agenda' })
    .getAttribute('href')) as string;
  await page.goto(`${hobnail.url}${week}`);
  await page.getByLabel('New item').fill('plumber wed 11:00');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('agenda-item').filter({ hasText: 'plumber' })).toBeVisible();
  await page.goto(spread);
  await page.getByRole('button', { name: 'Let it in: plumber' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: /Let “plumber” in: (nothing had to move|\d+ pieces? moved for it)/ }),
  ).toBeVisible();
  await saved(page);
  await expect(page.getByTestId('without-place')).toHaveCount(0);
  await expect(page.getByTestId('fresh').first()).toBeVisible();

  const piece = page
    .getByTestId('piece')
    .and(page.getByLabel(/plumber/))
    .first();
  const which = async () => piece.getAttribute('data-piece');
  const before = await which();
  await piece.click();
  await page.getByRole('button', { name: 'I have none left' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Replace all' })).toBeVisible();
  expect(await which()).not.toBe(before);
  await page.goto(`${spread}/bench`);
  const step = page.getByRole('button', { name: /place the .* date cover/ }).first();
  await expect(async () => {
    await page.getByRole('button', { name: /^Base, left page/ }).click();
    await page.getByRole('button', { name: 'One at a time' }).click({ timeout: 1000 });
    await step.click({ timeout: 1000 });
    await expect(step).toHaveAttribute('aria-current', 'step', { timeout: 1000 });
  }).toPass(); // the first click may come before the page is awake
  await page.getByRole('button', { name: 'Went wrong' }).click();
  await page.getByRole('menuitem', { name: 'Spoiled it' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Replace the spoiled' })).toContainText(
    /steps? (is|are) new or other than before, marked in the list/,
  );
  await page.goto(`${hobnail.url}/kits?kit=rockpool`);
  const spoiled = page.locator('[data-testid=on-table][data-state=spoiled]');
  await expect(spoiled).toHaveCount(1);
  // a mishap is taken back where it was said, and the stock has its sticker again
  await page.goto(spread);
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  await page.goto(`${hobnail.url}/kits?kit=rockpool`);
  await expect(page.getByTestId('on-table').first()).toBeVisible();
  await expect(spoiled).toHaveCount(0);
  expect(complaints).toEqual([]);
});

test('six ways are compared, one is seen large, and a day is taken from another', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 3 weeks/, { kit: 'Rockpool' });
  await page.getByRole('button', { name: 'Other ways' }).click();
  await expect(page.getByRole('region', { name: /^Way \d$/ })).toHaveCount(6);
  await page.getByRole('button', { name: 'The whole week as way 3' }).hover();
  await expect(page.getByRole('img', { name: /^Way 3: / })).toBeVisible();
  await page.getByRole('button', { name: 'More like this, way 3' }).click();
  await page.getByRole('button', { name: 'Back to those before' }).click();
  await expect(page.getByRole('region', { name: /^Way \d$/ })).toHaveCount(6);
  await page.getByRole('button', { name: 'Wed, way 2' }).click();
  await page.mouse.move(5, 5);
  await page.getByRole('img', { name: 'The days put together' }).waitFor();
  await page.getByRole('button', { name: 'Lay it out so, day by day' }).click();
  await page.getByTestId('piece').nth(20).waitFor();
  await saved(page);
  await expect(page.getByTestId('without-place')).toHaveCount(0);
  const laid = await page.getByTestId('piece').count();
  await page
    .getByTestId('piece')
    .and(page.getByLabel(/^full box/))
    .first()
    .focus();
  await page.keyboard.press('Delete');
  // what lies on it goes along
  await expect.poll(() => page.getByTestId('piece').count()).toBeLessThan(laid);
  await saved(page);
  // the past as pictures: one is seen in the book while it is pointed at, and gone back to
  await page.getByRole('button', { name: 'The past, as pictures' }).click();
  const past = page.getByRole('dialog', { name: 'The past' }).getByRole('button');
  await expect(past).toHaveCount(2);
  await past.nth(1).focus();
  await expect(page.getByTestId('piece')).toHaveCount(0);
  await past.nth(1).click();
  await expect(page.getByRole('dialog', { name: 'The past' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await expect(page.getByTestId('piece')).toHaveCount(0);
  await saved(page);
  expect(complaints).toEqual([]);
});

test('a color of the week is changed, places are kept for what is written in later, and what is stuck at the bench stays', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^In 2 weeks/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  await page.getByRole('button', { name: /^Finish/ }).click();
  const left = page.getByTestId('left-on-sheets');
  await left.getByText(/^\d+ stickers?: no bare place takes/).click();
  await expect(left.getByRole('listitem').first()).toBeVisible();
  await page.getByTestId('week-colors').getByRole('button').first().click();
  await page
    .getByRole('menuitem', { name: /of \d+ pieces/ })
    .first()
    .click();
  await expect(
    page.getByRole('alert').filter({ hasText: /^Change .* to .*: \d+ pieces? changed, nothing moved/ }),
  ).toBeVisible();
  await saved(page);
  await expect(page.getByTestId('fresh').first()).toBeVisible();

  await page.getByRole('tab', { name: /Findings/ }).click();
  await page.getByRole('button', { name: /^Base/ }).click();
  const tape = page
    .getByTestId('findings')
    .locator('[data-rule=B1]')
    .filter({ hasText: /^Left page/ });
  await page.getByTestId('ordinary').click();
  await tape.click();
  await page.getByTestId('remedy').filter({ hasText: 'It is whited out' }).click();
  await saved(page);
  await expect(tape).toHaveCount(0);

  await page.goto(`${page.url()}/bench`);
  await page
    .getByTestId('say')
    .filter({ hasText: /White out|Cut|place|lay/ })
    .waitFor();
  await expect(async () => {
    await page.getByRole('button', { name: /^Base, left page/ }).click();
    await page.getByRole('button', { name: 'One at a time' }).click({ timeout: 1000 });
  }).toPass();
  const cover = await page
    .getByRole('button', { name: /: place the .* date cover/ })
    .first()
    .innerText();
  const tick = page.getByRole('checkbox', { name: `Step ${Number.parseInt(cover, 10)} done` });
  await expect(async () => {
    // the page may not be alive yet
    await tick.setChecked(true);
    await expect(tick).toBeChecked();
  }).toPass();
  await page.getByRole('link', { name: 'Back to the spread' }).click();
  await page.getByTestId('piece').nth(20).waitFor();
  const stuck = page
    .getByTestId('piece')
    .and(page.getByLabel(/^date cover.*, locked/))
    .first();
  await stuck.focus();
  const place = await stuck.getAttribute('transform');
  await page.keyboard.press('ArrowDown');
  expect(await stuck.getAttribute('transform')).toBe(place);

  await page.getByRole('button', { name: /^Manner:/ }).click();
  await page.getByRole('button', { name: /^All habits/ }).click();
  await page.getByRole('combobox', { name: 'Planned ahead' }).click();
  await pickOption(page, 'work', true);
  await page.getByRole('combobox', { name: 'Times' }).click();
  await pickOption(page, 'in circles');
  await page.getByRole('button', { name: 'Use it and arrange again' }).click();
  await page.getByRole('tab', { name: /Items/ }).click();
  const later = page.getByTestId('written-later');
  await expect(later).toBeVisible();
  await expect.poll(() => page.locator('.open-place').count()).toBeGreaterThan(5); // it is still being arranged
  await expect(page.getByLabel(/^circle “\d/).first()).toBeAttached();
  await saved(page);
  await later
    .getByRole('button', { name: /^Let it in: / })
    .first()
    .click();
  await expect(page.getByRole('alert').filter({ hasText: /^Let “/ })).toBeVisible();
  await saved(page);
  expect(complaints).toEqual([]);
});
