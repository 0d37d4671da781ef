'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import {
  IconLock,
  IconLockOpen,
  IconFlipVertical,
  IconRotateClockwise,
  IconStackBack,
  IconStackFront,
} from '../../icons';
import { useMemo } from 'react';
import type { ReactNode } from 'react';
import { measuredFrom, pageName } from '../../../core/bench/measure-from';
import { lockPiece, turnPiece } from '../../../core/edit/alter';
import type { Change } from '../../../core/edit/change';
import { keepForLater, removePiece } from '../../../core/edit/remove';
import { layer, turnAround } from '../../../core/edit/reshape';
import { keepAsMemory } from '../../../core/edit/serve';
import { copyTo } from '../../../core/edit/together';
import type { Piece } from '../../../core/kit/kit';
import { ruled } from '../../../core/measure/fraction';
import { closeUp, makeRoom } from '../../../core/repair/make-room';
import { adriftOf } from '../../../core/spread/adrift';
import type { Placement } from '../../../core/spread/placement';
import { counted, sentence } from '../../../core/spread/voice';
import { shortDay } from '../../../core/week/day-names';
import { GLASS } from '../../theme';
import { useSpread } from '../store';
import { useGlimpse } from '../use-glimpse';
import { looksName } from '../../../core/spread/looks-name';
import { Picture } from './Picture';
import { Scissors } from './Scissors';
import { Swaps } from './Swaps';
import { Wishes } from './Wishes';
import { Writing } from './Writing';
import { Hint } from '../../Hint';

/** What lies in the book: a sticker, or what is written straight onto the paper, which has none. */
export function PlacedInHand({ placement: p, piece }: { placement: Placement; piece: Piece | null }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const mishap = useSpread((s) => s.mishap);
  const { unit } = context.book;
  const writes = piece?.writable !== 'no' || p.text !== null;
  const gone = adriftOf([p], context.week)[0]?.gone ?? [];
  const title = piece ? sentence(looksName(piece)) : 'Written on the paper';
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Box sx={{ display: 'flex', gap: 1.25, pr: 3 }}>
        {piece && <Picture piece={piece} size={54} />}
        <Box sx={{ minWidth: 0 }}>
          <Typography variant="h3" title={title} sx={{ overflowWrap: 'anywhere' }}>
            {title}
          </Typography>
          <Typography variant="caption" color="text.secondary" component="p">
            {pageName(context.book, p.page)}, {measuredFrom(context.book, p)}
          </Typography>
          <Typography variant="caption" color="text.secondary" component="p">
            {ruled(p.w, unit)} × {ruled(p.h, unit)}
            {p.cut && piece ? `, cut from ${ruled(piece.width, unit)} × ${ruled(piece.height, unit)}` : ''}
          </Typography>
        </Box>
      </Box>
      {gone.length > 0 && (
        <Box sx={{ border: `1px dashed ${GLASS.cranberry}`, borderRadius: 1.5, p: 1 }} data-testid="adrift">
          <Typography variant="body2">
            {gone.length < p.items.length ? 'Part of it is' : 'It is'} no longer in the agenda of this week.
          </Typography>
          <Button size="small" disabled={p.locked} onClick={() => edit(removePiece(context, placements, p.id))}>
            Take it off
          </Button>
          <Button size="small" onClick={() => edit(keepAsMemory(context, p, gone))}>
            Keep it as a memory
          </Button>
        </Box>
      )}
      {writes && <Writing placement={p} />}
      <Wishes placement={p} />
      <Acts placement={p} sticker={piece !== null} />
      <Scissors placement={p} />
      <Swaps placement={p} sticker={piece !== null} />
      <Room placement={p} />
      {piece && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
          <Button size="small" disabled={!keepForLater(context, placements, p.id)} onClick={() => mishap(p.id, 'kept')}>
            Keep for later
          </Button>
          <Button size="small" onClick={() => mishap(p.id, 'spoiled')}>
            It was spoiled
          </Button>
          <Button size="small" onClick={() => mishap(p.id, 'out')}>
            I have none left
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** Turning, layers, the lock, and off. */
function Acts({ placement: p, sticker }: { placement: Placement; sticker: boolean }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const over = useMemo(() => layer(context, placements, p.id, 'over'), [context, placements, p.id]);
  const under = useMemo(() => layer(context, placements, p.id, 'under'), [context, placements, p.id]);
  const act = (name: string, change: Change | null, icon: ReactNode) => (
    <Hint title={name}>
      <span>
        <IconButton size="small" aria-label={name} disabled={!change} onClick={() => edit(change)}>
          {icon}
        </IconButton>
      </span>
    </Hint>
  );
  return (
    <Box
      sx={{ display: 'flex', alignItems: 'center', color: GLASS.ink, '& .MuiIconButton-root': { color: 'inherit' } }}
    >
      {sticker && act('Turn', turnPiece(context, p), <IconRotateClockwise size={18} />)}
      {sticker && act('Upside down', turnAround(context, p), <IconFlipVertical size={18} />)}
      {sticker && act('Lay it over the others', over, <IconStackFront size={18} />)}
      {sticker && act('Lay it under the others', under, <IconStackBack size={18} />)}
      {act(
        p.locked ? 'Unlock' : 'Lock',
        lockPiece(context, p),
        p.locked ? <IconLockOpen size={18} /> : <IconLock size={18} />,
      )}
      <Box sx={{ flex: 1 }} />
      <Button
        size="small"
        color="error"
        disabled={p.locked}
        onClick={() => edit(removePiece(context, placements, p.id))}
        sx={{ px: 1, whiteSpace: 'nowrap' }}
      >
        Take off
      </Button>
    </Box>
  );
}

/** What its column can do for it, and where else the same may lie. */
function Room({ placement: p }: { placement: Placement }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const glimpse = useGlimpse();
  const room = useMemo(
    () => (p.layer === 0 ? makeRoom(context, placements, p.id) : null),
    [context, placements, p.id, p.layer],
  );
  const close = useMemo(
    () => (p.day === null || p.layer > 0 ? null : closeUp(context, placements, p.day)),
    [context, placements, p.day, p.layer],
  );
  const copies = useMemo(
    () => [0, 1, 2, 3, 4, 5, 6].map((day) => copyTo(context, placements, p.id, day)),
    [context, placements, p.id],
  );
  const looks = (change: Change) => ({ onClick: () => edit(change), ...glimpse(change) });
  return (
    <>
      {room && (
        <Button size="small" variant="outlined" {...looks(room.change)}>
          Let {counted(room.moved, 'piece')} make room for it
        </Button>
      )}
      {close && (
        <Button size="small" {...looks(close.change)} sx={{ alignSelf: 'flex-start' }}>
          Close gaps, keep time order
        </Button>
      )}
      {copies.some(Boolean) && (
        <Box
          sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center' }}
          role="group"
          aria-label="The same again on"
        >
          <Typography variant="caption" color="text.secondary" sx={{ mr: 0.5 }}>
            The same again on
          </Typography>
          {copies.map((change, day) =>
            change ? (
              <Button
                key={day}
                size="small"
                {...looks(change)}
                sx={{ minWidth: 26, minHeight: 26, px: 0.5, py: 0, fontSize: 12 }}
              >
                {shortDay(context.week.days[day] as string)}
              </Button>
            ) : null,
          )}
        </Box>
      )}
    </>
  );
}
