import { isOf } from '../../../kit/is-of';
import type { Region } from '../../../book/book';
import type { Piece } from '../../../kit/kit';
import type { Rect } from '../../../measure/rect';
import { pieceKey } from '../../../kit/kit';
import { byCost, piecesOf, tasteCost } from '../../../spread/choose';
import { whim } from '../../../spread/whim';
import type { Draft } from '../../../spread/draft';
import type { Stretch } from '../../../spread/free-room';
import type { Context, Role } from '../../../spread/placement';
import type { BoxPart } from '../../boxes/box-fit';

/** A piece that could go somewhere for its looks. mm on its page. */
export interface Filler extends Rect {
  readonly piece: Piece;
  /** the parts it is cut into; one alone, uncut, for most */
  readonly parts: readonly BoxPart[];
  readonly page: number;
  readonly layer: number;
  readonly role: Role;
  /** what it costs to take it, in the eye's points */
  readonly cost: number;
}

/** A piece that is not cut, for its looks alone. */
export const whole = (
  { column }: OpenDay,
  piece: Piece,
  at: Pick<Filler, 'x' | 'y' | 'cost'> & Partial<Pick<Filler, 'layer'>>,
): Filler => ({
  layer: 0,
  ...at,
  piece,
  parts: [{ dx: 0, dy: 0, cut: null }],
  page: column.page,
  w: piece.width,
  h: piece.height,
  role: 'finish',
});

/** True for a piece of the week's own kit of which one is left. */
export const isLeft =
  ({ draft, context }: OpenDay) =>
  (piece: Piece): boolean =>
    isOf(context.kit, piece) && draft.ledger.untouched(piece) > 0;

/** Designs of one kind and size that are tried for a day. From memory. */
const OF_A_SIZE = 2;

/** Of designs of one kind and size the few that the seed leans to on a day: to the eye's room one is as good. */
export function fewOfEachSize({ context, day }: OpenDay, pieces: readonly Piece[]): Piece[] {
  const sizes = new Map<string, Piece[]>();
  for (const p of pieces) {
    const key = `${p.kind} ${p.width} ${p.height}`;
    sizes.set(key, [...(sizes.get(key) ?? []), p]);
  }
  const lean = (p: Piece): number => whim(context, `${pieceKey(p)} ${day}`) + tasteCost(p, context);
  return [...sizes.values()].flatMap((same) => byCost(same, lean).slice(0, OF_A_SIZE));
}

/** Pictures of the kit that go into a width, the larger ones and those that the seed leans to first. */
export const picturesFor = (open: OpenDay, width: number): Piece[] =>
  byCost(piecesOf(open.context, 'deco'), (p) =>
    isLeft(open)(p) && p.width <= width
      ? tasteCost(p, open.context) - p.height / 8 + whim(open.context, pieceKey(p)) * 3
      : Infinity,
  );

/** mm that a picture within a box keeps from its edges. */
export const INSET = 1.5;

/** At the top of a stretch, on its floor, in its middle: mm down the page. */
export const standsIn = (s: Stretch, h: number): readonly number[] => [s.from, s.to - h, (s.from + s.to - h) / 2];

/** A day that is to be filled. */
export interface OpenDay {
  readonly draft: Draft;
  readonly context: Context;
  readonly day: number;
  readonly column: Region;
  /** where nothing lies and nothing is to come, with gaps kept */
  readonly free: readonly Stretch[];
}

/** Pieces that are laid together or not at all. */
export type Group = readonly Filler[];

/** One way in which people fill a day: all that it could do there. */
export type Fill = (open: OpenDay) => Group[];
