import type { Piece } from '../kit/kit';
import { TOLERANCE } from '../measure/length';
import type { Rect } from '../measure/rect';
import type { Placement } from './placement';
import { SIDE_MARGIN, TICK_WIDTH } from './writing';

/** True for a checklist with its shapes; one stripped of them is a plain label (handbook L4). */
export const isList = (piece: Pick<Piece, 'kind'> | null | undefined, p: Pick<Placement, 'cut'>): boolean =>
  piece?.kind === 'checklist' && (p.cut === null || p.cut.x < TICK_WIDTH - TOLERANCE);

/** Where a list that is stripped of its shapes is written on: its rows are there still, each a line. mm */
export const strippedRoom = ({ w, h }: Pick<Rect, 'w' | 'h'>): Rect => ({
  x: SIDE_MARGIN,
  y: 0,
  w: Math.max(0, w - 2 * SIDE_MARGIN),
  h,
});
