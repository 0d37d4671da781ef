import type { Sight } from '../../eye/sight';
import { sightOf } from '../../eye/sight';
import { isIdle } from '../../eye/terms/idle-header';
import type { Draft, Stage } from '../../spread/draft';
import { openPlaces } from '../../spread/open-places';
import type { Context } from '../../spread/placement';
import { exchanged } from './exchange';
import type { Weighed } from './weighed';
import { LEAST_GAIN, gainOfWeek, isThere, layGroup, weighedFor, withGroup } from './weighed';

/** Pieces that are added to a week at most. From memory. */
const MOST = 40;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * No blank by accident: what is left on the sheets goes where the eye gains most by it, one piece or cluster after the
 * other, until nothing gains any more; then what lies there is exchanged for what is better beside all the rest.
 */
export const filling: Stage = (before, context) => {
  if (context.ways.deco !== 'spread') return before;
  const draft = before.clone();
  const places = openPlaces(context, draft.placements);
  let sight = sightOf(context, draft.placements);
  const judged = (day: number): Weighed[] => weighedFor(draft, context, { sight, places, day });
  const weighed = DAYS.map(judged);
  const laid: Weighed[] = [];
  for (let n = 0; n < MOST; n++) {
    const best = bestOf(sight, weighed);
    if (!best) break;
    layGroup(draft, best);
    laid.push(best);
    sight = withGroup(sight, best.day, best.group);
    DAYS.forEach((day) => {
      // what stands beside it minds it as well
      if (Math.abs(day - best.day) <= 1) weighed[day] = judged(day);
      else weighed[day] = (weighed[day] as Weighed[]).filter(({ group }) => isThere(draft, group));
    });
  }
  return withoutIdleHeaders(exchanged(before, context, laid), context);
};

/** A header of a lower row, under which nothing came to lie, is taken off again. */
function withoutIdleHeaders(draft: Draft, context: Context): Draft {
  if (!context.ways.keepsRows) return draft;
  const sight = sightOf(context, draft.placements);
  return sight.byDay
    .flatMap((marks, day) =>
      marks.filter((m) => isIdle(m, marks) && m.y > (sight.columns[day]?.y ?? 0) + (sight.columns[day]?.h ?? 0) / 6),
    )
    .reduce((d, { id }) => (id === null || d.kept.has(id) ? d : d.without(id)), draft);
}

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
