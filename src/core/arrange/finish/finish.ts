import { dayColumn } from '../../book/columns';
import { area, intersect, unionArea } from '../../measure/rect';
import { alignX } from '../../spread/align';
import { byCost, piecesOf, tasteCost } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import { besidePlaces, openPlaces } from '../../spread/open-places';
import type { Stretch } from '../../spread/free-room';
import { freeStretches, keptFree, lengthOf } from '../../spread/free-room';
import { pieceKey } from '../../kit/kit';
import type { Context } from '../../spread/placement';
import { footprint } from '../../spread/placement';
import { whim } from '../../spread/whim';

/** Pieces of a cluster overlap by this share of their height; so many make one. From memory. */
const OVERLAP = 0.22;
const CLUSTER = 3;
/** Pictures this many mm apart in height are one as good as the other to a seed. From memory. */
const WHIM = 6;
/** What it costs to take a picture that could stand for a chore as mere ornament. From memory. */
const SERVES = 40;
/** Pictures of a day at most; a second one only where an open place as long as this is left, mm. From memory. */
const MOST_PICTURES = 2;
const HOLE = 55;

/**
 * Pictures in the widest open places, a day in turn, while a day is emptier than wanted, or one cluster in the emptiest
 * day; room for what comes up stays (handbook W1, D3).
 */
export const finish: Stage = (before, context) => {
  const draft = before.clone();
  if (context.ways.deco === 'none') return draft;
  if (context.ways.deco === 'cluster') {
    if (!draft.placements.some((p) => p.role === 'finish' && p.day !== null)) layCluster(draft, context);
    return draft;
  }
  for (let round = 0; round < MOST_PICTURES * 7; round++) {
    const day = round % 7;
    const column = dayColumn(context.book, day);
    if (!column || (round < 7 && hasPicture(draft, day))) continue;
    if (round >= 7 && lengthOf(longestOf(draft, context, day) ?? NOWHERE) < HOLE) continue;
    const covered = unionArea(draft.lyingIn(column.page, column).flatMap((p) => intersect(footprint(p), column) ?? []));
    if (1 - covered / area(column) <= context.options.whiteSpace) continue;
    layPicture(draft, context, day);
  }
  return draft;
};

/** What a day without an open stretch has of one, mm. */
const NOWHERE: Stretch = { from: 0, to: 0 };

const hasPicture = (draft: Draft, day: number): boolean =>
  draft.placements.some((p) => p.role === 'finish' && p.day === day);

function layPicture(draft: Draft, context: Context, day: number): void {
  const column = dayColumn(context.book, day);
  const stretch = longestOf(draft, context, day);
  if (!column || !stretch) return;
  const room = lengthOf(stretch) - keptFree(context, day) - context.options.gap;
  const piece = pictureFor(draft, context, room, column.w);
  const taken = piece && draft.ledger.take(piece);
  if (piece && taken)
    draft.add(piece, taken, {
      page: column.page,
      day,
      x: alignX(context, column, piece.width),
      y: stretch.to - piece.height,
      role: 'finish',
    });
}

/** One cluster of overlapping pictures, standing on the floor of the day that has the most room. */
function layCluster(draft: Draft, context: Context): void {
  const days = [0, 1, 2, 3, 4, 5, 6].map((day) => ({
    day,
    room: lengthOf(longestOf(draft, context, day) ?? { from: 0, to: 0 }),
  }));
  const { day, room } = days.reduce((a, b) => (b.room > a.room ? b : a));
  const column = dayColumn(context.book, day);
  const stretch = longestOf(draft, context, day);
  if (!column || !stretch) return;
  let floor = stretch.to;
  for (let n = 0; n < CLUSTER; n++) {
    const piece = pictureFor(draft, context, Math.min(floor - stretch.from, room * 0.5), column.w);
    const taken = piece && draft.ledger.take(piece);
    if (!piece || !taken) return;
    const aside = (n % 2 ? 1 : -1) * Math.max(0, (column.w - piece.width) / 2 - 1) * (n === 0 ? 0 : 0.7);
    draft.add(piece, taken, {
      page: column.page,
      day,
      x: column.x + (column.w - piece.width) / 2 + aside,
      y: floor - piece.height,
      role: 'finish',
      layer: n,
    });
    floor -= piece.height * (1 - OVERLAP);
  }
}

const longestOf = (draft: Draft, context: Context, day: number) =>
  besidePlaces(
    freeStretches(draft, context, day),
    openPlaces(context, draft.placements).filter((p) => p.day === day),
    context.options.gap,
  ).sort((a, b) => lengthOf(b) - lengthOf(a))[0];

/** The largest of the kit's own pictures that fits, one not used yet before another. */
const pictureFor = (draft: Draft, context: Context, room: number, width: number) =>
  byCost(piecesOf(context, 'deco'), (p) => {
    const used = draft.placements.filter((q) => q.code === p.code && q.kit === p.kit).length;
    return p.kit === context.kit.name && p.height <= room && p.width <= width && draft.ledger.untouched(p) > 0
      ? used * 30 - p.height + (p.icon ? SERVES : 0) + tasteCost(p, context) * 4 + whim(context, pieceKey(p)) * WHIM
      : Infinity;
  })[0];
