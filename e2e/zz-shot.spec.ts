import { test } from './hobnail';
test('shots', async ({ page, hobnail }) => {
  test.setTimeout(120000);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${hobnail.url}/settings`);
  await page.getByLabel('Hours').click(); await page.getByRole('option', { name: /24 hours/ }).click();
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/s1.png', fullPage: true });
  await page.goto(`${hobnail.url}/agenda`);
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/s2.png' });
  await page.goto(`${hobnail.url}/kits`);
  await page.waitForTimeout(1500);
  await page.screenshot({ path: '/tmp/s3.png' });
});
