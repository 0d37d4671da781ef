import { pieceKey } from '../../kit/kit';
import type { Piece } from '../../kit/kit';
import { TOLERANCE } from '../../measure/length';
import { bottom } from '../../measure/rect';
import { alignX } from '../../spread/align';
import { LEAST } from './exchange';
import type { Filled, Ground } from './filled';
import { allBut } from './filled';
import type { Fill, Filler, OpenDay } from './fillers/filler';
import { boxesToWriteOn } from './fillers/boxes-to-write-on';
import { picturesFor, standsIn } from './fillers/filler';
import { placesFor } from './fillers/pictures';
import { bestForWeek, weighedFor } from './weighed';

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
  const added = withMore(ground, looked(ground, laid));
  return swapped(ground, added === laid ? laid : looked(ground, added));
}

/** Each piece where it stands best, or gone. */
const looked = (ground: Ground, laid: Filled): Filled =>
  laid.list.reduce((now, one) => {
    const [filler] = one.group;
    if (!filler || !now.list.includes(one)) return now;
    const isPicture = filler.piece.kind === 'deco';
    const fill = isPicture ? placing(() => [filler.piece]) : nudging(one.day, filler);
    // what lay upon it goes as well, or stays where it is
    const alone = now.list.filter((w) => w !== one);
    const rests = [allBut(now.list, one), ...(isPicture ? [alone] : [])].filter((l, i, all) => !i || l.length !== all[0]?.length); // prettier-ignore
    const next = rests
      .map((rest) => ground.with(rest))
      .flatMap((without) => [without, withBest(ground, without, [fill])])
      .reduce((a, b) => (b.cost < a.cost ? b : a));
    return next.cost < now.cost - LEAST ? next : now;
  }, laid);

/** Two pictures of one size each in the place of the other, where that is better. */
function swapped(ground: Ground, laid: Filled): Filled {
  let now = laid;
  for (let i = 0; i < laid.list.length; i++)
    for (let j = i + 1; j < laid.list.length; j++) {
      const [a, b] = [now.list[i]?.group[0], now.list[j]?.group[0]];
      if (!a || !b || !areLikeInSize(a, b)) continue;
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
    const next = withBest(ground, now, MORE_OF);
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

/** With what gains most of a way to fill, if anything does. */
function withBest(ground: Ground, filled: Filled, fills: readonly Fill[]): Filled {
  const { context, places } = ground;
  const { sight, draft, list } = filled;
  const all = DAYS.flatMap((day) => weighedFor(draft(), context, { sight, places, day }, fills));
  const best = bestForWeek(sight, all);
  return best ? ground.with([...list, best]) : filled;
}
