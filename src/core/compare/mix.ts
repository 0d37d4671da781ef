import type { Deed } from '../edit/deed';
import { isPlannedAhead } from '../spread/ahead';
import { arrange } from '../arrange/arrange';
import { Draft } from '../spread/draft';
import type { Context, Placement } from '../spread/placement';
import { footprint, matchDemands } from '../spread/placement';
import { intersect } from '../measure/rect';
import { letIn } from '../repair/let-in';
import type { Change } from '../edit/change';
import { apply, between } from '../edit/change';

/**
 * A spread put together from several: each day from the one chosen for it, all else from the first. A sticker that
 * two of them use is taken from another copy; where none is left, or where two would touch, the piece is left out,
 * and what is then open is arranged anew.
 * @param sources spreads of one week, book and kit
 * @param from for each day the number of its source
 */
export function mixDays(
  context: Context,
  current: readonly Placement[],
  sources: readonly (readonly Placement[])[],
  from: readonly number[],
  deed: Deed,
): Change {
  const wanted = sources.flatMap((placements, n) =>
    placements.filter((p) => (p.day === null ? n === 0 : from[p.day] === n)),
  );
  const locked = current.filter((p) => p.locked);
  const kept: Placement[] = [...locked];
  const draft = Draft.begin(context, locked);
  let next = 1;
  const used = new Set(locked.map((p) => p.id));
  const leftOut: Placement[] = [];
  for (const p of wanted) {
    if (
      locked.some(
        (q) =>
          q.id === p.id ||
          (q.kit === p.kit &&
            q.code === p.code &&
            q.copy === p.copy &&
            q.page === p.page &&
            q.x === p.x &&
            q.y === p.y),
      )
    )
      continue;
    const piece = draft.pieceOf(p);
    if (!piece) continue;
    const meets = (q: Placement): boolean => q.page === p.page && intersect(footprint(p), footprint(q)) !== null;
    if (kept.some((q) => q.layer === p.layer && meets(q)) || (p.layer > 0 && leftOut.some(meets))) {
      leftOut.push(p);
      continue;
    }
    const same = draft.ledger.note(piece, p) ? p : null;
    const other = same ? null : draft.ledger.take(piece, p.cut);
    if (!same && !other) continue;
    while (used.has(`p${next}`)) next++;
    used.add(`p${next}`);
    kept.push({ ...p, id: `p${next}`, copy: other?.copy ?? p.copy });
  }
  return between(current, lettingIn(context, arrange(context, kept)), deed);
}

/**
 * What the arranging could not place round the chosen days is let in by moving a few of their pieces; a picture makes
 * room before an item stays out.
 */
function lettingIn(context: Context, laid: readonly Placement[]): readonly Placement[] {
  const placed = matchDemands(laid, context.week.demands);
  return context.week.demands
    .filter((d) => !placed.has(d.key) && isPlannedAhead(d, context))
    .reduce((now, d) => {
      for (const without of [null, 'finish', 'box'] as const) {
        const left = now.filter((p) => p.locked || p.day !== d.day || p.role !== without);
        const repair = letIn(context, left, d.key);
        if (repair) return apply(left, repair.change);
      }
      return now;
    }, laid);
}
