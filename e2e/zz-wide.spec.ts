import { test, openWeek, arrangeWeek } from './hobnail';
test('wide', async ({ page, hobnail }) => {
  await openWeek(page, hobnail, /^Next week/);
  await arrangeWeek(page);
  const { pathname } = new URL(page.url());
  for (const w of [820, 390]) {
    await page.setViewportSize({ width: w, height: 1180 });
    await page.goto(`${hobnail.url}${pathname}/bench`);
    await page.getByTestId('say').waitFor();
    await page.waitForTimeout(800);
    console.log(
      await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('body *')]
          .filter((e) => e.getBoundingClientRect().right > innerWidth + 1)
          .map(
            (e) =>
              `${e.tagName} ${e.getAttribute('aria-label') ?? ''} ${getComputedStyle(e).position} ${(e.textContent ?? '').slice(0, 25)} ${Math.round(e.getBoundingClientRect().left)}-${Math.round(e.getBoundingClientRect().right)} <${e.parentElement?.getAttribute('aria-label') ?? e.parentElement?.className.toString().slice(0, 30)}`,
          )
          .slice(0, 15)
          .join('\n'),
      ),
    );
    await page.screenshot({ path: `/tmp/shots/bench-${w}.png` });
  }
});
