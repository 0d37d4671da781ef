import type { WeekDemands } from '../week/demand';
import type { Placement } from './placement';

/** A laid piece that stands for what the week no longer has: its item was removed, done, moved away or dropped. */
export interface Adrift {
  readonly id: string;
  /** uids of its items that the week does not have */
  readonly gone: readonly string[];
}

/** Pieces whose items the agenda no longer has in this week, in the order they lie. */
export function adriftOf(placements: readonly Placement[], { demands }: Pick<WeekDemands, 'demands'>): Adrift[] {
  const known = new Set(demands.map((d) => d.uid));
  return placements.flatMap((p) => {
    const gone = p.items.filter((uid) => !known.has(uid));
    return gone.length ? [{ id: p.id, gone }] : [];
  });
}
