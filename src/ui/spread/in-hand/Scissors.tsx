'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { IconMinus, IconPlus } from '../../icons';
import { useMemo } from 'react';
import type { Change } from '../../../core/edit/change';
import { cutToRows, cutToWidth, joinLists, reachOf } from '../../../core/edit/reshape';
import { pieceKey } from '../../../core/kit/kit';
import { ruled } from '../../../core/measure/fraction';
import type { Placement } from '../../../core/spread/placement';
import { pieceIndex } from '../../../core/spread/placement';
import { useSpread } from '../store';

/** One notch of the ruler: a millimeter, or a sixteenth of an inch. */
const NOTCH = { mm: 1, in: 25.4 / 16 } as const;

/** A width that is on a notch stands a hair beside it, in inches. */
const ROUNDING = 0.01;

/** Width by the ruler, and rows of a list, a notch at a time. */
export function Scissors({ placement: p }: { placement: Placement }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const edit = useSpread((s) => s.edit);
  const joined = useMemo(() => joinLists(context, placements, p.id), [context, placements, p.id]);
  const reach = useMemo(() => reachOf(context, placements, p.id), [context, placements, p.id]);
  if (!reach) return null;
  const { unit } = context.book;
  const notch = NOTCH[unit];
  const [least, most] = reach.width;
  const at = p.w / notch;
  const narrower = Math.max(least, Math.ceil(at - 1 - ROUNDING) * notch);
  const wider = Math.min(most, Math.floor(at + 1 + ROUNDING) * notch);
  const piece = pieceIndex(context).get(pieceKey(p));
  const rows = reach.rows && piece ? Math.round(p.h / (piece.height / piece.rows)) : 0;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
      <Stepper
        name="Width"
        value={ruled(p.w, unit)}
        less={cutToWidth(context, placements, p.id, narrower)}
        more={cutToWidth(context, placements, p.id, wider)}
        onStep={edit}
      />
      {joined && (
        <Button size="small" onClick={() => edit(joined)}>
          Join it to the list above
        </Button>
      )}
      {reach.rows && (
        <Stepper
          name="Rows"
          value={String(rows)}
          less={cutToRows(context, placements, p.id, rows - 1)}
          more={cutToRows(context, placements, p.id, rows + 1)}
          onStep={edit}
        />
      )}
    </Box>
  );
}

function Stepper(props: {
  name: string;
  value: string;
  less: Change | null;
  more: Change | null;
  onStep: (change: Change | null) => void;
}) {
  const { name, value, less, more, onStep } = props;
  return (
    <Box role="group" aria-label={name} sx={{ display: 'flex', alignItems: 'center' }}>
      <Typography variant="caption" color="text.secondary" sx={{ mr: 0.5 }}>
        {name}
      </Typography>
      <IconButton size="small" aria-label={`${name}: less`} disabled={!less} onClick={() => onStep(less)}>
        <IconMinus size={15} />
      </IconButton>
      <Typography variant="body2" sx={{ minWidth: 44, textAlign: 'center' }} aria-live="polite">
        {value}
      </Typography>
      <IconButton size="small" aria-label={`${name}: more`} disabled={!more} onClick={() => onStep(more)}>
        <IconPlus size={15} />
      </IconButton>
    </Box>
  );
}
