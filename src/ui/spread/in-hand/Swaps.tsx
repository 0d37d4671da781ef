'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { swapPiece, swapsFor } from '../../../core/edit/swap';
import { pieceKey } from '../../../core/kit/kit';
import type { Placement } from '../../../core/spread/placement';
import { GLASS } from '../../theme';
import { useSpread } from '../store';
import { useGlimpse } from '../use-glimpse';
import { looksName } from '../../../core/spread/looks-name';
import { Picture } from './Picture';

const MOST = 14;

/** Other pieces that could lie in its stead, best first. */
export function Swaps({ placement: p, sticker }: { placement: Placement; sticker: boolean }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const glimpse = useGlimpse();
  const swaps = useMemo(() => swapsFor(context, placements, p.id).slice(0, MOST), [context, placements, p.id]);
  const says = p.locked
    ? sticker
      ? 'Locked: it is stuck down already'
      : 'Locked: it is written already'
    : swaps.length
      ? sticker
        ? 'Swap it for'
        : 'Put it on a sticker instead'
      : 'No other sticker left that fits';
  return (
    <Box>
      <Typography variant="caption" color="text.secondary">
        {says}
      </Typography>
      {!p.locked && swaps.length > 0 && (
        <Box sx={{ display: 'flex', gap: 0.75, overflowX: 'auto', py: 0.5, px: 0.25 }}>
          {swaps.map(({ piece: other, left }) => {
            const change = swapPiece(context, placements, p.id, other);
            return (
              <ButtonBase
                key={pieceKey(other)}
                data-testid="swap"
                aria-label={`Swap for ${looksName(other)}, ${left} left`}
                onClick={() => edit(change)}
                {...glimpse(change)}
                sx={{
                  flexDirection: 'column',
                  justifyContent: 'space-between',
                  gap: 0.25,
                  p: 0.5,
                  borderRadius: 1,
                  border: `1px solid ${GLASS.edge}`,
                  flexShrink: 0,
                  '&:hover, &.Mui-focusVisible': { borderColor: GLASS.amber },
                }}
              >
                <Picture piece={other} size={Math.min(70, Math.max(22, other.width * 1.5))} />
                <Box component="span" sx={{ fontSize: 11, color: GLASS.quiet }}>
                  {left} left
                </Box>
              </ButtonBase>
            );
          })}
        </Box>
      )}
    </Box>
  );
}
