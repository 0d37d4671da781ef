'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { addWashi } from '../../server/kit-corrections';
import { useKitName } from '../kit-names';
import type { Run } from '../use-run';
import { FormDialog } from '../screen/FormDialog';
import { Choice } from '../fields/Choice';

/** Lengths as people say them of tape, in mm. */
const UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 } as const;
type TapeUnit = keyof typeof UNITS;
/** mm; the width of most washi. Common practice. */
const USUAL = 15;

const number = (text: string): number => Number(text.replace(',', '.')) || 0;

/** Rolls of washi and what is left of them, entered one after the other by length. */
export function WashiDialog({
  name,
  run,
  busy,
  messages,
  onClose,
}: {
  name: string;
  run: Run;
  busy: boolean;
  messages: readonly string[];
  onClose: () => void;
}) {
  const called = useKitName();
  const [wide, setWide] = useState(String(USUAL));
  const [long, setLong] = useState('');
  const [unit, setUnit] = useState<TapeUnit>('cm');
  const [color, setColor] = useState('#4f8f8b');
  const [added, setAdded] = useState<readonly { readonly say: string; readonly color: string }[]>([]);
  const length = Math.round(number(long) * UNITS[unit] * 10) / 10;
  const width = number(wide);
  const add = async () => {
    if (await run(() => addWashi({ kit: name, width, length, color }))) {
      setAdded([...added, { say: `${wide} mm × ${long} ${unit}`, color }]);
      setLong('');
    }
  };
  return (
    <FormDialog title={<>Washi in {called(name)}</>} onClose={onClose} messages={messages}>
      <Typography color="text.secondary">A whole roll, or what is left of one: measure it, or guess.</Typography>
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
      >
        <TextField
          size="small"
          label="Wide, mm"
          value={wide}
          onChange={(e) => setWide(e.target.value)}
          sx={{ width: 100 }}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <TextField
          autoFocus
          size="small"
          label="Long"
          value={long}
          onChange={(e) => setLong(e.target.value)}
          sx={{ width: 100 }}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        />
        <Choice
          label="Unit"
          value={unit}
          options={Object.keys(UNITS) as TapeUnit[]}
          onChange={setUnit}
          sx={{ width: 84 }}
        />
        <TextField
          size="small"
          type="color"
          label="Color"
          value={color}
          onChange={(e) => setColor(e.target.value)}
          sx={{ width: 84 }}
        />
        <Button
          type="submit"
          variant="contained"
          color="secondary"
          disabled={busy || width < 1 || width > 200 || length < 5 || length > 100_000}
        >
          Add
        </Button>
      </Box>
      {added.map((a, i) => (
        <Box key={i} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Box sx={{ width: 60, height: 10, background: a.color, opacity: 0.85 }} />
          <Typography variant="body2">{a.say} added</Typography>
        </Box>
      ))}
    </FormDialog>
  );
}
