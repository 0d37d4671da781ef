import { test, openWeek, arrangeWeek } from './hobnail';
const W = Number(process.env.W ?? 1280), H = Number(process.env.H ?? 800);
test('shots', async ({ page, hobnail }) => {
  test.setTimeout(300000);
  await page.setViewportSize({ width: 1280, height: 800 });
  await openWeek(page, hobnail, /^In 4 weeks/, { kit: 'Night Almanac', book: 'Four-page' });
  await arrangeWeek(page);
  const spread = page.url();
  await page.setViewportSize({ width: W, height: H });
  let n = 0;
  const shot = async () => { await page.waitForTimeout(1800); await page.screenshot({ path: `/tmp/shots/${W}-${String(n++).padStart(2, '0')}.png` }); };
  await page.goto(spread); await page.waitForTimeout(1500); await shot();
  await page.getByTestId('piece').nth(14).focus(); await shot();
  for (const at of ['/week', '/kits', '/books']) { await page.goto(hobnail.url + at); await shot(); }
  await page.goto(spread + '/bench'); await page.getByTestId('progress').waitFor();
  for (let i = 0; i < 200; i++) { if (/^Cut|Trim/.test((await page.getByTestId('say').innerText()))) break; await page.keyboard.press('ArrowRight'); }
  await shot();
});
