import { arrange } from '../arrange/arrange';
import type { Context, Placement } from '../arrange/spread';
import type { Change } from './change';

/** Arranges what is still open round everything that lies there. Null when nothing more can be placed. */
export function arrangeRest(context: Context, placements: readonly Placement[]): Change | null {
  const there = new Set(placements.map((p) => p.id));
  const added = arrange(context, placements).filter((p) => !there.has(p.id));
  return added.length ? { label: placements.length ? 'Arrange the rest' : 'Arrange the week', before: [], after: added } : null;
}

/** Lifts all that is not locked and arranges the week anew. */
export function arrangeAnew(context: Context, placements: readonly Placement[]): Change {
  const locked = placements.filter((p) => p.locked);
  const kept = new Set(locked.map((p) => p.id));
  const lifted = placements.filter((p) => !kept.has(p.id));
  return { label: 'Arrange the week anew', before: lifted, after: arrange(context, locked).filter((p) => !kept.has(p.id)) };
}

/** Lifts all that is not locked. */
export const clear = (placements: readonly Placement[]): Change => ({ label: 'Lift everything', before: placements.filter((p) => !p.locked), after: [] });
