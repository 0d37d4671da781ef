'use client';

import { memo } from 'react';
import { drawPiece } from '../../core/art/draw-piece';
import type { Piece } from '../../core/kit/kit';
import { symbolId } from './symbol-id';

/** Every design drawn once; the book and the sheets only point to it. */
export const PieceDefs = memo(function PieceDefs({ pieces }: { pieces: readonly Piece[] }) {
  return (
    <svg width="0" height="0" style={{ position: 'absolute' }} aria-hidden>
      <defs>
        {pieces.map((p) => (
          <g key={symbolId(p)} id={symbolId(p)} dangerouslySetInnerHTML={{ __html: drawPiece(p, symbolId(p)) }} />
        ))}
      </defs>
    </svg>
  );
});
