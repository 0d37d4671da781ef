'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconTrash } from '../icons';
import { useState } from 'react';
import { imageOf } from '../../core/format/image-of';
import type { Supply } from '../../db/plans';
import { removeSupply, saveSupply } from '../../server/kit-actions';
import { GLASS } from '../theme';
import { SupplyDto } from '../../server/dto/kits.dto';
import { useCheckedForm } from '../fields/use-checked-form';
import type { Run } from '../use-run';

const amount = (text: string): number => Math.max(0, Math.round(Number(text.replace(',', '.')) * 100) / 100 || 0);

/** Correction tape by the meter, pens by ink and type: what is there, and a word before it runs out (handbook K4). */
export function Supplies({ supplies, run, busy }: { supplies: readonly Supply[]; run: Run; busy: boolean }) {
  const blank = { name: '', unit: 'm', amount: 10, warnAt: 2 };
  const { value: fresh, set, sound, submit } = useCheckedForm<Supply>(SupplyDto, blank);
  const add = async (supply: Supply) => {
    const sent = { ...supply, name: supply.name.trim(), reason: 'new' };
    if (
      await run(
        () => saveSupply({ ...sent, seen: imageOf(null) }),
        () => saveSupply(sent),
      )
    )
      set({ name: '' });
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, pt: 1, pb: 2, maxWidth: 820 }}>
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          submit((supply) => void add(supply))();
        }}
        sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}
      >
        <TextField
          size="small"
          label="Supply"
          placeholder="correction tape"
          value={fresh.name}
          onChange={(e) => set({ name: e.target.value })}
          slotProps={{ htmlInput: { maxLength: 100 } }}
        />
        <TextField
          size="small"
          label="There is"
          type="number"
          value={fresh.amount}
          onChange={(e) => set({ amount: amount(e.target.value) })}
          sx={{ width: 100 }}
        />
        <TextField
          size="small"
          label="Unit"
          value={fresh.unit}
          onChange={(e) => set({ unit: e.target.value })}
          sx={{ width: 90 }}
          slotProps={{ htmlInput: { maxLength: 20 } }}
        />
        <TextField
          size="small"
          label="Warn at"
          type="number"
          value={fresh.warnAt}
          onChange={(e) => set({ warnAt: amount(e.target.value) })}
          sx={{ width: 100 }}
        />
        <Button type="submit" variant="contained" color="secondary" disabled={busy || !fresh.name.trim() || !sound}>
          Keep
        </Button>
      </Box>
      {supplies.length === 0 && (
        <Typography color="text.secondary">No supply yet: correction tape in meters, pens by ink and type.</Typography>
      )}
      {supplies.map((s) => (
        <Line key={`${s.name} ${s.amount}`} supply={s} run={run} busy={busy} />
      ))}
    </Box>
  );
}

const REASONS = ['used up', 'bought', 'counted anew', 'dried out'];

/** One supply; a new amount is kept with its reason. */
function Line({ supply: s, run, busy }: { supply: Supply; run: Run; busy: boolean }) {
  const [now, setNow] = useState(String(s.amount));
  const changed = amount(now) !== s.amount;
  const keep = (reason: string) => {
    const sent = { ...s, amount: amount(now), reason };
    void run(
      () => saveSupply({ ...sent, seen: imageOf(s) }),
      () => saveSupply(sent),
    );
  };
  return (
    <Box
      role="group"
      aria-label={s.name}
      sx={{
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        borderBottom: `1px solid ${GLASS.edge}`,
        py: 0.75,
        flexWrap: 'wrap',
      }}
    >
      <Typography sx={{ flex: 1, minWidth: 160 }}>{s.name}</Typography>
      <Typography variant="body2" sx={{ color: s.amount <= s.warnAt ? GLASS.cranberry : GLASS.quiet }}>
        {s.amount <= s.warnAt ? `runs out: ${s.amount} ${s.unit} left` : `${s.amount} ${s.unit}, warns at ${s.warnAt}`}
      </Typography>
      <TextField
        size="small"
        type="number"
        value={now}
        disabled={busy}
        onChange={(e) => setNow(e.target.value)}
        sx={{ width: 100 }}
        slotProps={{ htmlInput: { 'aria-label': `${s.name}, there is` } }}
      />
      {changed &&
        REASONS.map((reason) => (
          <Button key={reason} size="small" variant="outlined" disabled={busy} onClick={() => keep(reason)}>
            {reason}
          </Button>
        ))}
      <IconButton
        aria-label={`Remove ${s.name}`}
        disabled={busy}
        onClick={() => run(() => removeSupply({ name: s.name }))}
      >
        <IconTrash size={16} />
      </IconButton>
    </Box>
  );
}
