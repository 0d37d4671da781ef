'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { pieceKey } from '../../core/kit/kit';
import { traits } from '../../core/kit/kinds';
import type { FoundPieces } from '../../server/kit-actions';
import { searchPieces } from '../../server/kit-actions';
import { useKitName } from '../kit-names';
import { PieceDefs } from '../sticker/PieceDefs';
import { symbolId } from '../sticker/symbol-id';
import { ruled } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

const PAUSE = 200;
const WIDEST = 110;
const NOTHING: FoundPieces = { pieces: [], places: [], more: 0 };

/** Pieces of all kits and the stash that have the words, the color or the size asked for. */
export function SearchResults({
  words,
  goesWith,
  onClear,
}: {
  words: string;
  goesWith: string | null;
  onClear: () => void;
}) {
  const called = useKitName();
  const { unit } = useOwnWays();
  const [found, setFound] = useState<FoundPieces | null>(null);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(
      () =>
        void searchPieces({ words, goesWith }).then(
          (r) => {
            if (current) setFound(r.ok ? r.value : NOTHING);
          },
          () => {
            if (current) setFound(NOTHING);
          },
        ),
      PAUSE,
    );
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [words, goesWith]);
  if (!found) return <Typography color="text.secondary">Looking through the kits…</Typography>;
  if (!found.pieces.length)
    return (
      <Typography color="text.secondary">
        No sticker {goesWith ? `of other kits goes with ${called(goesWith)} so` : 'fits'}. Try a kind, a word, an icon,
        a color such as coral or #e8836b, or a size such as 38x12.
      </Typography>
    );
  const places = new Map(found.places);
  return (
    <Box sx={{ overflowY: 'auto', flex: 1, minHeight: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 1 }}>
        <Typography variant="body2" color="text.secondary">
          {goesWith
            ? `${words ? `“${words}” that` : 'What'} goes with ${called(goesWith)}, the nearest in color first`
            : `“${words}” in all kits and the stash`}
        </Typography>
        <Button size="small" onClick={onClear}>
          Clear
        </Button>
      </Box>
      <PieceDefs pieces={found.pieces} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(170px, 1fr))', gap: 2, pb: 2 }}>
        {found.pieces.map((p) => (
          <Box
            key={pieceKey(p)}
            component={Link}
            href={`/kits?kit=${encodeURIComponent(p.kit)}&piece=${encodeURIComponent(p.code)}`}
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
              {called(p.kit)}, {p.count}, {ruled(p.width, unit)} × {ruled(p.height, unit)}
              {places.has(p.kit) ? `, ${places.get(p.kit)}` : ''}
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
