import { pieceKey } from '../../kit/kit';
import { sightOf } from '../../eye/sight';
import { eyeCost } from '../../eye/registry';
import { intersect } from '../../measure/rect';
import type { Draft } from '../../spread/draft';
import { openPlaces } from '../../spread/open-places';
import type { Context } from '../../spread/placement';
import type { Weighed } from './weighed';
import { PEELED, gainOfWeek, layGroup, weighedFor } from './weighed';

/** Rounds over all that was added, and what an exchange must gain in the eye's points. From memory. */
const ROUNDS = 4;
const LEAST = 0.3;
/** Groups that are gone through in all, at most: a week is laid out while its owner waits. From memory. */
const MOST_TRIED = 36;
/** The week as a whole gains no more by one group. */
const OF_WEEK = 6;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * Each group that was added is taken off in thought, in turn, and the best for its place and its stickers takes its
 * place: another one, the same elsewhere, or nothing. What came first by greed gives way to what suits the rest.
 * @param before the spread without all that was added
 * @param laid what was added, in the order in which it was laid
 */
export function exchanged(before: Draft, context: Context, laid: readonly Weighed[]): Draft {
  const places = openPlaces(context, before.placements);
  const costs = (list: readonly Weighed[]): { draft: Draft; cost: number } => {
    const draft = before.clone();
    for (const w of list) layGroup(draft, w);
    const own = list.reduce((sum, { group }) => sum + group.reduce((n, f) => n + f.cost + PEELED, 0), 0);
    return { draft, cost: eyeCost(sightOf(context, draft.placements)) + own };
  };
  // of a cluster each piece may go by itself
  let list = laid.flatMap((w) => w.group.map((f): Weighed => ({ ...w, group: [f] })));
  let { draft, cost } = costs(list);
  let tries = 0;
  /** days on which something is new since they were gone through */
  let open: ReadonlySet<number> = new Set(DAYS);
  for (let round = 0; round < ROUNDS; round++) {
    const changed = new Set<number>();
    for (const gone of [...list]) {
      if (!list.includes(gone) || !isNearOne(gone.day, open)) continue;
      if (tries++ >= MOST_TRIED) return draft;
      const rest = list.filter((w) => w !== gone && !leansOn(w, gone));
      const without = costs(rest);
      const better = bestInstead(without.draft, context, places, gone, round === 1);
      const next = better ? [...rest, better] : rest;
      const tried = better ? costs(next) : without;
      if (tried.cost > cost - LEAST) continue;
      [list, draft, cost] = [next, tried.draft, tried.cost];
      changed.add(gone.day).add(better?.day ?? gone.day);
    }
    if (!changed.size) break;
    open = changed;
  }
  return draft;
}

const isNearOne = (day: number, days: ReadonlySet<number>): boolean => [day - 1, day, day + 1].some((d) => days.has(d));

/** True for what lies upon another group: it goes with it. */
const leansOn = (w: Weighed, under: Weighed): boolean =>
  w.day === under.day && w.group.some((f) => under.group.some((u) => f.layer > u.layer && intersect(f, u)));

/** The best for a day that lost a group, and for the others with the stickers that are free again. */
function bestInstead(
  draft: Draft,
  context: Context,
  places: ReturnType<typeof openPlaces>,
  gone: Weighed,
  elsewhere: boolean,
): Weighed | null {
  const sight = sightOf(context, draft.placements);
  const freed = new Set(gone.group.filter((f) => draft.ledger.untouched(f.piece) === 1).map((f) => pieceKey(f.piece)));
  let [best, most] = [null as Weighed | null, 0];
  for (const day of DAYS) {
    if (day !== gone.day && !(elsewhere && freed.size)) continue;
    for (const w of weighedFor(draft, context, { sight, places, day })) {
      if (day !== gone.day && !w.group.some((f) => freed.has(pieceKey(f.piece)))) continue;
      if (w.gain <= most - OF_WEEK) continue;
      const gain = w.gain + gainOfWeek(sight, w);
      if (gain > most) [best, most] = [w, gain];
    }
  }
  return best;
}
