'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import { saidWhere } from '../../core/kit/planned';
import type { Piece } from '../../core/kit/kit';
import { isRoll } from '../../core/kit/kit';
import { isStrip, traits } from '../../core/kit/kinds';
import type { CopyStock, PieceStock, StockEvent } from '../../core/kit/stock';
import { fine, reeled, ruled } from '../../core/measure/fraction';
import { counted } from '../../core/spread/voice';
import { changeStock, setFavorite } from '../../server/kit-actions';
import { noteLeftOver, takeUpAgain } from '../../server/kit-corrections';
import { symbolId } from '../sticker/symbol-id';
import type { Run } from '../use-run';
import { CorrectKitDialog } from './CorrectKitDialog';
import type { Unit } from '../../core/measure/fraction';
import { parseLength } from '../../core/measure/parse-length';
import { useOwnWays } from '../own-ways';

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
  messages,
}: {
  line: PieceStock;
  liked: boolean;
  unit: Unit;
  run: Run;
  busy: boolean;
  messages: readonly string[];
}) {
  const [what, setWhat] = useState<StockEvent['what'] | null>(null);
  const [reason, setReason] = useState('');
  const [correcting, setCorrecting] = useState(false);
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
      (await run(() => changeStock({ what, kit: piece.kit, code: piece.code, reason: reason.trim() || REASONS[what] })))
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
            ? `${ruled(piece.height, unit)} wide, ${reeled(piece.width, unit)} on the roll`
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
              void run(() => setFavorite({ kit: piece.kit, code: piece.code, liked: e.target.checked }));
            }}
          />
        }
        label="One of my favorites"
        slotProps={{ typography: { variant: 'body2' } }}
      />
      {piece.color !== piece.accent && (
        <Button
          size="small"
          component={Link}
          href={`/plan/gather?colors=${[piece.color, piece.accent].map((c) => c.slice(1)).join(',')}`}
          sx={{ alignSelf: 'flex-start' }}
        >
          A week in its colors
        </Button>
      )}
      <Typography variant="body2" sx={{ fontWeight: 600 }} data-testid="sums">
        {sums(copies)}
      </Typography>
      {copies
        .filter((c) => c.state !== 'whole')
        .slice(0, 12)
        .map((c) => (
          <Box key={c.copy} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography variant="caption" color="text.secondary" sx={{ flex: 1, overflowWrap: 'anywhere' }}>
              {sayCopy(piece, c, unit)}
            </Typography>
            {c.state === 'kept' && (
              <Button
                size="small"
                disabled={busy}
                onClick={() => void run(() => takeUpAgain({ kit: piece.kit, code: piece.code, copy: c.copy }))}
              >
                Use again
              </Button>
            )}
          </Box>
        ))}
      {isStrip(piece.kind) && <LeftOver piece={piece} copies={copies} run={run} busy={busy} />}
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
          <Button size="small" onClick={() => setCorrecting(true)}>
            Correct its line…
          </Button>
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
      {correcting && (
        <CorrectKitDialog
          name={piece.kit}
          code={piece.code}
          run={run}
          busy={busy}
          messages={messages}
          onClose={() => setCorrecting(false)}
        />
      )}
    </Box>
  );
}

/** `copy 2: cut, 2027-W06; left: 120 mm` */
function sayCopy({ kind }: Piece, { copy, state, where, left }: CopyStock, unit: Unit): string {
  const parts = left.map((l) =>
    l.rows ? counted(l.rows, 'row') : isStrip(kind) ? fine(l.w, unit) : `${fine(l.w, unit)} × ${fine(l.h, unit)}`,
  );
  return `copy ${copy}: ${state}${state === 'planned' ? ' for ' : ', '}${where.map(saidWhere).join(', ')}${parts.length ? `; left: ${parts.join(', ')}` : ''}`;
}

/** How much of a strip or roll is left, as it was measured. */
function LeftOver({
  piece,
  copies,
  run,
  busy,
}: {
  piece: Piece;
  copies: readonly CopyStock[];
  run: Run;
  busy: boolean;
}) {
  const { unit } = useOwnWays();
  const begun = copies.find((c) => c.state === 'cut') ?? copies.find((c) => c.state === 'whole');
  const [left, setLeft] = useState('');
  if (!begun) return null;
  const mm = parseLength(left, unit) ?? -1;
  const note = async () => {
    if (await run(() => noteLeftOver({ kit: piece.kit, code: piece.code, copy: begun.copy, left: mm }))) setLeft('');
  };
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        void note();
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'center' }}
    >
      <TextField
        size="small"
        label={copies.length > 1 ? `Left of copy ${begun.copy}` : 'Left of it'}
        placeholder={unit === 'in' ? '7 1/2 in' : '190 mm'}
        value={left}
        onChange={(e) => setLeft(e.target.value)}
        sx={{ width: 130 }}
      />
      <Button type="submit" size="small" disabled={busy || !left.trim() || !(mm >= 0)}>
        Note it
      </Button>
    </Box>
  );
}

/** `3 whole, 1 cut, 2 used of 6` */
function sums(copies: readonly CopyStock[]): string {
  const said = (['whole', 'planned', 'cut', 'kept', 'used', 'spoiled'] as const)
    .map((s) => [copies.filter((c) => c.state === s).length, s] as const)
    .filter(([n]) => n > 0);
  return `${said.map(([n, s]) => `${n} ${s}`).join(', ')} of ${copies.length}`;
}
