import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { unzipSync } from 'fflate';
import { arrangeWeek, chooseFiles, openWeek, saved, test } from './hobnail';

test('everything is backed up, looked over, and put back', async ({ page, hobnail, complaints }) => {
  await openWeek(page, hobnail, /^Next week/, { kit: 'Rockpool' });
  await arrangeWeek(page);
  await saved(page);
  const count = await page.getByTestId('piece').count();
  await page.goto(`${hobnail.url}/settings`);
  const backups = page.getByRole('region', { name: 'Backups' });
  await expect(backups).toContainText('There is no backup yet.');
  await backups.getByRole('button', { name: 'Back up now' }).click();
  await expect(backups.getByRole('alert').filter({ hasText: 'Backed up and looked over' })).toBeVisible();
  await expect(page.getByTestId('backup')).toHaveCount(1);
  const [copy] = await Promise.all([
    page.waitForEvent('download'),
    backups.getByRole('link', { name: 'Save a copy' }).click(),
  ]);
  const bytes = readFileSync(await copy.path());

  // the week is given up, then everything is put back
  await openWeek(page, hobnail, /^Next week/);
  await page.getByRole('button', { name: 'Start over' }).click();
  await page.getByRole('button', { name: 'Delete this spread' }).click();
  await page.getByRole('heading', { name: 'The weeks ahead' }).waitFor();
  await page.goto(`${hobnail.url}/settings`);
  await backups.getByRole('button', { name: 'Put it back…' }).click();
  const asked = page.getByRole('dialog', { name: /^Put everything back/ });
  await expect(asked).toContainText('Now');
  await asked.getByRole('button', { name: 'Put it back' }).click();
  await expect(backups.getByRole('alert').filter({ hasText: 'as it was then' })).toBeVisible();
  await expect(page.getByTestId('backup')).toHaveCount(2);
  await openWeek(page, hobnail, /^Next week/);
  await expect(page.getByTestId('piece')).toHaveCount(count);

  // one that was kept elsewhere, whole and broken off
  await page.goto(`${hobnail.url}/settings`);
  await chooseFiles(page, 'backup-file', {
    name: 'half.zip',
    mimeType: 'application/zip',
    buffer: bytes.subarray(0, bytes.length >> 1),
  });
  await expect(backups.getByRole('alert').filter({ hasText: 'half.zip, backup: found it breaks off' })).toBeVisible();
  await chooseFiles(page, 'backup-file', { name: 'whole.zip', mimeType: 'application/zip', buffer: bytes });
  await expect(asked).toContainText('Then');
  await asked.getByRole('button', { name: 'Cancel' }).click();
  await expect(backups.getByRole('alert').filter({ hasText: 'It is whole' })).toBeVisible();
  expect(complaints).toEqual([]);
});

test('everything is exported in open formats, and imported it is there again', async ({ page, hobnail }) => {
  await page.goto(`${hobnail.url}/settings`);
  const backups = page.getByRole('region', { name: 'Backups' });
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    backups.getByRole('link', { name: 'Export everything' }).click(),
  ]);
  const bytes = readFileSync(await file.path());
  const names = Object.keys(unzipSync(new Uint8Array(bytes)));
  expect(names.filter((n) => /^weeks\/.*\/spread\.png$/.test(n))).toHaveLength(2);
  await hobnail.emptied();
  await page.goto(`${hobnail.url}/settings`);
  await chooseFiles(page, 'backup-file', { name: 'all.export.zip', mimeType: 'application/zip', buffer: bytes });
  // it leads to what a file is brought for
  await page.getByRole('dialog').getByRole('button', { name: 'Put it back' }).click();
  await expect(backups.getByRole('alert').filter({ hasText: 'as it was then' })).toBeVisible();
  await page.goto(`${hobnail.url}/log`);
  await expect(page.getByTestId('log-entry')).toHaveCount(2);
});
