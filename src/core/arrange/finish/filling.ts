import type { Sight } from '../../eye/sight';
import { sightOf } from '../../eye/sight';
import { isIdle } from '../../eye/terms/idle-header';
import type { Draft, Stage } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { exchanged } from './exchange';
import type { Filled, Ground } from './filled';
import { groundOf, settled } from './filled';
import { polished } from './polish';
import type { Weighed } from './weighed';
import { LEAST_GAIN, gainOfWeek, isThere, layGroup, weighedFor, withDesigns, withGroup } from './weighed';

/** Pieces that are added to a week at most. From memory. */
const MOST = 40;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * No blank by accident: what is left on the sheets goes where the eye gains most by it, one piece or cluster after the
 * other, until nothing gains any more; then what lies there is exchanged for what is better beside all the rest. Where
 * a header came to head nothing, it goes, and its place is filled as well.
 */
export const filling: Stage = (before, context) => {
  if (context.ways.deco !== 'spread') return before;
  const ground = groundOf(before, context);
  const filled = polished(ground, exchanged(ground, ground.with(addedTo(ground, ground.with([])))));
  const idle = idleHeaders(filled.draft(), context);
  if (!idle.length) return settled(ground, filled).draft();
  const left = withoutAll(before, idle);
  const under = groundOf(left, context);
  const again = settled(under, refilled(under, filled.list)).draft();
  return withoutAll(again, idleHeaders(again, context));
};

/** The places of what was taken off are filled too. */
function refilled(ground: Ground, list: readonly Weighed[]): Filled {
  const laid = ground.with(list);
  return polished(ground, ground.with([...list, ...addedTo(ground, laid)]));
}

/** What is laid where the eye gains most by it, the best first. */
function addedTo({ context, places }: Ground, start: Filled): Weighed[] {
  const draft = start.draft().clone();
  let { sight } = start;
  const weighed = DAYS.map((day) => weighedFor(draft, context, { sight, places, day }));
  const laid: Weighed[] = [];
  for (let n = 0; n < MOST; n++) {
    const best = bestOf(sight, weighed);
    if (!best) break;
    layGroup(draft, best);
    laid.push(best);
    sight = withGroup(sight, best.day, best.group);
    for (const day of DAYS) {
      const open = { sight, places, day };
      const left = (weighed[day] as Weighed[]).filter(({ group }) => isThere(draft, group));
      const isBeside = Math.abs(day - best.day) === 1;
      // what stands beside it minds it as well, and no full box comes beside one like it (handbook C3)
      if (day === best.day || (isBeside && hasFullBox(best))) weighed[day] = weighedFor(draft, context, open);
      else if (isBeside) weighed[day] = withDesigns(left, sight, day);
      else weighed[day] = left;
    }
  }
  return laid;
}

const hasFullBox = ({ group }: Weighed): boolean => group.some((f) => f.piece.kind === 'full-box');

/** Headers under which nothing came to lie. */
function idleHeaders(draft: Draft, context: Context): string[] {
  const { byDay } = sightOf(context, draft.placements);
  return byDay.flatMap((marks) =>
    marks.flatMap((m) => (m.id !== null && !draft.kept.has(m.id) && !m.written && isIdle(m, marks) ? [m.id] : [])),
  );
}

const withoutAll = (draft: Draft, ids: readonly string[]): Draft => ids.reduce((d, id) => d.without(id), draft);

function bestOf(sight: Sight, weighed: readonly (readonly Weighed[])[]): Weighed | null {
  let [best, most] = [null as Weighed | null, LEAST_GAIN];
  for (const ofDay of weighed) {
    let [first, gain] = [null as Weighed | null, -Infinity];
    for (const w of ofDay) if (w.gain > gain) [first, gain] = [w, w.gain];
    // the week minds how many there are on its halves, not where on the day
    if (first) gain += gainOfWeek(sight, first);
    if (gain > most) [best, most] = [first, gain];
  }
  return best;
}
