import { pieceKey } from '../../kit/kit';
import type { Piece } from '../../kit/kit';
import { TOLERANCE } from '../../measure/length';
import { bottom } from '../../measure/rect';
import { alignX } from '../../spread/align';
import { costOfDay, costOfDesigns } from '../../eye/registry';
import { LEAST, isNearOne } from './exchange';
import type { Filled, Ground } from './filled';
import { allBut } from './filled';
import type { Fill, Filler, OpenDay } from './fillers/filler';
import { boxesToWriteOn } from './fillers/boxes-to-write-on';
import { picturesFor, standsIn } from './fillers/filler';
import { placesFor } from './fillers/pictures';
import type { Weighed } from './weighed';
import { OF_WEEK, bestForWeek, weighedFor } from './weighed';

/** Pictures that are added in the end at most, and designs that are tried for them. From memory. */
const MORE = 6;
const DESIGNS = 8;
/** mm that a box is moved by. From memory. */
const NUDGES = [0, -1.5, 1.5, -3, 3, -6, 6, -10, 10];
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * The last look: each picture that was added is moved to where it stands best of all places of all days, between the
 * usual ones too, or taken off; and one more is laid where there is still something to gain.
 */
export function polished(ground: Ground, laid: Filled): Filled {
  const added = withMore(ground, looked(ground, laid, new Set(DAYS)));
  return swapped(ground, looked(ground, added, daysChanged(laid, added)));
}

/** Days on which something lies now that did not, or does not any more. */
const daysChanged = (before: Filled, after: Filled): ReadonlySet<number> =>
  new Set(
    [...before.list.filter((w) => !after.list.includes(w)), ...after.list.filter((w) => !before.list.includes(w))].map(
      (w) => w.day,
    ),
  );

/** Each piece on some days and beside them where it stands best, or gone. */
const looked = (ground: Ground, laid: Filled, days: ReadonlySet<number>): Filled =>
  laid.list.reduce((now, one) => {
    const [filler] = one.group;
    if (!filler || !isNearOne(one.day, days) || !now.list.includes(one)) return now;
    const isPicture = filler.piece.kind === 'deco';
    const fill = isPicture ? placing(() => [filler.piece]) : nudging(one.day, filler);
    // what lay upon it goes as well, or stays where it is
    const alone = now.list.filter((w) => w !== one);
    const without = allBut(now.list, one);
    const next = (isPicture && alone.length > without.length ? [without, alone] : [without])
      .map((rest) => ground.with(rest))
      .flatMap((rest) => [rest, withBest(ground, rest, [fill], rest.cost - now.cost)])
      .reduce((a, b) => (b.cost < a.cost ? b : a));
    return next.cost < now.cost - LEAST ? next : now;
  }, laid);

/** Two pictures of one size each in the place of the other, where the one or the other is too near to its like. */
function swapped(ground: Ground, laid: Filled): Filled {
  let now = laid;
  const isMinded = ({ day }: Weighed): boolean => costOfDesigns(laid.sight, day) > 0;
  for (let i = 0; i < laid.list.length; i++)
    for (let j = i + 1; j < laid.list.length; j++) {
      const [one, other] = [now.list[i] as Weighed, now.list[j] as Weighed];
      const [a, b] = [one.group[0], other.group[0]];
      if (!a || !b || !areLikeInSize(a, b) || !(isMinded(one) || isMinded(other))) continue;
      const pieceAt = new Map([[i, b.piece], [j, a.piece]]); // prettier-ignore
      const next = ground.with(
        now.list.map((w, n) => {
          const piece = pieceAt.get(n);
          return piece ? { ...w, group: w.group.map((f) => ({ ...f, piece })) } : w;
        }),
      );
      if (next.cost < now.cost - LEAST) now = next;
    }
  return now;
}

const areLikeInSize = (a: Filler, b: Filler): boolean =>
  [a, b].every((f) => f.piece.kind === 'deco') &&
  pieceKey(a.piece) !== pieceKey(b.piece) &&
  Math.abs(a.w - b.w) < TOLERANCE &&
  Math.abs(a.h - b.h) < TOLERANCE;

/** One picture more, as long as that gains. */
function withMore(ground: Ground, laid: Filled): Filled {
  let now = laid;
  for (let n = 0; n < MORE; n++) {
    const next = withBest(ground, now, MORE_OF, LEAST);
    if (next.cost > now.cost - LEAST) break;
    now = next;
  }
  return now;
}

/** A box, list or little a little higher or lower, or on another day; a full box stays on its own (handbook C3). */
const nudging =
  (day: number, filler: Filler): Fill =>
  ({ day: other, free, column, context }) => {
    if (filler.layer > 0 || filler.w > column.w + TOLERANCE) return [];
    if (day !== other && filler.piece.kind === 'full-box') return [];
    const [page, x] = [column.page, alignX(context, column, filler.w)];
    const places =
      day === other
        ? NUDGES.map((dy) => ({ ...filler, y: filler.y + dy }))
        : free.flatMap((s) => standsIn(s, filler.h).map((y) => ({ ...filler, page, x, y })));
    return places
      .filter((f) => free.some((s) => s.from <= f.y + TOLERANCE && s.to >= bottom(f) - TOLERANCE))
      .map((f) => [f]);
  };

const placing =
  (pieces: (open: OpenDay) => readonly Piece[]): Fill =>
  (open) =>
    pieces(open).flatMap((piece) => placesFor(open, piece).map((f) => [f]));

const MORE_OF: readonly Fill[] = [
  placing((open) => picturesFor(open, open.column.w).slice(0, DESIGNS)),
  boxesToWriteOn,
];

/**
 * With what gains most of a way to fill, if anything does.
 * @param least what it must gain to be of use, in the eye's points: a day that costs less cannot give it
 */
function withBest(ground: Ground, filled: Filled, fills: readonly Fill[], least: number): Filled {
  const { context, places } = ground;
  const { sight, draft, list } = filled;
  const days = DAYS.filter((day) => costOfDay(sight, day) + OF_WEEK >= least);
  const all = days.flatMap((day) => weighedFor(draft(), context, { sight, places, day }, fills));
  const best = bestForWeek(sight, all);
  return best ? ground.with([...list, best]) : filled;
}
