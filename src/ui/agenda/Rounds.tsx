'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { imageOf } from '../../core/format/image-of';
import type { Round } from '../../core/week/round';
import { spokenRound } from '../../core/week/round';
import { dropRound, saveRound } from '../../server/agenda-actions';
import { GLASS } from '../theme';
import { RoundDialog } from './RoundDialog';
import type { Run } from '../use-run';

/** What the server takes a round as. */
export const sentRound = (round: Round, instead: string, seen: string | null = null): unknown => {
  const { turns, ...rest } = round;
  return { round: { ...rest, slots: turns.map((turn) => ({ turn })) }, instead, seen };
};

/** Rotas, and what takes turns. */
export function Rounds({
  rounds,
  first,
  run,
  busy,
}: {
  rounds: readonly Round[];
  first: string;
  run: Run;
  busy: boolean;
}) {
  const [open, setOpen] = useState<{ round: Round; instead: string } | null>(null);
  const fresh = (every: Round['every']): Round => ({
    name: '',
    first,
    every,
    turns: Array.from({ length: every === 'day' ? 8 : 2 }, () => null),
    kind: null,
    part: null,
  });
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      {rounds.map((r) => (
        <ButtonBase
          key={r.name}
          onClick={() => setOpen({ round: r, instead: r.name })}
          sx={{
            display: 'block',
            textAlign: 'left',
            borderRadius: 1,
            p: 0.75,
            '&:hover': { background: GLASS.bottleSoft },
          }}
        >
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {r.name}
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {spokenRound(r)}
          </Typography>
        </ButtonBase>
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button size="small" variant="outlined" onClick={() => setOpen({ round: fresh('day'), instead: '' })}>
          New rota
        </Button>
        <Button size="small" variant="outlined" onClick={() => setOpen({ round: fresh('week'), instead: '' })}>
          New turns
        </Button>
      </Box>
      {open && (
        <RoundDialog
          round={open.round}
          isNew={open.instead === ''}
          busy={busy}
          onClose={() => setOpen(null)}
          onSave={async (round) => {
            const seen = open.instead ? imageOf(open.round) : null;
            const over = () => saveRound(sentRound(round, open.instead));
            if (await run(() => saveRound(sentRound(round, open.instead, seen)), over)) setOpen(null);
          }}
          onRemove={async () => {
            if (await run(() => dropRound({ name: open.instead }))) setOpen(null);
          }}
        />
      )}
    </Box>
  );
}
