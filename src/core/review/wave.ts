import type { Finding } from './finding';

/**
 * Names a finding by what it is about, so that it stays waved through in other words, in other units, and while it
 * differs by less than a millimeter. What is about days or items is named by these; what is not, by its stickers.
 * @example waved.has(findingKey(finding))
 */
export function findingKey({ rule, about, placements }: Pick<Finding, 'rule' | 'about' | 'placements'>): string {
  const { is, days, demands, pieces, kit, kind, section, side, mm } = about;
  const subject = (days ?? demands) ? null : [...placements].sort();
  const parts = [rule, is, days, demands, pieces, kit, kind, section, side, mm === undefined ? mm : Math.round(mm)];
  return JSON.stringify([...parts.map((part) => part ?? null), subject]);
}

/** Findings that still count, and those that their owner wants so. */
export function parted(findings: readonly Finding[], waved: readonly string[]): { open: Finding[]; waved: Finding[] } {
  const keys = new Set(waved);
  return {
    open: findings.filter((f) => !keys.has(findingKey(f))),
    waved: findings.filter((f) => keys.has(findingKey(f))),
  };
}
