import type { Piece } from '../../kit/kit';
import type { Taken } from '../../kit/ledger';
import type { Draft } from '../../spread/draft';
import { inkFor } from '../../spread/ink';
import type { Placement } from '../../spread/placement';
import type { Demand } from '../../week/demand';

/** Lays a base with its items written on it; it is taken from the ledger already. */
export function layWritten(
  draft: Draft,
  [piece, taken]: readonly [Piece, Taken],
  place: Pick<Placement, 'page' | 'day' | 'x' | 'y'> & Partial<Pick<Placement, 'turn'>>,
  demands: readonly Demand[],
  { text, size }: Pick<Placement, 'text' | 'size'>,
): void {
  draft.add(piece, taken, {
    ...place,
    role: 'day',
    items: demands.map((d) => d.uid),
    text,
    size,
    ink: text ? inkFor(piece) : null,
  });
}
