import { pieceKey } from '../../kit/kit';
import type { Filled, Ground } from './filled';
import { allBut } from './filled';
import type { Weighed } from './weighed';
import { bestForWeek, weighedFor } from './weighed';

/** Rounds over all that was added, and what an exchange must gain in the eye's points. From memory. */
const ROUNDS = 4;
export const LEAST = 0.3;
/** Groups that are gone through in all, at most: a week is laid out while its owner waits. From memory. */
const MOST_TRIED = 20;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * Each piece that was added is taken off in thought, in turn, and the best for its place and its stickers takes its
 * place: another one, the same elsewhere, or nothing. What came first by greed gives way to what suits the rest.
 */
export function exchanged(ground: Ground, laid: Filled): Filled {
  let now = laid;
  let tries = 0;
  /** days on which something is new since they were gone through */
  let open: ReadonlySet<number> = new Set(DAYS);
  for (let round = 0; round < ROUNDS && open.size; round++) {
    const changed = new Set<number>();
    for (const gone of [...now.list]) {
      if (!now.list.includes(gone) || !isNearOne(gone.day, open)) continue;
      if (tries++ >= MOST_TRIED) return now;
      const without = ground.with(allBut(now.list, gone));
      const better = bestInstead(ground, without, gone, round === 1);
      const next = better ? ground.with([...without.list, better]) : without;
      if (next.cost > now.cost - LEAST) continue;
      now = next;
      changed.add(gone.day).add(better?.day ?? gone.day);
    }
    open = changed;
  }
  return now;
}

/** True for a day that is one of some, or beside one. */
export const isNearOne = (day: number, days: ReadonlySet<number>): boolean =>
  [day - 1, day, day + 1].some((d) => days.has(d));

/** The best for a day that lost a piece, and for the others with its sticker that is free again. */
function bestInstead(
  { context, places }: Ground,
  { sight, draft }: Filled,
  gone: Weighed,
  elsewhere: boolean,
): Weighed | null {
  const left = draft();
  const freed = new Set(gone.group.filter((f) => left.ledger.untouched(f.piece) === 1).map((f) => pieceKey(f.piece)));
  const isFreed = (w: Weighed): boolean => w.group.some((f) => freed.has(pieceKey(f.piece)));
  const all = DAYS.flatMap((day) => {
    if (day === gone.day) return weighedFor(left, context, { sight, places, day });
    return elsewhere && freed.size ? weighedFor(left, context, { sight, places, day }).filter(isFreed) : [];
  });
  return bestForWeek(sight, all);
}
