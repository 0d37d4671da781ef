import type { Context, Placement } from '../src/core/spread/placement';
import { found } from './fixtures';

/** That a rule is silent on one spread and speaks, with a length or a count and a remedy, on another. */
export function speaksOnly(
  rule: string,
  c: Context,
  good: readonly Placement[],
  bad: readonly Placement[],
  says: RegExp,
): void {
  expect(found(rule, c, good)).toEqual([]);
  const findings = found(rule, c, bad);
  expect(findings.map((f) => f.message).join('\n')).toMatch(says);
  for (const f of findings) {
    expect(f.message).toMatch(/\d/);
    expect(f.remedy.length).toBeGreaterThan(8);
  }
}
