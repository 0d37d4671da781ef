import { dayColumn } from '../../book/columns';
import { costOfDay, costOfDesigns, costOfPlaces, costOfWeek } from '../../eye/registry';
import type { Mark, Sight } from '../../eye/sight';
import { looksOf, withMarks } from '../../eye/sight';
import { pieceKey } from '../../kit/kit';
import { bounds } from '../../measure/rect';
import type { Draft } from '../../spread/draft';
import { freeBeside, freeStretches, keptFree } from '../../spread/free-room';
import type { OpenPlace } from '../../spread/open-places';
import { besidePlaces } from '../../spread/open-places';
import type { Context } from '../../spread/placement';
import { whim } from '../../spread/whim';
import { layParts } from '../boxes/lay-parts';
import type { Fill, Filler, Group } from './fillers/filler';
import { FILLERS } from './fillers/registry';
import { restDays } from '../../spread/rest-days';

/** What it costs to peel one more piece, in the eye's points. From memory. */
export const PEELED = 1;
/** A seed leans this far between two that are alike to the eye. From memory. */
const WHIM = 0.5;

/** A piece must be worth this much to the eye to be peeled. From memory. */
export const LEAST_GAIN = 0.3;

/** A group on a day, and what the eye gains there by it. */
export interface Weighed {
  readonly group: Group;
  readonly day: number;
  /** on its day, what the pieces cost taken off */
  readonly gain: number;
  /** of that, what is gained whichever designs lie there and beside it */
  readonly ofPlace: number;
}

/** A day of a spread that is being filled: as the eye takes it in, with the places that are kept. */
export interface OpenSight {
  readonly sight: Sight;
  readonly places: readonly OpenPlace[];
  readonly day: number;
}

/** All that could be added to a day, so that room for what comes up stays (handbook D3, W1), with what it gains. */
export function weighedFor(
  draft: Draft,
  context: Context,
  ground: OpenSight,
  fillers: readonly Fill[] = FILLERS,
): Weighed[] {
  const { sight, places, day } = ground;
  const column = dayColumn(context.book, day);
  if (!column || restDays(context).has(day)) return [];
  const { gap } = context.options;
  const of = places.filter((p) => p.day === day);
  const free = besidePlaces(freeStretches(draft, context, day), of, gap);
  // where the eye minds next to nothing there is nothing to gain
  if (costOfDay(sight, day) < LEAST_GAIN) return [];
  const groups = fillers.flatMap((fill) => fill({ draft, context, day, column, free }));
  const kept = keptFree(context, day);
  return gainsOf(
    groups.filter((g) => freeBeside(free, bounds(g), gap) >= kept),
    context,
    ground,
  );
}

/** What a day gains by each of some groups: many differ by their designs alone, and are looked at once. */
function gainsOf(groups: readonly Group[], context: Context, { sight, day }: OpenSight): Weighed[] {
  const now = costOfPlaces(sight, day);
  const known = new Map<string, number>();
  return withDesigns(
    groups.map((group) => {
      const key = placeKey(group);
      const gain = known.get(key) ?? now - costOfPlaces(withGroup(sight, day, group), day);
      known.set(key, gain);
      const ofPlace = gain - costOf(context, group, day);
      return { group, day, gain: ofPlace, ofPlace };
    }),
    sight,
    day,
  );
}

const placeKey = (group: Group): string =>
  group.map(({ piece, x, y, w, h, layer }) => [piece.kind, looksOf(piece).isPlain, x, y, w, h, layer].join()).join(';');

/** The same when what lies beside the day is another than it was. */
export function withDesigns(weighed: readonly Weighed[], sight: Sight, day: number): Weighed[] {
  const now = costOfDesigns(sight, day);
  return weighed.map((w) => ({
    ...w,
    gain: w.ofPlace + now - costOfDesigns(withGroup(sight, day, w.group), day),
  }));
}

/** What it costs to take the pieces of a group, in the eye's points, and how the seed leans. */
const costOf = (context: Context, group: Group, day: number): number =>
  group.reduce((sum, f) => sum + f.cost + PEELED, 0) -
  whim(context, `${group.map((f) => pieceKey(f.piece)).join()} ${day}`) * WHIM;

/** What the week as a whole gains by a group on a day. */
export const gainOfWeek = (sight: Sight, { group, day }: Pick<Weighed, 'group' | 'day'>): number =>
  costOfWeek(sight) - costOfWeek(withGroup(sight, day, group));

/** The week as a whole gains no more by one group, in the eye's points. */
export const OF_WEEK = 6;

/** The one of some groups by which days and week gain most, null where none gains. */
export function bestForWeek(sight: Sight, weighed: readonly Weighed[]): Weighed | null {
  let [best, most] = [null as Weighed | null, 0];
  for (const w of weighed) {
    if (w.gain <= most - OF_WEEK) continue;
    const gain = w.gain + gainOfWeek(sight, w);
    if (gain > most) [best, most] = [w, gain];
  }
  return best;
}

export const withGroup = (sight: Sight, day: number, group: Group): Sight => withMarks(sight, day, group.map(markOf));

/** Lays a group where it was thought of. */
export function layGroup(draft: Draft, { group, day }: Pick<Weighed, 'group' | 'day'>): void {
  for (const f of group) layParts(draft, f.piece, f.parts, { ...f, dayOf: () => day });
}

export const isThere = (draft: Draft, group: Group): boolean => group.every((f) => draft.ledger.untouched(f.piece) > 0);

const markOf = ({ piece, x, y, w, h, layer }: Filler): Mark => ({
  id: null,
  x,
  y,
  w,
  h,
  kind: piece.kind,
  ...looksOf(piece),
  layer,
  written: false,
  isFinish: true,
});
