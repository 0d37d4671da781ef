import { FLATBED, PHONE, scanned } from '../demo/scanner-service/device';
import { madeUpSheet } from '../demo/scanner-service/made-up-sheets';
import { expect } from '@playwright/test';
import { taken } from '../tests/desk/device';
import { deskSheet } from '../tests/desk/sheets';
import { chooseFiles, test } from './hobnail';

const sheet = madeUpSheet('boxes', 3);
const file = async (name: string, knobs = FLATBED) => {
  const { bytes, type } = await scanned(sheet, knobs);
  return { name, mimeType: type, buffer: bytes };
};

test('a sheet is scanned, looked over and stored with its own pictures', async ({ page, hobnail, complaints }) => {
  await page.goto(`${hobnail.url}/kits`);
  await page.getByRole('link', { name: 'Scan a kit' }).click();
  await chooseFiles(page, 'sheet-files', await file('sheet.jpg'));
  const outlines = page.getByTestId('outline');
  await expect(outlines).toHaveCount(sheet.stickers.length, { timeout: 60_000 });

  await page.getByTestId('design').first().click();
  await page.keyboard.press('6');
  await expect(page.getByTestId('design').filter({ hasText: 'label' }).first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('design').filter({ hasText: 'label' })).toHaveCount(0);
  await page.getByTestId('design').last().click();
  await page.getByLabel('Words on it').fill('tide');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('design').filter({ hasText: '“tide”' })).toBeVisible();

  await page.getByRole('button', { name: 'Add this kit' }).click();
  await page.getByLabel('Name of the kit').fill('Shore leave');
  await page.getByRole('button', { name: 'Add it' }).click();
  await page.waitForURL(/\/kits\?kit=/, { timeout: 60_000 });
  await expect(page.getByRole('heading', { name: /Shore leave/ })).toBeVisible();
  await expect(page.getByTestId('on-table')).toHaveCount(sheet.stickers.length);
  const shown = page.locator('image[href^="/pictures/"]');
  await expect(shown).toHaveCount(new Set(sheet.stickers.map((s) => s.design)).size);
  const address = await shown.first().getAttribute('href');
  const picture = await page.request.get(`${hobnail.url}${address}`);
  expect([picture.status(), picture.headers()['content-type']]).toEqual([200, 'image/webp']);
  expect(complaints).toEqual([]);
});

test('a photo without a size asks for it; what is no sheet gets a sentence', async ({ page, hobnail, complaints }) => {
  await page.goto(`${hobnail.url}/scan`);
  const { buffer, ...photo } = await file('photo.png', { ...PHONE, jpeg: 0, dpi: 72 * 2 });
  // a phone names no true resolution: the density chunk says 72
  const told = Buffer.from(buffer);
  const at = told.indexOf('pHYs');
  if (at > 0) told.write('pHYx', at);
  await chooseFiles(page, 'sheet-files', [
    { ...photo, buffer: told },
    { name: 'list.pdf', mimeType: 'image/png', buffer: Buffer.from('%PDF-1.7 and so on') },
    { name: 'half.jpg', mimeType: 'image/jpeg', buffer: (await file('half.jpg')).buffer.subarray(0, 9000) },
  ]);
  await expect(page.getByText('How large is the sheet?')).toBeVisible({ timeout: 60_000 });
  await page.getByLabel('Width, mm').fill(String(sheet.width));
  await page.getByLabel('Height, mm').fill(String(sheet.height));
  await page.getByRole('button', { name: 'Read this sheet' }).click();
  await expect(page.getByTestId('outline')).toHaveCount(sheet.stickers.length, { timeout: 60_000 });
  await page.getByRole('button', { name: /^Sheet 2/ }).click();
  await expect(page.getByText(/list\.pdf, picture: found a PDF, expected a picture of a sheet/)).toBeVisible();
  await page.getByRole('button', { name: /^Sheet 3/ }).click();
  await expect(page.getByText(/half\.jpg, picture: found a file that breaks off/)).toBeVisible();
  expect(complaints).toEqual([]);
});

test('a bank card beside the sheet tells its size; a corner is moved by keys', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/scan`);
  const photo = await file('photo.png', { ...PHONE, jpeg: 0, dpi: 150, card: 1 });
  const told = Buffer.from(photo.buffer);
  told.write('pHYx', told.indexOf('pHYs')); // a phone names no true resolution
  await chooseFiles(page, 'sheet-files', [{ ...photo, buffer: told }]);
  await expect(page.getByRole('radio', { name: 'By a bank card in the picture' })).toBeChecked({ timeout: 60_000 });
  const size = page.getByTestId('told-size');
  const numbers = async () => ((await size.textContent()) ?? '').match(/[\d.]+(?= )/g)?.map(Number) ?? [];
  const [width = 0, height = 0] = await numbers();
  expect(Math.abs(width - sheet.width)).toBeLessThan(0.8);
  expect(Math.abs(height - sheet.height)).toBeLessThan(0.8);

  // a card that is drawn wider makes the sheet look smaller
  await page.getByRole('button', { name: 'Card bottom right' }).focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowRight');
  expect((await numbers())[0]).toBeLessThan(width);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowLeft');
  await page.getByRole('radio', { name: 'By a ruler in the picture' }).check();
  await page.getByRole('spinbutton', { name: 'Ruler 1, mm' }).fill(String(sheet.width));
  await expect(size).toContainText(`So the sheet is ${sheet.width}`);
  await page.getByRole('radio', { name: 'By a bank card in the picture' }).check();
  await page.getByRole('button', { name: 'Read this sheet' }).click();
  await expect(page.getByTestId('outline')).toHaveCount(sheet.stickers.length, { timeout: 60_000 });
  expect(complaints).toEqual([]);
});

test('used-up places go in one press, a size is typed, several are chosen by a frame', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/scan`);
  const { bytes } = await taken(deskSheet('used up, weeded', 2), 'flatbed, white lid');
  await chooseFiles(page, 'sheet-files', { name: 'desk.jpg', mimeType: 'image/jpeg', buffer: bytes });
  const outlines = page.getByTestId('outline');
  await expect(outlines.first()).toBeVisible({ timeout: 60_000 });
  const found = await outlines.count();
  const asked = page.getByText(/places look used up/);
  const used = Number((await asked.textContent())?.match(/^\d+/)?.[0]);
  await page.getByRole('button', { name: 'Remove them' }).click();
  await expect(outlines).toHaveCount(found - used);
  await expect(asked).toHaveCount(0);

  await page.getByTestId('design').first().click();
  await page.getByLabel('Width, mm').fill('36.5');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Width, mm')).toHaveValue('36.5');
  await page.keyboard.press('Escape');

  const sheet = (await page.getByTestId('overlay').boundingBox())!;
  await page.mouse.move(sheet.x + sheet.width / 2, sheet.y + sheet.height - 4);
  await page.mouse.wheel(0, -300);
  await expect(page.getByRole('button', { name: 'Whole sheet' })).toBeEnabled();
  await page.getByRole('button', { name: 'Whole sheet' }).click();
  await page.mouse.move(sheet.x + 3, sheet.y + sheet.height - 3);
  await page.mouse.down();
  await page.mouse.move(sheet.x + sheet.width - 3, sheet.y + 3, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('heading', { name: `${found - used} stickers` })).toBeVisible();

  await page.getByRole('button', { name: 'Corners and size' }).click();
  await expect(page.getByRole('button', { name: 'Read again, without 2 corrections' })).toBeVisible();
  await page.getByRole('button', { name: 'Turn it by 90°' }).click();
  await page.keyboard.press('Escape');
  await expect(outlines).toHaveCount(found - used);
  expect(complaints).toEqual([]);
});

test('a sheet is looked at closely, its sizes are met with what known kits have, and words go one to each', async ({
  page,
  hobnail,
  complaints,
}) => {
  await page.goto(`${hobnail.url}/scan`);
  await chooseFiles(page, 'sheet-files', await file('sheet.jpg'));
  const outlines = page.getByTestId('outline');
  await expect(outlines).toHaveCount(sheet.stickers.length, { timeout: 60_000 });
  const overlay = page.getByTestId('overlay');
  const seen = async () => (await overlay.getAttribute('viewBox'))!.split(' ').map(Number) as [number, number, number];
  const box = (await overlay.boundingBox())!;
  const [midX, midY] = [box.x + box.width / 2, box.y + box.height / 2];

  await page.mouse.move(midX, midY);
  await page.mouse.wheel(0, -300);
  const [left, , width] = await seen();
  expect(width).toBeLessThan(sheet.width);
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await page.mouse.move(midX, midY);
  await page.mouse.down();
  await page.mouse.move(midX + 40, midY, { steps: 4 });
  await page.mouse.up();
  expect((await seen())[0]).toBeLessThan(left);
  await expect(page.getByRole('heading', { name: `${sheet.stickers.length} stickers` })).toBeVisible();
  await page.getByRole('button', { name: 'Whole sheet' }).click();

  // two fingers, going apart
  const fingers = async (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number) =>
    cdp.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [-1, 1].map((side, id) => ({ id, x: midX + side * apart, y: midY })),
    });
  const cdp = await page.context().newCDPSession(page);
  await fingers('touchStart', 30);
  for (const apart of [40, 50, 60]) await fingers('touchMove', apart);
  await fingers('touchEnd', 0);
  await expect.poll(async () => sheet.width / (await seen())[2]).toBeGreaterThan(1.8);
  await page.getByRole('button', { name: 'Whole sheet' }).click();
  await page.keyboard.press('Escape');

  await page.getByTestId('design').first().click();
  await page.getByLabel('Width, mm').fill('38.1');
  await page.keyboard.press('Enter');
  await page.getByLabel('Height, mm').fill('12.7');
  await page.keyboard.press('Enter');
  await page.getByRole('heading', { level: 2 }).first().click();
  const offer = page.getByTestId('offer').first();
  const kind = /^(\D+?)(?: “.*”)? \(q\)$/.exec((await offer.textContent())!)![1]!;
  await page.keyboard.press('q');
  await expect(page.getByTestId('design').filter({ hasText: kind }).first()).toBeVisible();

  await page.getByRole('button', { name: 'All of this size' }).click();
  const chosen = Number(/^\d+/.exec((await page.getByRole('heading', { name: /^\d+ stickers$/ }).textContent())!)![0]);
  const words = Array.from({ length: chosen }, (_, i) => `tide ${i + 1}`);
  await page.getByLabel('Words on it').fill(words.join(', '));
  await page.keyboard.press('Enter');
  for (const word of words) await expect(page.getByTestId('design').filter({ hasText: `“${word}”` })).toHaveCount(1);

  const icon = page.getByRole('combobox', { name: 'Icon' });
  await icon.fill('towels');
  await page.getByRole('option', { name: 'laundry' }).click();
  await expect(icon).toHaveValue('laundry');
  expect(complaints).toEqual([]);
});
