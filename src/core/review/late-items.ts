import { isPlannedAhead } from '../spread/ahead';
import type { Repair } from '../repair/let-in';
import { letIn } from '../repair/let-in';
import type { Demand } from '../week/demand';
import type { View } from './finding';

/** So many items without a place are late ones; more, and the week is still to be arranged. */
const FEW = 3;

const known = new WeakMap<View, ReadonlyMap<Demand, Repair>>();

/**
 * Items without a place that would go into their day as it is laid out, with the fewest moves; the rest cannot, and
 * D5 speaks of them.
 */
export function lateItems(view: View): ReadonlyMap<Demand, Repair> {
  const found = known.get(view) ?? lookedFor(view);
  known.set(view, found);
  return found;
}

function lookedFor(view: View): ReadonlyMap<Demand, Repair> {
  const open = view.unplaced.map((u) => u.demand).filter((d) => isPlannedAhead(d, view.context));
  const laidOut = new Set([...view.carriers.values()].map((p) => p.day));
  if (open.length > FEW) return new Map();
  return new Map(
    open
      .filter((d) => laidOut.has(d.day))
      .flatMap((d) => {
        const repair = letIn(view.context, view.placements, d.key);
        return repair ? [[d, repair] as const] : [];
      }),
  );
}
