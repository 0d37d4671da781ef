import type { Region } from '../../../book/book';
import type { Piece } from '../../../kit/kit';
import type { Rect } from '../../../measure/rect';
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
    piece.kit === context.kit.name && draft.ledger.untouched(piece) > 0;

/** A day that is to be filled. */
export interface OpenDay {
  readonly draft: Draft;
  readonly context: Context;
  readonly day: number;
  readonly column: Region;
  /** where nothing lies and nothing is to come, with gaps kept */
  readonly free: readonly Stretch[];
}

/** One way in which people fill a day: all that it could do there. */
export type Fill = (open: OpenDay) => Filler[];
