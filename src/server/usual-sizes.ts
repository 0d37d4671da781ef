import { blankPiece } from '../core/kit/blank-piece';
import type { Kit, Piece } from '../core/kit/kit';

const plain = (code: string, kind: Piece['kind'], height: number, rows = 0): Piece =>
  blankPiece(kind, { kit: 'usual sizes', code, count: 200, width: 38.1, height, rows, shape: 'rect', writable: 'yes' });

/**
 * Before a kit is chosen, every item is taken to want a usual box and every list usual rows (handbook 3, usual
 * sizes).
 */
export const usualSizes: Kit = {
  name: 'usual sizes',
  pieces: [
    plain('Q', 'quarter-box', 12),
    plain('T', 'third-box', 16),
    plain('H', 'half-box', 24.1),
    plain('L', 'checklist', 48.3, 6),
  ],
};
