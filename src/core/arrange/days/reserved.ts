import { difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import type { Demand, DemandKind } from '../../week/demand';
import { meaningsOf } from '../../week/meaning';
import { isPlannedAhead } from '../../spread/ahead';
import { FOREIGN, piecesOf, strangeness } from '../../spread/choose';
import type { Draft } from '../../spread/draft';
import { shareOut } from '../exact/share-out';
import type { Context } from '../../spread/placement';
import { matchDemands } from '../../spread/placement';

/** How much an icon or a script matters on an item of its kind: a fixed time must be found first. From memory. */
const MATTERS: Readonly<Record<DemandKind, number>> = {
  appointment: 6,
  deadline: 6,
  occasion: 6,
  reminder: 4,
  chore: 4,
  'to-do': 2.5,
  band: 0,
};

/** How well an icon says what an item is about: 0 best; null where it says something else. */
export function iconRank(demand: Demand, icon: Piece): number | null {
  const rank = meaningsOf(demand.title, demand.categories).indexOf(icon.icon);
  return rank < 0 ? null : rank;
}

/** How well a script's words fit an item: 0 its own words, 1 its meaning; null where they say something else. */
export function scriptRank(demand: Demand, script: Piece): number | null {
  const words = script.words.toLowerCase();
  if (words === '') return null;
  if (` ${demand.title.toLowerCase()} `.includes(` ${words} `)) return 0;
  return meaningsOf(demand.title, demand.categories)[0] === words ? 1 : null;
}

/** Letters that differ less than this from what they lie on are not read (CIEDE2000). From memory. */
const READ = 20;

/** True where a script's letters show on what they lie on. */
export const showsOn = (script: Pick<Piece, 'color'>, ground: Pick<Piece, 'color'>): boolean =>
  difference(script.color, ground.color) >= READ;

/** Who may have an icon or a script, while others still wait for theirs. */
export interface Reserved {
  readonly mayTake: (draft: Draft, demand: Demand, piece: Piece) => boolean;
}

/** A single item takes what there is. */
export const UNRESERVED: Reserved = { mayTake: () => true };

/**
 * Icons and scripts of the whole week shared out before any day is dressed: the last one goes where it matters most,
 * whichever day comes first.
 */
export function reserve(before: Draft, context: Context): Reserved {
  const placed = matchDemands(before.placements, context.week.demands);
  const takers = context.week.demands.filter(
    (d) => d.kind !== 'band' && d.list === null && !placed.has(d.key) && isPlannedAhead(d, context),
  );
  const keepers = new Map<Piece, Set<string>>();
  for (const [kind, rankOf] of [
    ['icon', iconRank],
    ['script', scriptRank],
  ] as const) {
    const pieces = piecesOf(context, kind).filter(
      (p) => before.ledger.untouched(p) > 0 && strangeness(p, context) <= FOREIGN,
    );
    const wishes = takers.map((d) =>
      pieces.flatMap((p, thing) => {
        const rank = rankOf(d, p);
        return rank === null
          ? []
          : [{ thing, value: Math.max(0.1, MATTERS[d.kind] - rank - strangeness(p, context) / FOREIGN) }];
      }),
    );
    shareOut(
      wishes,
      pieces.map((p) => before.ledger.untouched(p)),
    ).forEach((thing, i) => {
      const piece = thing === null ? undefined : pieces[thing];
      if (piece) keepers.set(piece, (keepers.get(piece) ?? new Set()).add((takers[i] as Demand).key));
    });
  }
  return {
    mayTake(draft, demand, piece) {
      const keys = keepers.get(piece);
      if (!keys || keys.has(demand.key)) return true;
      const taken = before.ledger.untouched(piece) - draft.ledger.untouched(piece);
      return draft.ledger.untouched(piece) > Math.max(0, keys.size - taken);
    },
  };
}
