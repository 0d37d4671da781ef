import type { Placement } from '../spread/placement';

/** One edit of a spread, as data: what lay there, and what lies there instead. Placements are told apart by id. */
export interface Change {
  /** what was done, for undo and redo: `Move header HD-1` */
  readonly label: string;
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
 */
export function apply(placements: readonly Placement[], change: Change): Placement[] {
  if (!applies(placements, change))
    throw new RangeError(`the spread has changed: “${change.label}” does not fit it any more`);
  const after = new Map(change.after.map((p) => [p.id, p]));
  const gone = new Set(change.before.map((p) => p.id));
  const kept = placements.flatMap((p) => {
    const next = after.get(p.id);
    after.delete(p.id);
    return next ?? (gone.has(p.id) ? [] : p);
  });
  return [...kept, ...after.values()];
}

const same = (a: Placement | undefined, b: Placement): boolean => a !== undefined && canonical(a) === canonical(b);

/** Keys in one order, so that a placement read back from elsewhere compares equal. */
const canonical = (p: Placement): string =>
  JSON.stringify(p, (_, value: unknown) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
