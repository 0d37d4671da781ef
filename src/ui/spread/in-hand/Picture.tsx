import type { Piece } from '../../../core/kit/kit';
import { symbolId } from '../../sticker/symbol-id';

/** A design on its own, `size` px wide at most. */
export function Picture({ piece, size }: { piece: Piece; size: number }) {
  const w = Math.min(piece.width, 80);
  return (
    <svg
      viewBox={`0 0 ${w} ${piece.height}`}
      style={{ width: size, height: Math.min(size * 1.25, (size * piece.height) / w), flexShrink: 0 }}
      aria-hidden
    >
      <title>{piece.code}</title>
      <use href={`#${symbolId(piece)}`} />
    </svg>
  );
}
