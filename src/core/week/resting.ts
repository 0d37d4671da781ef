import type { Facts } from './facts';
import type { Occurrence } from './occurrences';
import type { Wall } from './recur/wall';
import { DAY_MS, dayNumber } from './recur/wall';

/** An occurrence with what its component says of it. */
export interface Told {
  readonly occurrence: Occurrence;
  readonly facts: Facts;
}

/** Commas part the names of a list, so they do not count within one. */
const plain = (text: string): string =>
  text
    .replace(/[,\s]+/g, ' ')
    .trim()
    .toLowerCase();

/** Leaves out what a quiet period suspends, and what comes only in weeks in which something else happens. */
export function withoutResting<T extends Told>(
  told: readonly T[],
  isChore: (t: Told) => boolean,
  week: { readonly from: Wall; readonly until: Wall },
): T[] {
  const quiet = told.filter((t) => t.facts.quiet.length > 0);
  const inWeek = new Set(
    told
      .filter(({ occurrence: o }) => o.start < week.until && (o.end > week.from || o.start >= week.from))
      .flatMap((t) => [plain(t.occurrence.uid), plain(t.facts.title)]),
  );
  return told.filter((t) => {
    const { onlyWith } = t.facts;
    if (onlyWith && !inWeek.has(plain(onlyWith))) return false;
    return !quiet.some((q) => q !== t && covers(q.occurrence, t.occurrence) && suspends(q.facts.quiet, t, isChore));
  });
}

const covers = (period: Occurrence, o: Occurrence): boolean =>
  dayNumber(o.start) >= dayNumber(period.start) && dayNumber(o.start) * DAY_MS < Math.max(period.end, period.start + 1);

/** A quiet period never touches what comes once, nor birthdays and the like, which come once a year. */
function suspends(quiet: readonly string[], t: Told, isChore: (t: Told) => boolean): boolean {
  if (!t.occurrence.repeated) return false;
  const names = [t.occurrence.uid, t.facts.title, t.facts.list ?? '', t.facts.round ?? ''].map(plain).filter(Boolean);
  return quiet
    .map(plain)
    .some((q) => names.includes(q) || (!t.occurrence.yearly && (q === 'routines' || (q === 'chores' && isChore(t)))));
}
