import { dayColumn } from '../../book/columns';
import type { Draft, Stage } from '../../spread/draft';
import type { Context, Placement } from '../../spread/placement';
import { footprint, isWriting, matchDemands } from '../../spread/placement';
import type { Demand } from '../../week/demand';
import { adorn, layOver } from '../days/dressing';
import { UNRESERVED } from '../days/reserved';

/**
 * Icons and scripts that were kept back for another item, which in the end had no room for them, go to those that they
 * mean as well and that have.
 */
export const dressLeft: Stage = (before, context) => {
  const draft = before.clone();
  const carriers = matchDemands(draft.placements, context.week.demands);
  for (const demand of context.week.demands) {
    const base = carriers.get(demand.key);
    if (base && isPlain(draft, demand, base)) dress(draft, context, demand, base);
  }
  return draft;
};

/** True for an item alone on an upright base of this week's arranging with nothing else on it. */
function isPlain(draft: Draft, demand: Demand, base: Placement): boolean {
  if (demand.kind === 'band' || base.items.length !== 1 || base.turn !== 0 || isWriting(base)) return false;
  if (draft.kept.has(base.id) || !base.text || draft.pieceOf(base)?.kind === 'checklist') return false;
  return draft.lyingIn(base.page, footprint(base)).every((p) => p.id === base.id);
}

function dress(draft: Draft, context: Context, demand: Demand, base: Placement): void {
  const [piece, column] = [draft.pieceOf(base), dayColumn(context.book, base.day ?? -1)];
  if (!piece || !column || base.day === null) return;
  const at = { page: base.page, day: base.day, column, y: base.y };
  const fitted = { text: base.text as string, size: base.size };
  const { laid, text, size } = adorn(draft, context, demand, piece, fitted, base, at, UNRESERVED);
  if (!laid.length) return;
  draft.rewrite(base.id, { text, size });
  layOver(draft, laid, at);
}
