'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { isRoll } from '../../core/kit/kit';
import { isStrip, traits } from '../../core/kit/kinds';
import type { CopyStock, PieceStock, StockEvent } from '../../core/kit/stock';
import { ruled } from '../../core/measure/fraction';
import { changeStock, setFavorite } from '../../server/kit-actions';
import { symbolId } from '../sticker/symbol-id';
import type { Run } from '../use-run';

const REASONS: Readonly<Record<StockEvent['what'], string>> = {
  spoiled: 'torn while peeling',
  used: 'on a card',
  found: 'one more on the sheet',
  kept: 'for another week',
};
const ACTIONS: readonly { readonly what: StockEvent['what']; readonly label: string }[] = [
  { what: 'spoiled', label: 'One was spoiled' },
  { what: 'used', label: 'One was used elsewhere' },
  { what: 'found', label: 'There is one more' },
  { what: 'kept', label: 'Keep one for later' },
];

/** A sticker's design, what became of each copy, and what may have happened to one. */
export function PieceCard({
  line: { piece, copies },
  liked,
  unit,
  run,
  busy,
}: {
  line: PieceStock;
  liked: boolean;
  unit: 'mm' | 'in';
  run: Run;
  busy: boolean;
}) {
  const [what, setWhat] = useState<StockEvent['what'] | null>(null);
  const [reason, setReason] = useState('');
  const whole = copies.filter((c) => c.state === 'whole').length;
  const facts = [
    piece.words && `says “${piece.words}”`,
    piece.icon && `means ${piece.icon}`,
    piece.motif,
    piece.finish,
    piece.foil === 'none' ? '' : `${piece.foil} foil`,
    piece.rows ? `${piece.rows} rows` : '',
    piece.opacity < 1 ? 'translucent' : '',
  ].filter(Boolean);
  const note = async () => {
    if (
      what &&
      (await run(changeStock({ what, kit: piece.kit, code: piece.code, reason: reason.trim() || REASONS[what] })))
    )
      setWhat(null);
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      <svg
        viewBox={`0 0 ${Math.min(piece.width, 110)} ${piece.height}`}
        style={{ maxWidth: '100%', maxHeight: 150, alignSelf: 'flex-start', width: Math.min(piece.width, 110) * 3 }}
        aria-hidden
      >
        <use href={`#${symbolId(piece)}`} />
      </svg>
      <Box>
        <Typography variant="h3" component="h2">
          {traits(piece.kind).label} {piece.code}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {isRoll(piece)
            ? `${piece.height} mm wide, ${Math.round(piece.width / 100) / 10} m on the roll`
            : `${ruled(piece.width, unit)} × ${ruled(piece.height, unit)}`}
        </Typography>
        {facts.length > 0 && (
          <Typography variant="body2" color="text.secondary">
            {facts.join(', ')}
          </Typography>
        )}
      </Box>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={liked}
            disabled={busy}
            onChange={(e) => {
              void run(setFavorite({ kit: piece.kit, code: piece.code, liked: e.target.checked }));
            }}
          />
        }
        label="One of my favorites"
        slotProps={{ typography: { variant: 'body2' } }}
      />
      <Typography variant="body2" sx={{ fontWeight: 600 }} data-testid="sums">
        {sums(copies)}
      </Typography>
      {copies
        .filter((c) => c.state !== 'whole')
        .slice(0, 12)
        .map((c) => (
          <Typography
            key={c.copy}
            variant="caption"
            color="text.secondary"
          >{`copy ${c.copy}: ${c.state}, ${c.where.join(', ')}${c.left.length ? `; left: ${c.left.map((l) => (l.rows ? `${l.rows} ${l.rows === 1 ? 'row' : 'rows'}` : isStrip(piece.kind) ? `${Math.round(l.w)} mm` : `${Math.round(l.w)} × ${Math.round(l.h)} mm`)).join(', ')}` : ''}`}</Typography>
        ))}
      {what === null ? (
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.75, alignItems: 'flex-start' }}>
          {ACTIONS.map((a) => (
            <Button
              key={a.what}
              size="small"
              variant="outlined"
              disabled={busy || (a.what !== 'found' && whole === 0)}
              onClick={() => {
                setWhat(a.what);
                setReason(REASONS[a.what]);
              }}
            >
              {a.label}
            </Button>
          ))}
        </Box>
      ) : (
        <Box
          component="form"
          onSubmit={(e) => {
            e.preventDefault();
            void note();
          }}
          sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}
        >
          <TextField
            autoFocus
            size="small"
            label="Why"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button type="submit" variant="contained" color="secondary" disabled={busy}>
              Note it
            </Button>
            <Button onClick={() => setWhat(null)}>Cancel</Button>
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** `3 whole, 1 cut, 2 used of 6` */
function sums(copies: readonly CopyStock[]): string {
  const said = (['whole', 'cut', 'kept', 'used', 'spoiled'] as const)
    .map((s) => [copies.filter((c) => c.state === s).length, s] as const)
    .filter(([n]) => n > 0);
  return `${said.map(([n, s]) => `${n} ${s}`).join(', ')} of ${copies.length}`;
}
