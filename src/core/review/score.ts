import type { Finding } from './finding';
import { RULES } from './registry';

export interface Score {
  /** 0-100 */
  readonly total: number;
  /** points lost by rule */
  readonly parts: Readonly<Record<string, number>>;
}

/** What a finding costs a spread, of 100 points. */
const POINTS = { stop: 8, fix: 3, look: 0.5 } as const;
/** No rule alone may cost more than this. */
const MOST = 25;

/** A spread's score: 100, less what each rule's findings cost. */
export function scoreOf(findings: readonly Finding[]): Score {
  const parts = Object.fromEntries(
    RULES.map(({ code }) => [
      code,
      -Math.min(
        MOST,
        findings.filter((f) => f.rule === code).reduce((sum, f) => sum + POINTS[f.severity], 0),
      ) + 0,
    ]),
  );
  return { total: Math.max(0, 100 + Object.values(parts).reduce((a, b) => a + b, 0)), parts };
}
