import type { Placement } from '../spread/placement';
import type { Change } from './change';
import { applies, apply, between } from './change';
import type { Deed } from './deed';

/** A state that the spread was in: as it was before a deed. */
export interface PastState {
  readonly before: Deed;
  readonly placements: readonly Placement[];
  /** all that leads back to it from now */
  readonly change: Change;
}

/** The states that undo leads back through, the latest first, as far as they can be told from what lies there. */
export function statesBack(now: readonly Placement[], changes: readonly Change[]): PastState[] {
  const states: PastState[] = [];
  let placements = now;
  for (const change of changes) {
    if (!applies(placements, change)) break;
    placements = apply(placements, change);
    states.push({ before: change.deed, placements, change: between(now, placements, change.deed) });
  }
  return states;
}
