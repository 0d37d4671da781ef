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

/** The parts of a piece that is not cut. */
export const WHOLE: readonly BoxPart[] = [{ dx: 0, dy: 0, cut: null }];

/** A day that is to be filled. */
export interface OpenDay {
  readonly draft: Draft;
  readonly context: Context;
  readonly day: number;
  /** where nothing lies and nothing is to come, with gaps kept */
  readonly free: readonly Stretch[];
}

/** One way in which people fill a day: all that it could do there. */
export type Fill = (open: OpenDay) => Filler[];
