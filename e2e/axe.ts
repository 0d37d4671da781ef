import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const source = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

interface Axe {
  run: (
    within: string,
    options: unknown,
  ) => Promise<{
    violations: { id: string; impact: string; nodes: { target: string[] }[] }[];
  }>;
}

/**
 * The serious faults that axe finds on what is shown, small targets (WCAG 2.2) too: rule, and where it is.
 * @param within the part that came, where the rest was looked at before
 */
export async function seriousFaults(page: Page, within = 'html'): Promise<string[]> {
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(400); // what fades in is of no contrast meanwhile
  await page.evaluate(source);
  return page.evaluate(async (part) => {
    const { axe } = window as unknown as { axe: Axe };
    const { violations } = await axe.run(part, {
      rules: { 'target-size': { enabled: true } },
      resultTypes: ['violations'],
    });
    return violations
      .filter((v) => ['serious', 'critical'].includes(v.impact))
      .map(
        (v) =>
          `${v.id}: ${v.nodes
            .slice(0, 3)
            .map((n) => n.target.join(' '))
            .join(', ')}`,
      );
  }, within);
}
