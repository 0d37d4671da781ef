import { test, openWeek, saved } from './hobnail';

/** shoots and measures: what is beside the window, what is small */
test('all screens at three widths', async ({ page, hobnail }) => {
  test.setTimeout(900_000);
  await page.setViewportSize({ width: 1280, height: 800 });
  await openWeek(page, hobnail, /^Next week/);
  if (await page.getByRole('button', { name: 'Arrange the week' }).count()) {
    await page.getByRole('button', { name: 'Arrange the week' }).click();
    await page.getByTestId('piece').nth(20).waitFor();
    await saved(page);
  }
  const id = /spreads\/(\d+)/.exec(page.url())![1];
  const only = process.env.ONLY?.split(',');
  const screens: [string, string][] = [
    ['shelf', '/'],
    ['week', '/week'],
    ['agenda', '/agenda'],
    ['kits', '/kits'],
    ['books', '/books'],
    ['spread', `/spreads/${id}`],
    ['bench', `/spreads/${id}/bench`],
    ['finish', `/spreads/${id}/finish`],
    ['log', '/log'],
    ['log-kits', '/log/kits'],
    ['settings', '/settings'],
    ['scan', '/scan'],
    ['make', '/make'],
    ['leftovers', '/leftovers'],
    ['years', '/log/years'],
  ];
  for (const [w, h] of [
    [1280, 800],
    [820, 1180],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width: w, height: h });
    for (const [name, at] of screens) {
      if (only && !only.includes(name)) continue;
      await page.goto(`${hobnail.url}${at}`);
      await page.waitForTimeout(1200);
      const wrong = await page.evaluate(() => {
        const out: string[] = [];
        const W = window.innerWidth;
        if (document.documentElement.scrollWidth > W) {
          out.push(`page ${document.documentElement.scrollWidth} wide`);
          for (const el of document.querySelectorAll<HTMLElement>('body *')) {
            const r = el.getBoundingClientRect();
            if (r.right > W + 1 && r.width) {
              let c: HTMLElement | null = el.parentElement,
                clip = false;
              while (c) {
                if (getComputedStyle(c).overflowX !== 'visible') clip = true;
                c = c.parentElement;
              }
              if (!clip)
                out.push(
                  `clipped by none: ${el.tagName} ${el.className.toString().slice(0, 40)} ${(el.textContent ?? '').slice(0, 30)} ${Math.round(r.left)}-${Math.round(r.right)}`,
                );
            }
          }
        }
        for (const el of document.querySelectorAll<HTMLElement>(
          'button, a, input, select, textarea, [role=tab], [role=checkbox], [role=combobox]',
        )) {
          const r = el.getBoundingClientRect();
          if (!r.width || getComputedStyle(el).visibility === 'hidden' || el.closest('[aria-hidden=true]')) continue;
          const label = (el.getAttribute('aria-label') || el.textContent || el.getAttribute('name') || el.tagName)
            .trim()
            .slice(0, 40);
          let clip: HTMLElement | null = el.parentElement,
            hidden = false;
          while (clip) {
            const o = getComputedStyle(clip).overflowX;
            const c = clip.getBoundingClientRect();
            if ((o === 'auto' || o === 'scroll') && r.right > c.right + 1) hidden = true;
            clip = clip.parentElement;
          }
          if (r.right > W + 1 || r.left < -1)
            out.push(`${hidden ? 'scrolled ' : 'BESIDE '}${label} ${Math.round(r.left)}–${Math.round(r.right)}`);
          if (
            el.tagName === 'INPUT' &&
            (el as HTMLInputElement).type !== 'checkbox' &&
            (el as HTMLInputElement).type !== 'radio' &&
            (el as HTMLInputElement).type !== 'color' &&
            r.width < 60 &&
            r.width > 2
          )
            out.push(`narrow input ${label} ${Math.round(r.width)}`);
        }
        return out;
      });
      console.log(`== ${name} ${w}: ${wrong.join(' | ') || 'ok'}`);
      await page.screenshot({ path: `/tmp/shots/${name}-${w}.png` });
    }
  }
});
