import type { Deed } from './deed';
import type { Placement } from '../spread/placement';

/** One edit of a spread, as data: what lay there, and what lies there instead. Placements are told apart by id. */
export interface Change {
  /** what is done, as data */
  readonly deed: Deed;
  readonly before: readonly Placement[];
  readonly after: readonly Placement[];
}

/** The edit that takes this one back. */
export const invert = (change: Change): Change => ({ ...change, before: change.after, after: change.before });

/** True when the spread is in the state that the edit was made for. */
export const applies = (placements: readonly Placement[], change: Change): boolean => {
  const there = new Map(placements.map((p) => [p.id, p]));
  const replaced = new Set(change.before.map((p) => p.id));
  return (
    change.before.every((p) => same(there.get(p.id), p)) &&
    change.after.every((p) => replaced.has(p.id) || !there.has(p.id))
  );
};

/**
 * The spread after the edit; untouched placements keep their order.
 * @throws RangeError when the spread is not in the state the edit was made for
 * @example apply(placements, movePiece(context, placements, id, target))
 */
export function apply(placements: readonly Placement[], change: Change): Placement[] {
  if (!applies(placements, change))
    throw new RangeError(`the spread has changed: the edit “${change.deed.do}” does not fit it any more`);
  const after = new Map(change.after.map((p) => [p.id, p]));
  const gone = new Set(change.before.map((p) => p.id));
  const kept = placements.flatMap((p) => {
    const next = after.get(p.id);
    after.delete(p.id);
    return next ?? (gone.has(p.id) ? [] : p);
  });
  return [...kept, ...after.values()];
}

/** By what the edit knows of a placement: one that was stored before a field was added is still the same. */
const same = (a: Placement | undefined, b: Placement): boolean => {
  if (a === undefined) return false;
  const now = new Map<string, unknown>(Object.entries(a));
  return Object.entries(b).every(([field, value]) => canonical(now.get(field)) === canonical(value));
};

/** Keys in one order, so that what is read back from elsewhere compares equal. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );

/** The edit that leads from one state of a spread to another. */
export function between(before: readonly Placement[], after: readonly Placement[], deed: Deed): Change {
  const old = new Map(before.map((p) => [p.id, p]));
  const now = new Map(after.map((p) => [p.id, p]));
  const differs = (p: Placement): boolean => JSON.stringify(old.get(p.id)) !== JSON.stringify(now.get(p.id));
  return { deed, before: before.filter(differs), after: after.filter(differs) };
}
