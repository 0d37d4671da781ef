import type { Page } from '@playwright/test';
import { expect } from '@playwright/test';
import { arrangeWeek, openWeek, test } from './hobnail';

/** What can be used is at least so wide, px; a field is no field that holds less than a word. */
const FIELD = 60;

/**
 * What is wrong with a screen as it stands: beside the window and not to be scrolled to, under something else, or too
 * narrow to be typed into.
 */
const faultsOf = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const faults: string[] = [];
    const across = document.documentElement.scrollWidth;
    if (across > innerWidth) faults.push(`the page is ${across} px wide`);
    const usable = 'button, a[href], input:not([hidden]), textarea, [role=tab], [role=combobox]';
    for (const at of document.querySelectorAll<HTMLElement>(usable)) {
      if (!at.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const name = `${at.getAttribute('aria-label') ?? at.textContent ?? ''}`.trim().slice(0, 40) || at.tagName;
      const { left, right, top, bottom, width } = at.getBoundingClientRect();
      if (at.matches('input:not([type=checkbox], [type=radio], [type=color], [type=file], [type=range])'))
        if (width > 1 && width < least) faults.push(`${name}: ${Math.round(width)} px to type into`);
      const [x, y] = [(left + right) / 2, (top + bottom) / 2];
      if (width <= 1 || y < 0 || y > innerHeight) continue;
      if (x < 0 || x > innerWidth) {
        // it is out of reach unless what it stands in scrolls
        let holder = at.parentElement;
        while (holder && !/auto|scroll/.test(getComputedStyle(holder).overflowX)) holder = holder.parentElement;
        if (!holder) faults.push(`${name}: beside the window`);
        continue;
      }
      const there = document.elementFromPoint(x, y);
      const isOwn = there && (at.contains(there) || there.contains(at) || at.closest('label')?.contains(there));
      // what is scrolled out of its own frame is covered by the next one
      let frame = at.parentElement;
      while (frame && !/auto|scroll|hidden/.test(getComputedStyle(frame).overflow)) frame = frame.parentElement;
      const box = frame?.getBoundingClientRect();
      const isShown = !box || (x > box.left && x < box.right && y > box.top && y < box.bottom);
      if (!isOwn && isShown && !there?.closest('nav, header, [role=dialog]'))
        faults.push(`${name}: under ${there?.tagName} ${there?.textContent?.slice(0, 20)}`);
    }
    return faults;
  }, FIELD);

/** What no screen says: dates and weeks as files have them, ids, codes of rules, one of many, shares of 100. */
const UNSAID = [
  /\b\d{4}-\d{2}-\d{2}\b/,
  /\b\d{4}-W\d{2}\b/,
  /\b(?:header|day|sidebar|region)-\d\b/,
  /\b[BCDFKLPRW]\d(?: ?[·:−]| -\d)/,
  /(?<![\d/.,] ?)\b1 (?:items|stickers|pieces|weeks|days|rows|kits|steps|strokes|copies|lists|(?:full|half) boxes)\b/,
  /\b\d+ of 100\b/,
  /\b(?:rect|matte-removable|full-box|undefined|null|NaN)\b/,
];
const unsaidOn = async (page: Page): Promise<string[]> => {
  const text = await page.locator('body').innerText();
  return UNSAID.flatMap((fault) => fault.exec(text)?.[0] ?? []);
};

test('every screen has each act in reach at three widths, and says things as people do', async ({
  page,
  hobnail,
  complaints,
}) => {
  await openWeek(page, hobnail, /^Next week/);
  await arrangeWeek(page);
  const { pathname: spread } = new URL(page.url());
  const screens = ['/', '/week', '/agenda', '/kits', '/books', spread, `${spread}/bench`, `${spread}/share`];
  const make = `/make?spread=${spread.split('/').at(-1)}`;
  for (const [width, height] of [
    [1280, 800],
    [820, 1180],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const screen of [
      ...screens,
      '/log',
      '/log/kits',
      '/settings',
      '/scan',
      make,
      '/plan?week=2027-W08',
      '/plan/gather?week=2027-W08',
    ]) {
      await page.goto(`${hobnail.url}${screen}`);
      await page.getByRole('navigation').first().waitFor();
      await expect(page.getByText('There is no such page'), screen).toHaveCount(0);
      await expect(async () => expect(await faultsOf(page), `${screen} at ${width}`).toEqual([])).toPass({
        timeout: 5000,
      });
      expect(await unsaidOn(page), screen).toEqual([]);
    }
  }
  // what a phone shows first of the agenda is the line to type into
  await page.goto(`${hobnail.url}/agenda`);
  const line = page.getByLabel('New item');
  await expect(line).toBeInViewport({ ratio: 1 });
  expect((await line.boundingBox())!.width).toBeGreaterThan(300);
  await page.getByRole('button', { name: 'The whole month' }).click();
  await expect(page.getByRole('navigation', { name: 'Month' }).getByRole('link', { name: /^Feb 14,/ })).toBeVisible();
  await page.getByRole('button', { name: 'This week alone' }).click();
  await page.getByRole('button', { name: /to settle$/ }).click();
  await expect(page.getByRole('tabpanel', { name: 'To settle' })).toBeInViewport();
  expect(complaints).toEqual([]);
});
