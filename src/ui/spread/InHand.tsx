'use client';

import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { IconX } from '../icons';
import { later, whenTouched } from '../later';
import { useEffect } from 'react';
import { isWriting } from '../../core/spread/placement';
import { GLASS } from '../theme';
import { useReview } from './review-context';
import { useSpread } from './store';

const Balance = later(() => import('./Balance').then((m) => m.Balance));
const ItemInHand = later(() => import('./in-hand/ItemInHand').then((m) => m.ItemInHand));
const PickedInHand = later(() => import('./in-hand/PickedInHand').then((m) => m.PickedInHand));
const PlacedInHand = later(() => import('./in-hand/PlacedInHand').then((m) => m.PlacedInHand));
const SeveralInHand = later(() => import('./in-hand/SeveralInHand').then((m) => m.SeveralInHand));

/** What can be done with what is in hand: a sticker from its sheet, a piece in the book, several, or an item. */
export function InHand() {
  const picked = useSpread((s) => s.picked);
  const selected = useSpread((s) => s.selected);
  const several = useSpread((s) => s.also.length > 0);
  const item = useSpread((s) => s.context.week.demands.find((d) => d.key === s.item));
  const placement = useSpread((s) => s.placements.find((p) => p.id === s.selected));
  const finish = useSpread((s) => s.step === 'Finish' && s.placements.length > 0);
  const select = useSpread((s) => s.select);
  useEffect(() => whenTouched([PlacedInHand, PickedInHand, ItemInHand, SeveralInHand]), []);
  // a finding points at its piece; what takes it away stands with the finding
  const pointed = useSpread((s) => s.finding !== null);
  const { view } = useReview();
  const piece = placement && view.pieceOf(placement);
  const held = pointed ? null : several ? (
    <SeveralInHand />
  ) : picked ? (
    <PickedInHand piece={picked} />
  ) : placement && (piece || isWriting(placement)) ? (
    <PlacedInHand key={selected} placement={placement} piece={piece ?? null} />
  ) : item ? (
    <ItemInHand key={item.key} demand={item} />
  ) : null;
  if (!held && !finish) return null;
  return (
    <Box
      component="section"
      aria-label={held ? 'In hand' : 'The finish'}
      sx={{
        position: 'relative',
        borderTop: { md: `2px solid ${held ? GLASS.amber : GLASS.edge}` },
        borderBottom: { xs: `2px solid ${held ? GLASS.amber : GLASS.edge}`, md: 'none' },
        background: GLASS.paper,
        px: 1.5,
        py: 1.25,
        flex: '0 1 auto',
        maxHeight: { md: '56%' },
        overflowY: 'auto',
      }}
    >
      {held && (
        <IconButton
          size="small"
          aria-label="Let go"
          onClick={() => select(null)}
          sx={{ position: 'absolute', right: 4, top: 4 }}
        >
          <IconX size={16} />
        </IconButton>
      )}
      {held ?? <Balance />}
    </Box>
  );
}
