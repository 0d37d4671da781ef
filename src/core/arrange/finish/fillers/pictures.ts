import type { Piece } from '../../../kit/kit';
import { TOLERANCE } from '../../../measure/length';
import type { Rect } from '../../../measure/rect';
import { area, bottom, hidesMoreThan, intersect, right } from '../../../measure/rect';
import { tasteCost } from '../../../spread/choose';
import type { Stretch } from '../../../spread/free-room';
import { lengthOf } from '../../../spread/free-room';
import type { Placement } from '../../../spread/placement';
import { footprint } from '../../../spread/placement';
import { INSET, picturesFor, whole } from './filler';
import type { Fill, Filler, Group, OpenDay } from './filler';

/** Designs that are looked at for a day: the largest few, those that the seed leans to, and small ones. From memory. */
const DESIGNS = 6;
const SMALL = 2;
/** Over the edge of something it lies by this share of itself; upon it, it hides so much of that. From memory. */
const OVER = 0.3;
const UPON = 0.44;
/** By other shares of itself, where the last look is for the best of all places. From memory. */
const OVERS = [OVER, 0.4, 0.5, 0.6, 0.7, 0.8];
/** In a pair the second lies on so much of the narrower one's width; so many designs begin a pair. From memory. */
const BITE = 0.4;
const IN_PAIRS = 3;
/** What a picture costs that could stand for a chore. From memory. */
const SERVES = 4;
/** mm that a picture may come nearer to a header or a box than the gap, as its company. From memory. */
const CLOSE = 1;

/**
 * Pictures in company: at the corner of a box, over the corner of another picture, close under what stands above, or
 * on the floor; left and right, in the middle only where they are nearly as wide as the column.
 */
export const pictures: Fill = (open) => {
  const { column, free } = open;
  const all = picturesFor(open, column.w + TOLERANCE);
  const designs = [...new Set([...all.slice(0, DESIGNS), ...all.slice(-SMALL)])];
  const there = lyingOn(open);
  const alone = designs.flatMap((piece) => [
    ...free
      .filter((s) => lengthOf(s) >= piece.height)
      .flatMap((s) =>
        sidesOf(piece, column).flatMap((x) => [
          at(open, piece, x, endsOf(open, s).from),
          at(open, piece, x, endsOf(open, s).to - piece.height),
        ]),
      ),
    ...atCorners(open, piece, there),
  ]);
  const pairs = free.flatMap((s) =>
    designs
      .slice(0, IN_PAIRS)
      .flatMap((one) => designs.slice(0, 2 * IN_PAIRS).flatMap((other) => twos(open, one, other, s))),
  );
  return [...alone.map((filler) => [filler]), ...pairs];
};

/** Places between the ends of a stretch that are tried for one picture, mm apart. From memory. */
const STEP = 4;

/** All places of a day that a picture may have, between the usual ones too. */
export const placesFor = (open: OpenDay, piece: Piece): Filler[] => {
  const { column, free } = open;
  if (piece.width > column.w + TOLERANCE) return [];
  const alone = free.flatMap((s) => {
    const { from, to } = endsOf(open, s);
    const last = to - piece.height;
    const between = Array.from({ length: Math.max(0, Math.ceil((last - from) / STEP)) }, (_, i) => from + i * STEP);
    const ys = last < from ? [] : [last, ...between];
    return sidesOf(piece, column).flatMap((x) => ys.map((y) => at(open, piece, x, y)));
  });
  return [...alone, ...atCorners(open, piece, lyingOn(open), OVERS)];
};

/** Two pictures as one: the first on the floor or under what stands above, the other over its corner. */
function twos(open: OpenDay, one: Piece, other: Piece, s: Stretch): Group[] {
  const { column } = open;
  if (one === other || (one.motif !== '' && one.motif === other.motif)) return [];
  const high = one.height + other.height * (1 - OVER);
  if (high > lengthOf(s)) return [];
  const { from: top, to: floor } = endsOf(open, s);
  const aside = one.width - Math.min(one.width, other.width) * BITE;
  return sidesOf(one, column).flatMap((x) => {
    const isLeft = x <= column.x + TOLERANCE;
    const beside = isLeft ? x + aside : x + one.width - aside - other.width;
    const over = Math.min(right(column) - other.width, Math.max(column.x, beside));
    return [
      [at(open, one, x, floor - one.height), at(open, other, over, floor - high, 1)],
      [at(open, one, x, top), at(open, other, over, top + high - other.height, 1)],
    ];
  });
}

/** Where pictures may stand in a stretch: closer to what is above and below than its gap, as its company. */
function endsOf({ draft, column, context }: OpenDay, s: Stretch): Stretch {
  const closer = Math.max(0, context.options.gap - CLOSE);
  const isFree = (y: number): boolean => draft.lyingIn(column.page, { ...column, y, h: closer }).length === 0;
  return {
    from: s.from - closer >= column.y && isFree(s.from - closer) ? s.from - closer : s.from,
    to: s.to + closer <= bottom(column) && isFree(s.to) ? s.to + closer : s.to,
  };
}

const at = (open: OpenDay, piece: Piece, x: number, y: number, layer = 0): Filler =>
  whole(open, piece, { x, y, layer, cost: (piece.icon ? SERVES : 0) + tasteCost(piece, open.context) });

const sidesOf = (piece: Piece, column: Rect): number[] =>
  column.w - piece.width < CLOSE * 2
    ? [column.x + (column.w - piece.width) / 2]
    : [column.x, right(column) - piece.width];

/** A box or a picture with nothing written on it and nothing of its own under the knife. */
function mayBeLainUpon({ draft }: OpenDay, p: Placement): boolean {
  const kind = draft.pieceOf(p)?.kind;
  const isOpen =
    kind === 'deco' ? p.role === 'finish' : kind === 'full-box' || kind === 'half-box' || kind === 'third-box';
  return isOpen && p.turn === 0 && p.text === null && p.items.length === 0;
}

/** What lies on a day's column, and whether a picture may lie upon it. mm */
interface Lying {
  readonly rect: Rect;
  readonly layer: number;
  readonly isHost: boolean;
}

const lyingOn = (open: OpenDay): Lying[] =>
  open.draft.lyingIn(open.column.page, open.column).map((p) => ({
    rect: footprint(p),
    layer: p.layer,
    isHost: mayBeLainUpon(open, p),
  }));

/** Over the upper or the lower edge of something, at its left or right corner, where the rest of it finds free room. */
function atCorners(open: OpenDay, piece: Piece, there: readonly Lying[], overs: readonly number[] = [OVER]): Filler[] {
  const { column, free, context } = open;
  const { gap } = context.options;
  const xs = sidesOf(piece, column);
  return there.flatMap(({ rect: h, isHost }) => {
    if (!isHost || piece.width * piece.height > area(h)) return [];
    const ys = [
      ...overs.flatMap((over) => [h.y - piece.height * (1 - over), bottom(h) - piece.height * over]),
      bottom(h) - piece.height - INSET,
      ...(overs.length > 1 ? [h.y + INSET] : []),
    ];
    return ys.flatMap((y): Filler[] => {
      const out = y < h.y ? { from: y, to: h.y } : { from: bottom(h), to: y + piece.height };
      // the gap is between it and what it lies on; beyond that its room must be free
      const [above, below] = y < h.y ? [0, gap] : [gap, 0];
      const isWithin = y >= h.y && y + piece.height <= bottom(h);
      if (!isWithin && !free.some((s) => s.from <= out.from + above && s.to >= out.to - below)) return [];
      return xs.flatMap((x): Filler[] => {
        const rect = { x, y, w: piece.width, h: piece.height };
        const touched = there.filter((q) => intersect(q.rect, rect));
        if (!intersect(rect, h) || touched.some((q) => !q.isHost || hidesMoreThan(UPON, rect, q.rect))) return [];
        return [at(open, piece, x, y, 1 + Math.max(...touched.map((q) => q.layer)))];
      });
    });
  });
}
