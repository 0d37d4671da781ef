'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { Piece } from '../../core/kit/kit';
import { pieceKey, spokenName } from '../../core/kit/kit';
import { traits } from '../../core/kit/kinds';
import { searchPieces } from '../../server/kit-actions';
import { PieceDefs } from '../sticker/PieceDefs';
import { symbolId } from '../sticker/symbol-id';

const PAUSE = 200;
const WIDEST = 110;

/** Pieces of all kits and the stash that have the words, the color or the size asked for. */
export function SearchResults({ words }: { words: string }) {
  const [found, setFound] = useState<{ pieces: readonly Piece[]; more: number } | null>(null);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(
      () =>
        void searchPieces({ words }).then(
          (r) => {
            if (current) setFound(r.ok ? r.value : { pieces: [], more: 0 });
          },
          () => {
            if (current) setFound({ pieces: [], more: 0 });
          },
        ),
      PAUSE,
    );
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [words]);
  if (!found) return <Typography color="text.secondary">Looking through the kits…</Typography>;
  if (!found.pieces.length)
    return (
      <Typography color="text.secondary">
        No sticker fits. Try a kind, a word, an icon, a color such as coral or #e8836b, or a size such as 38x12.
      </Typography>
    );
  return (
    <Box sx={{ overflowY: 'auto', flex: 1, minHeight: 0 }}>
      <PieceDefs pieces={found.pieces} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(170px, 1fr))', gap: 2, pb: 2 }}>
        {found.pieces.map((p) => (
          <Box
            key={pieceKey(p)}
            component={Link}
            href={`/kits?kit=${encodeURIComponent(p.kit)}`}
            data-testid="found"
            sx={{ color: 'inherit', textDecoration: 'none' }}
          >
            <Box sx={{ height: 110, display: 'flex', alignItems: 'center' }}>
              <svg
                viewBox={`0 0 ${Math.min(p.width, WIDEST)} ${p.height}`}
                style={{ width: Math.min(p.width, WIDEST) * 2, maxWidth: '100%', maxHeight: 104 }}
                aria-hidden
              >
                <use href={`#${symbolId(p)}`} />
              </svg>
            </Box>
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              {traits(p.kind).label} {p.code}
            </Typography>
            <Typography variant="caption" color="text.secondary">
              {spokenName(p.kit)}, {p.count}, {p.width} × {p.height} mm
            </Typography>
          </Box>
        ))}
      </Box>
      {found.more > 0 && (
        <Typography variant="body2" color="text.secondary">
          … and {found.more} more. Say more to see fewer.
        </Typography>
      )}
    </Box>
  );
}
