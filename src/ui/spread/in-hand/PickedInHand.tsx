'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { placeAt, spotsFor } from '../../../core/edit/spots';
import type { Piece } from '../../../core/kit/kit';
import { ruled } from '../../../core/measure/fraction';
import { useSpread } from '../store';
import { Choice } from './Choice';
import { looksName } from '../../../core/spread/looks-name';
import { Picture } from './Picture';
import { sentence } from '../../../core/spread/voice';

/** A sticker from its sheet, and the places where it may go. */
export function PickedInHand({ piece }: { piece: Piece }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const select = useSpread((s) => s.select);
  const spots = useMemo(() => spotsFor(context, placements, piece), [context, placements, piece]);
  const { unit } = context.book;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.25, pr: 3 }}>
        <Picture piece={piece} size={64} />
        <Box>
          <Typography variant="h3" title={piece.code}>
            {sentence(looksName(piece))}
          </Typography>
          <Typography variant="caption" color="text.secondary" component="p">
            {ruled(piece.width, unit)} × {ruled(piece.height, unit)}, {piece.finish.replace('-', ', ')}
          </Typography>
        </Box>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ my: 0.75 }}>
        {spots.length
          ? 'Drag it into the book, or choose one of these places:'
          : 'There is no free place for it now. It can be dragged onto the book all the same.'}
      </Typography>
      {spots.map((spot) => {
        const change = placeAt(context, placements, piece, spot);
        return (
          <Choice
            key={`${spot.page}-${spot.x}-${spot.y}`}
            onTake={() => {
              edit(change);
              select(change?.after.at(-1)?.id ?? null);
            }}
            change={change}
          >
            {spot.say}
          </Choice>
        );
      })}
    </>
  );
}
