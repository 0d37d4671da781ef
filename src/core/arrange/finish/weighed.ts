import { dayColumn } from '../../book/columns';
import { costOfDay, costOfWeek } from '../../eye/registry';
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
import type { Filler, Group } from './fillers/filler';
import { FILLERS } from './fillers/registry';

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
}

/** All that could be added to a day, so that room for what comes up stays (handbook D3, W1), with what it gains. */
export function weighedFor(
  draft: Draft,
  context: Context,
  { sight, places, day }: { readonly sight: Sight; readonly places: readonly OpenPlace[]; readonly day: number },
): Weighed[] {
  const column = dayColumn(context.book, day);
  if (!column) return [];
  const { gap } = context.options;
  const of = places.filter((p) => p.day === day);
  const free = besidePlaces(freeStretches(draft, context, day), of, gap);
  const now = costOfDay(sight, day);
  // where the eye minds next to nothing there is nothing to gain
  if (now < LEAST_GAIN) return [];
  return FILLERS.flatMap((fill) => fill({ draft, context, day, column, free }))
    .filter((g) => freeBeside(free, bounds(g), gap) >= keptFree(context, day))
    .map((group) => ({
      group,
      day,
      gain: now - costOfDay(withGroup(sight, day, group), day) - costOf(context, group, day),
    }));
}

/** What it costs to take the pieces of a group, in the eye's points, and how the seed leans. */
const costOf = (context: Context, group: Group, day: number): number =>
  group.reduce((sum, f) => sum + f.cost + PEELED, 0) -
  whim(context, `${group.map((f) => pieceKey(f.piece)).join()} ${day}`) * WHIM;

/** What the week as a whole gains by a group on a day. */
export const gainOfWeek = (sight: Sight, { group, day }: Pick<Weighed, 'group' | 'day'>): number =>
  costOfWeek(sight) - costOfWeek(withGroup(sight, day, group));

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
