/** How long backups are kept: the last five, and the last of each of so many days, weeks and months. */
export const KEPT = { last: 5, days: 7, weeks: 5, months: 12 } as const;

const DAY = 86_400_000;

/**
 * Which backups are kept: of each of the last seven days, five weeks and twelve months that have one the latest, and
 * always the latest five of all. Days, weeks (from Monday) and months are those of UTC.
 * @param made when each was made, ms
 * @returns those that are kept, the latest first
 */
export function keptBackups(made: readonly number[]): number[] {
  const sorted = [...new Set(made)].sort((a, b) => b - a);
  const kept = new Set<number>(sorted.slice(0, KEPT.last));
  const keep = (most: number, periodOf: (at: number) => number | string) => {
    const seen = new Set<number | string>();
    for (const at of sorted) {
      const period = periodOf(at);
      if (seen.has(period)) continue;
      if (seen.size === most) return;
      seen.add(period);
      kept.add(at);
    }
  };
  keep(KEPT.days, (at) => Math.floor(at / DAY));
  keep(KEPT.weeks, (at) => Math.floor((at / DAY + 3) / 7)); // 1970 began on a Thursday
  keep(KEPT.months, (at) => new Date(at).toISOString().slice(0, 7));
  return sorted.filter((at) => kept.has(at));
}
