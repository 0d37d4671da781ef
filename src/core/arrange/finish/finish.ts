import { isOf } from '../../kit/is-of';
import { dayColumn } from '../../book/columns';
import { byCost, piecesOf, tasteCost } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import { besidePlaces, openPlaces } from '../../spread/open-places';
import { freeStretches, lengthOf } from '../../spread/free-room';
import { pieceKey } from '../../kit/kit';
import type { Context } from '../../spread/placement';
import { restDays } from '../../spread/rest-days';
import { whim } from '../../spread/whim';

/** Pieces of a cluster overlap by this share of their height; so many make one. From memory. */
const OVERLAP = 0.22;
const CLUSTER = 3;
/** Pictures this many mm apart in height are one as good as the other to a seed. From memory. */
const WHIM = 6;
/** What it costs to take a picture that could stand for a chore as mere ornament. From memory. */
const SERVES = 40;

/** Where a school has its deco in one cluster, that, in the emptiest day; elsewhere `filling` fills the days. */
export const finish: Stage = (before, context) => {
  const hasOne = before.placements.some((p) => p.role === 'finish' && p.day !== null);
  if (context.ways.deco !== 'cluster' || hasOne) return before;
  const draft = before.clone();
  layCluster(draft, context);
  return draft;
};

/** One cluster of overlapping pictures, standing on the floor of the day that has the most room. */
function layCluster(draft: Draft, context: Context): void {
  const rest = restDays(context);
  const days = [0, 1, 2, 3, 4, 5, 6]
    .filter((day) => !rest.has(day))
    .map((day) => ({
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
    return isOf(context.kit, p) && p.height <= room && p.width <= width && draft.ledger.untouched(p) > 0
      ? used * 30 - p.height + (p.icon ? SERVES : 0) + tasteCost(p, context) * 4 + whim(context, pieceKey(p)) * WHIM
      : Infinity;
  })[0];
