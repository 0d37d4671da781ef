import { arrange } from '../arrange/arrange';
import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import { isStrip } from '../kit/kinds';
import { pieceKey } from '../kit/kit';
import type { Change } from './change';

/** Arranges what is still open round everything that lies there. Null when nothing more can be placed. */
export function arrangeRest(context: Context, placements: readonly Placement[]): Change | null {
  const there = new Set(placements.map((p) => p.id));
  const added = arrange(context, placements).filter((p) => !there.has(p.id));
  return added.length
    ? { deed: { do: 'arrange', what: placements.length ? 'rest' : 'week' }, before: [], after: added }
    : null;
}

/** Lifts all that is not locked and arranges the week anew. */
export function arrangeAnew(context: Context, placements: readonly Placement[]): Change {
  const locked = placements.filter((p) => p.locked);
  const kept = new Set(locked.map((p) => p.id));
  const lifted = placements.filter((p) => !kept.has(p.id));
  return {
    deed: { do: 'arrange', what: 'anew' },
    before: lifted,
    after: arrange(context, locked).filter((p) => !kept.has(p.id)),
  };
}

/** Lifts all that is not locked. */
export const clear = (placements: readonly Placement[]): Change => ({
  deed: { do: 'lift all' },
  before: placements.filter((p) => !p.locked),
  after: [],
});

/**
 * Lifts what is not locked on one day and arranges that day alone; all other days stay as they are, and what they
 * lack stays open. Bands and boxes over two days stay too.
 * Null when nothing would change.
 */
export function arrangeDay(context: Context, placements: readonly Placement[], day: number): Change | null {
  const pieces = pieceIndex(context);
  const bands = new Set(context.week.demands.filter((d) => d.kind === 'band').map((d) => d.uid));
  const kindOf = (p: Placement) => pieces.get(pieceKey(p))?.kind;
  const ofTheDay = (p: Placement): boolean =>
    p.day === day &&
    kindOf(p) !== 'double-box' &&
    (p.role === 'box' || !isStrip(kindOf(p))) &&
    !p.items.some((uid) => bands.has(uid));
  const lifted = placements.filter((p) => !p.locked && p.role !== 'base' && ofTheDay(p));
  const kept = placements.filter((p) => !lifted.includes(p));
  const there = new Set(kept.map((p) => p.id));
  const ids = new Set(placements.map((p) => p.id));
  const fresh = arrange(context, kept).filter((p) => !there.has(p.id) && ofTheDay(p));
  let next = 1;
  const after = fresh.map((p) => {
    if (!ids.has(p.id)) return p;
    while (ids.has(`p${next}`)) next++;
    ids.add(`p${next}`);
    return { ...p, id: `p${next}` };
  });
  if (!lifted.length && !after.length) return null;
  return { deed: { do: 'arrange day', day }, before: lifted, after };
}
