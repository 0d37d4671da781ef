'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { KIND_NAMES, traits } from '../../../core/kit/kinds';
import type { Piece } from '../../../core/kit/kit';
import { pieceKey } from '../../../core/kit/kit';
import { looksName } from '../../../core/spread/looks-name';
import { sentence } from '../../../core/spread/voice';
import { useKitName } from '../../kit-names';
import { symbolId } from '../../sticker/symbol-id';
import { GLASS } from '../../theme';

/** px to the mm, as on the table of kits; of a strip so much is shown, mm */
const SCALE = 1.9;
const OF_A_STRIP = 70;

/** Everything that goes with a theme on sheets of one kind each: what is taken, and paler what could be. */
export function GatheredSheets({
  pieces,
  taken,
  left,
  onTurn,
}: {
  pieces: readonly Piece[];
  taken: ReadonlySet<string>;
  left: ReadonlyMap<string, number>;
  onTurn: (key: string) => void;
}) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
      {KIND_NAMES.map((kind) => {
        const here = pieces.filter((p) => p.kind === kind);
        if (!here.length) return null;
        const own = here.filter((p) => taken.has(pieceKey(p)));
        const copies = own.reduce((n, p) => n + (left.get(pieceKey(p)) ?? 0), 0);
        return (
          <Paper key={kind} component="section" aria-label={traits(kind).plural} sx={{ p: 1.5 }}>
            <Typography variant="h3" component="h2" sx={{ mb: 1 }}>
              {sentence(traits(kind).plural)}{' '}
              <Typography component="span" variant="body2" color="text.secondary">
                {copies}
              </Typography>
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-end' }}>
              {here.map((p) => (
                <Sticker
                  key={pieceKey(p)}
                  piece={p}
                  left={left.get(pieceKey(p)) ?? 0}
                  isTaken={taken.has(pieceKey(p))}
                  onTurn={onTurn}
                />
              ))}
            </Box>
          </Paper>
        );
      })}
    </Box>
  );
}

const Sticker = memo(function Sticker({
  piece,
  left,
  isTaken,
  onTurn,
}: {
  piece: Piece;
  left: number;
  isTaken: boolean;
  onTurn: (key: string) => void;
}) {
  const called = useKitName();
  const wide = Math.min(piece.width, OF_A_STRIP);
  const name = `${looksName(piece)} of ${called(piece.kit)}`;
  return (
    <ButtonBase
      aria-pressed={isTaken}
      aria-label={name}
      title={`${name}, ${left} left`}
      onClick={() => onTurn(pieceKey(piece))}
      sx={{
        p: 0.5,
        borderRadius: 1,
        opacity: isTaken ? 1 : 0.32,
        outline: isTaken ? 'none' : `1px dashed ${GLASS.edge}`,
        '&:hover, &:focus-visible': { opacity: 1, background: GLASS.bottleSoft },
      }}
    >
      <svg
        width={wide * SCALE}
        height={piece.height * SCALE}
        viewBox={`0 0 ${wide} ${piece.height}`}
        style={{ display: 'block' }}
        aria-hidden
      >
        <use href={`#${symbolId(piece)}`} />
      </svg>
    </ButtonBase>
  );
});
