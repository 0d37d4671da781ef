import type { Finding } from './finding';

/**
 * Names a finding, so that it stays waved through as long as it is the same; another millimeter makes it another one.
 */
export const findingKey = (f: Pick<Finding, 'rule' | 'message'>): string => `${f.rule}: ${f.message}`;

/** Findings that still count, and those that their owner wants so. */
export function parted(findings: readonly Finding[], waved: readonly string[]): { open: Finding[]; waved: Finding[] } {
  const keys = new Set(waved);
  return {
    open: findings.filter((f) => !keys.has(findingKey(f))),
    waved: findings.filter((f) => keys.has(findingKey(f))),
  };
}
