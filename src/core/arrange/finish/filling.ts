import { dayColumn } from '../../book/columns';
import { costOfDay, costOfWeek } from '../../eye/registry';
import type { Mark, Sight } from '../../eye/sight';
import { sightOf, withMark } from '../../eye/sight';
import { isIdle } from '../../eye/terms/idle-header';
import { pieceKey } from '../../kit/kit';
import type { Draft, Stage } from '../../spread/draft';
import { freeStretches, keptFree, lengthOf } from '../../spread/free-room';
import { besidePlaces, openPlaces } from '../../spread/open-places';
import type { Context } from '../../spread/placement';
import { whim } from '../../spread/whim';
import { layParts } from '../boxes/lay-parts';
import { FILLERS } from './fillers/registry';
import type { Filler } from './fillers/filler';

/** Pieces that are added to a week at most. From memory. */
const MOST = 40;
/** A piece must be worth this much to the eye to be peeled, and a seed leans this far between two. From memory. */
const LEAST_GAIN = 0.8;
const WHIM = 1.5;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * No blank by accident: what is left on the sheets goes where the eye gains most by it, one piece after the other,
 * until nothing gains any more. Room for what comes up stays (handbook D3, W1).
 */
export const filling: Stage = (before, context) => {
  if (context.ways.deco !== 'spread') return before;
  const draft = before.clone();
  const places = openPlaces(context, draft.placements);
  const fillersOf = (day: number): Filler[] => {
    const column = dayColumn(context.book, day);
    if (!column) return [];
    const of = places.filter((p) => p.day === day);
    const free = besidePlaces(freeStretches(draft, context, day), of, context.options.gap);
    const leaves = (f: Filler): boolean => freeAfter(free, f, context.options.gap) >= keptFree(context, day);
    return FILLERS.flatMap((fill) => fill({ draft, context, day, column, free })).filter(leaves);
  };
  let sight = sightOf(context, draft.placements);
  const judged = (day: number, fillers: readonly Filler[]): Weighed[] => {
    const now = costOfDay(sight, day);
    return fillers.map((filler) => {
      const leaning = whim(context, `${pieceKey(filler.piece)} ${day}`) * WHIM;
      return { filler, day, gain: now - costOfDay(withMark(sight, day, markOf(filler)), day) - filler.cost + leaning };
    });
  };
  const weighed = DAYS.map((day) => judged(day, fillersOf(day)));
  for (let n = 0; n < MOST; n++) {
    const best = bestOf(sight, weighed);
    if (!best) break;
    const { piece, parts } = best.filler;
    if (!layParts(draft, piece, parts, { ...best.filler, dayOf: () => best.day })) break;
    sight = withMark(sight, best.day, markOf(best.filler));
    DAYS.forEach((day) => {
      // what stands beside it minds it as well
      if (Math.abs(day - best.day) <= 1) weighed[day] = judged(day, fillersOf(day));
      else weighed[day] = (weighed[day] as Weighed[]).filter(({ filler }) => draft.ledger.untouched(filler.piece) > 0);
    });
  }
  return withoutIdleHeaders(draft, context);
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

interface Weighed {
  readonly filler: Filler;
  readonly day: number;
  /** what the eye gains on its day */
  readonly gain: number;
}

function bestOf(sight: Sight, weighed: readonly (readonly Weighed[])[]): Weighed | null {
  const now = costOfWeek(sight);
  let [best, most] = [null as Weighed | null, LEAST_GAIN];
  for (const ofDay of weighed) {
    let [first, gain] = [null as Weighed | null, -Infinity];
    for (const w of ofDay) if (w.gain > gain) [first, gain] = [w, w.gain];
    // the week minds how many there are on its halves, not where on the day
    if (first) gain += now - costOfWeek(withMark(sight, first.day, markOf(first.filler)));
    if (gain > most) [best, most] = [first, gain];
  }
  return best;
}

/** The longest free piece of a day's column that is left beside a filler, mm. */
const freeAfter = (free: readonly { from: number; to: number }[], f: Filler, gap: number): number =>
  Math.max(
    0,
    ...free.flatMap((s) =>
      f.y >= s.to || f.y + f.h <= s.from ? [lengthOf(s)] : [f.y - gap - s.from, s.to - f.y - f.h - gap],
    ),
  );

const markOf = ({ piece, x, y, w, h, layer }: Filler): Mark => ({
  id: null,
  x,
  y,
  w,
  h,
  kind: piece.kind,
  design: pieceKey(piece),
  layer,
  written: false,
  isFinish: true,
});
