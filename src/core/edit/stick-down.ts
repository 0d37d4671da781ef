import type { Context, Placement } from '../spread/placement';
import type { Change } from './change';
import { thingOf } from './thing';

/**
 * Pieces are stuck down at the bench and never moved from then on; or they were not, after all. Null when nothing
 * changes.
 */
export function stickDown(
  context: Pick<Context, 'kit' | 'stash'>,
  placements: readonly Placement[],
  ids: readonly string[],
  down: boolean,
): Change | null {
  const before = placements.filter((p) => ids.includes(p.id) && p.locked !== down);
  const first = before[0];
  if (!first) return null;
  return {
    deed: { do: down ? 'stick down' : 'not stuck', thing: thingOf(context, first) },
    before,
    after: before.map((p) => ({ ...p, locked: down })),
  };
}
