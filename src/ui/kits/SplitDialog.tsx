'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { traits } from '../../core/kit/kinds';
import type { PieceStock } from '../../core/kit/stock';
import { counted } from '../../core/spread/voice';
import { splitKit } from '../../server/kit-corrections';
import { useKitName } from '../kit-names';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { FormDialog } from '../screen/FormDialog';

const wholeOf = (line: PieceStock): number => line.copies.filter((c) => c.state === 'whole').length;

/** Moves whole stickers of a kit to a stash: so many of each design. */
export function SplitDialog({
  name,
  stock,
  stashes,
  run,
  busy,
  messages,
  onClose,
}: {
  name: string;
  stock: readonly PieceStock[];
  stashes: readonly string[];
  run: Run;
  busy: boolean;
  messages: readonly string[];
  onClose: () => void;
}) {
  const called = useKitName();
  const [into, setInto] = useState('');
  const [search, setSearch] = useState('');
  const [shares, setShares] = useState<ReadonlyMap<string, number>>(new Map());
  const lines = stock.filter((l) => wholeOf(l) > 0);
  const words = search.trim().toLowerCase();
  const shown = lines.filter(({ piece: p }) =>
    `${p.code} ${traits(p.kind).label} ${p.words} ${p.icon} ${p.motif}`.toLowerCase().includes(words),
  );
  const total = [...shares.values()].reduce((a, b) => a + b, 0);
  const set = (of: readonly PieceStock[], count: (line: PieceStock) => number) =>
    setShares(
      new Map(
        [...shares, ...of.map((l) => [l.piece.code, Math.max(0, Math.min(wholeOf(l), count(l)))] as const)].filter(
          ([, n]) => n > 0,
        ),
      ),
    );
  const split = async () => {
    const sent = { kit: name, into: into.trim(), shares: [...shares].map(([code, count]) => ({ code, count })) };
    if (await run(() => splitKit(sent))) onClose();
  };
  return (
    <FormDialog
      title={<>Split off from {called(name)}</>}
      onClose={onClose}
      messages={messages}
      aside={
        <Typography color="text.secondary">
          {counted(total, 'sticker')} of {counted(shares.size, 'design')}
        </Typography>
      }
      act={{ label: 'Move them', disabled: busy || !total || !into.trim(), run: () => void split() }}
    >
      <Autocomplete
        freeSolo
        options={[...stashes]}
        inputValue={into}
        onInputChange={(_, to) => setInto(to)}
        renderInput={(params) => (
          <TextField {...params} size="small" label="Stash" helperText="one that is there, or a new name" />
        )}
      />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <TextField
          size="small"
          placeholder="Search"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
          sx={{ flex: 1 }}
          slotProps={{ htmlInput: { 'aria-label': 'Search the lines' } }}
        />
        <Button size="small" onClick={() => set(shown, wholeOf)}>
          All of these
        </Button>
        <Button size="small" onClick={() => set(shown, () => 0)}>
          None
        </Button>
      </Box>
      <Box sx={{ height: 300, overflowY: 'auto', border: `1px solid ${GLASS.edge}`, borderRadius: 2, px: 1.5 }}>
        {shown.map((line) => {
          const { piece: p } = line;
          return (
            <Box key={p.code} sx={{ display: 'flex', alignItems: 'center', gap: 1.5, py: 0.5 }}>
              <svg
                viewBox={`0 0 ${Math.min(p.width, 110)} ${p.height}`}
                style={{ width: 54, height: 30, flexShrink: 0 }}
                aria-hidden
              >
                <use href={`#${symbolId(p)}`} />
              </svg>
              <Typography variant="body2" sx={{ flex: 1 }}>
                {traits(p.kind).label} {p.code}
                {p.words ? ` “${p.words}”` : ''}
              </Typography>
              <Typography variant="caption" color="text.secondary">
                {wholeOf(line)} whole
              </Typography>
              <TextField
                size="small"
                type="number"
                value={shares.get(p.code) ?? 0}
                onChange={(e) => set([line], () => Math.round(Number(e.target.value) || 0))}
                sx={{ width: 84 }}
                slotProps={{ htmlInput: { min: 0, max: wholeOf(line), 'aria-label': `${p.code}, to the stash` } }}
              />
            </Box>
          );
        })}
        {shown.length === 0 && (
          <Typography color="text.secondary" sx={{ py: 1 }}>
            {lines.length ? 'No line fits these words.' : 'Nothing of this kit is whole.'}
          </Typography>
        )}
      </Box>
    </FormDialog>
  );
}
