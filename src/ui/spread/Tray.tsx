'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import Typography from '@mui/material/Typography';
import { IconLock, IconLockOpen, IconRotateClockwise, IconTrash } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Placement } from '../../core/spread/placement';
import { isWriting } from '../../core/spread/placement';
import { measuredFrom, pageName } from '../../core/bench/measure-from';
import { lockPiece, turnPiece, writeOn } from '../../core/edit/alter';
import { removePiece } from '../../core/edit/remove';
import { spotsFor } from '../../core/edit/spots';
import { swapPiece, swapsFor } from '../../core/edit/swap';
import type { Piece } from '../../core/kit/kit';
import { pieceKey } from '../../core/kit/kit';
import { traits } from '../../core/kit/kinds';
import { ruled } from '../../core/measure/fraction';
import { GLASS } from '../theme';
import { useReview } from './review-context';
import { useSpread } from './store';
import { symbolId } from '../sticker/symbol-id';

const Balance = dynamic(() => import('./Balance').then((m) => m.Balance), { ssr: false });

const MOST_SWAPS = 14;

/** What can be done with the piece in hand: the one picked from a sheet, or the one chosen in the book. */
export function Tray() {
  const picked = useSpread((s) => s.picked);
  const selected = useSpread((s) => s.selected);
  const placement = useSpread((s) => s.placements.find((p) => p.id === s.selected));
  const step = useSpread((s) => s.step);
  const { view } = useReview();
  const piece = placement && view.pieceOf(placement);
  return (
    <Box
      component="section"
      aria-label="In hand"
      sx={{
        borderTop: `1px solid ${GLASS.edge}`,
        background: GLASS.paper,
        px: 2,
        py: 1.25,
        minHeight: 172,
        maxHeight: 230,
        flexShrink: 0,
        overflowY: 'auto',
      }}
    >
      {picked ? (
        <PickedTray piece={picked} />
      ) : placement && (piece || isWriting(placement)) ? (
        <PlacedTray key={selected} placement={placement} piece={piece ?? null} />
      ) : step === 'Finish' && view.placements.length > 0 ? (
        <Balance />
      ) : (
        <EmptyTray />
      )}
    </Box>
  );
}

function EmptyTray() {
  const any = useSpread((s) => s.placements.length > 0);
  return (
    <Typography color="text.secondary" sx={{ py: 2, maxWidth: 560 }}>
      {any
        ? 'Choose a piece in the book to move it, swap it or take it off; or pick a sticker from its sheet to see where it may go.'
        : 'The book lies open and empty. “Arrange the week” lays out everything at once; or pick a sticker from its sheet and begin by hand.'}
    </Typography>
  );
}

function PickedTray({ piece }: { piece: Piece }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const pick = useSpread((s) => s.pick);
  const spots = useMemo(() => spotsFor(context, placements, piece), [context, placements, piece]);
  return (
    <Box sx={{ display: 'flex', gap: 2 }}>
      <Picture piece={piece} size={92} />
      <Box sx={{ flex: 1 }}>
        <Typography variant="h3">{titled(piece)}</Typography>
        <Typography variant="body2" color="text.secondary">
          {piece.width} × {piece.height} mm · {piece.finish.replace('-', ', ')} ·{' '}
          {spots.length
            ? `it may go to ${spots.length} ${spots.length === 1 ? 'place' : 'places'}, shown in amber`
            : 'there is no free place for it now'}
        </Typography>
        <Box component="ul" sx={{ m: 0, mt: 0.75, pl: 2, columns: 2, fontSize: 12.5, color: GLASS.quiet }}>
          {spots.map((s) => (
            <li key={`${s.page}-${s.x}-${s.y}`}>{s.say}</li>
          ))}
        </Box>
      </Box>
      <Button onClick={() => pick(null)}>Put it back</Button>
    </Box>
  );
}

/** What lies in the book: a sticker, or what is written straight onto the paper, which has none. */
function PlacedTray({ placement: p, piece }: { placement: Placement; piece: Piece | null }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const mishap = useSpread((s) => s.mishap);
  const [text, setText] = useState(p.text ?? '');
  const [seen, setSeen] = useState(p.text);
  if (seen !== p.text) {
    setSeen(p.text);
    setText(p.text ?? '');
  }
  const swaps = useMemo(() => swapsFor(context, placements, p.id).slice(0, MOST_SWAPS), [context, placements, p.id]);
  const writes = piece?.writable !== 'no' || p.text !== null;
  const title = piece ? titled(piece) : 'Written on the paper';
  const inkLabel = p.ink ? `Written with ${p.ink}` : 'To be written';
  const { unit } = context.book;
  return (
    <Box sx={{ display: 'flex', gap: 2 }}>
      {piece && <Picture piece={piece} size={92} />}
      <Box sx={{ width: 258, flexShrink: 0 }}>
        <Typography variant="h3" noWrap title={title}>
          {title}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {pageName(context.book, p.page)}, {measuredFrom(context.book, p)}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {ruled(p.w, unit)} × {ruled(p.h, unit)}
          {p.cut && piece ? `, cut from ${ruled(piece.width, unit)} × ${ruled(piece.height, unit)}` : ''}
        </Typography>
        {writes && (
          <FormControl size="small" fullWidth disabled={p.locked} sx={{ mt: 1.25 }}>
            <InputLabel htmlFor="written">{inkLabel}</InputLabel>
            <OutlinedInput
              id="written"
              label={inkLabel}
              multiline
              maxRows={2}
              value={text}
              onChange={(e) => setText(e.target.value)}
              onBlur={() => edit(writeOn(context, p, text))}
              onKeyDown={(e) => {
                e.stopPropagation();
                if (e.key === 'Enter' && !e.shiftKey) {
                  e.preventDefault();
                  (e.target as HTMLElement).blur();
                }
              }}
              slotProps={{ input: { maxLength: 400 } }}
            />
          </FormControl>
        )}
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="caption" color="text.secondary">
          {p.locked
            ? piece
              ? 'Locked: it is stuck down already'
              : 'Locked: it is written already'
            : swaps.length
              ? piece
                ? 'Swap it for'
                : 'Put it on a sticker instead'
              : 'Nothing else fits in its stead'}
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, overflowX: 'auto', py: 0.75, pl: 0.25 }}>
          {!p.locked &&
            swaps.map(({ piece: other, left }) => (
              <ButtonBase
                key={pieceKey(other)}
                data-testid="swap"
                aria-label={`Swap for ${titled(other)}`}
                onClick={() => edit(swapPiece(context, placements, p.id, other))}
                sx={{
                  flexDirection: 'column',
                  gap: 0.25,
                  p: 0.5,
                  borderRadius: 1,
                  border: `1px solid ${GLASS.edge}`,
                  flexShrink: 0,
                  '&:hover': { borderColor: GLASS.amber },
                }}
              >
                <Picture piece={other} size={Math.min(84, Math.max(22, other.width * 1.5))} />
                <Box component="span" sx={{ fontSize: 10.5, color: GLASS.quiet }}>
                  {other.code} · {left}
                </Box>
              </ButtonBase>
            ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 0.5, mt: 0.5, flexWrap: 'wrap' }}>
          {piece && (
            <Button
              size="small"
              startIcon={<IconRotateClockwise size={15} />}
              disabled={p.locked}
              onClick={() => edit(turnPiece(context, p))}
            >
              Turn
            </Button>
          )}
          <Button
            size="small"
            startIcon={p.locked ? <IconLockOpen size={15} /> : <IconLock size={15} />}
            onClick={() => edit(lockPiece(context, p))}
          >
            {p.locked ? 'Unlock' : 'Lock'}
          </Button>
          {piece && (
            <>
              <Button size="small" onClick={() => mishap(p.id, 'spoiled')}>
                It was spoiled
              </Button>
              <Button size="small" onClick={() => mishap(p.id, 'out')}>
                I have none left
              </Button>
            </>
          )}
          <Button
            size="small"
            color="error"
            startIcon={<IconTrash size={15} />}
            disabled={p.locked}
            onClick={() => edit(removePiece(context, placements, p.id))}
          >
            Take off
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

const titled = (p: Piece): string =>
  `${traits(p.kind).label} ${p.code}${p.words ? ` “${p.words}”` : p.icon ? `, ${p.icon}` : p.motif ? `, ${p.motif}` : ''}`;

function Picture({ piece, size }: { piece: Piece; size: number }) {
  const w = Math.min(piece.width, 80);
  return (
    <svg
      viewBox={`0 0 ${w} ${piece.height}`}
      style={{ width: size, height: Math.min(size * 1.25, (size * piece.height) / w), flexShrink: 0 }}
      aria-hidden
    >
      <use href={`#${symbolId(piece)}`} />
    </svg>
  );
}
