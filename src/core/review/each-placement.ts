import type { Context, Placement } from '../spread/placement';
import type { About, Finding, View } from './finding';

/**
 * A check that looks at one placement alone, made once for it: an edit changes few placements, and the review asks
 * after every edit.
 * The check may use what the context says, and nothing of the other placements.
 */
export function eachPlacement<A extends About>(
  check: (view: Pick<View, 'context' | 'pieceOf'>, p: Placement) => readonly Finding<A>[],
): (view: View) => Finding<A>[] {
  const known = new WeakMap<Context, WeakMap<Placement, readonly Finding<A>[]>>();
  return (view) => {
    const ofContext = known.get(view.context) ?? new WeakMap<Placement, readonly Finding<A>[]>();
    known.set(view.context, ofContext);
    return view.placements.flatMap((p) => {
      const found = ofContext.get(p) ?? check(view, p);
      ofContext.set(p, found);
      return found;
    });
  };
}
