import type { Context, Placement } from '../spread/placement';
import type { Change } from './change';
import { thingOf } from './thing';
import { stackOf } from './stack';

/**
 * Takes a piece off to be kept for a later week. Null when it is locked, or something lies on it, which would go along.
 */
export function keepForLater(context: Context, placements: readonly Placement[], id: string): Change | null {
  const taken = removePiece(context, placements, id);
  const [p] = taken?.before ?? [];
  if (!taken || !p || taken.before.length > 1) return null;
  return { ...taken, deed: { do: 'keep for later', thing: thingOf(context, p) } };
}

/** Takes a piece off with all that lies on it; its sticker is free again. Null when it is locked. */
export function removePiece(context: Context, placements: readonly Placement[], id: string): Change | null {
  const stack = stackOf(placements, id);
  const base = stack[0];
  if (!base || stack.some((p) => p.locked)) return null;
  return { deed: { do: 'take off', thing: thingOf(context, base) }, before: stack, after: [] };
}
