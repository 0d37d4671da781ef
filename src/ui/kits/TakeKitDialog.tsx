'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { counted } from '../../core/spread/voice';
import { decodeText } from '../../core/format/decode';
import { readKit, writeKit } from '../../core/format/kit-csv';
import type { Kit } from '../../core/kit/kit';
import { typicalKit } from '../../core/kit/typical';
import { addCheckedKit } from '../../server/kit-actions';
import { Waiting } from '../Waiting';
import { faultsOf } from './faults-of';
import { FormDialog } from '../screen/FormDialog';

const LineTable = dynamic(() => import('./LineTable'), { loading: () => <Waiting /> });

/** @throws BadInput */
export const kitOfFile = (bytes: Uint8Array, file: string): Kit =>
  readKit(decodeText(bytes, file), file, file.replace(/\.csv$/i, '').replace(/\.kit$/i, ''));

/**
 * A kit comes in from a CSV file or from a usual list of contents, is checked and corrected in a table, and only then
 * stored.
 */
export function TakeKitDialog({
  given = null,
  onClose,
  onStored,
}: {
  given?: Kit | null;
  onClose: () => void;
  onStored: (name: string, said: string) => void;
}) {
  const [kit, setKit] = useState(given);
  const [busy, setBusy] = useState(false);
  const [role, setRole] = useState('kit');
  const [faults, setFaults] = useState<readonly string[]>([]);
  const stickers = kit?.pieces.reduce((n, p) => n + (Number(p.count) || 0), 0) ?? 0;
  const csv = useMemo(() => (kit ? writeKit(kit) : ''), [kit]);
  const wrong = useMemo(() => (kit ? faultsOf(() => readKit(csv, `${kit.name}.kit.csv`, kit.name)) : []), [kit, csv]);
  const open = async (file: File | undefined) => {
    if (!file) return;
    const bytes = new Uint8Array(await file.arrayBuffer());
    setFaults(faultsOf(() => setKit(kitOfFile(bytes, file.name))));
  };
  const store = async () => {
    if (!kit) return;
    setBusy(true);
    const name = kit.name.trim();
    const answer = await addCheckedKit({ name, role, csv }).catch((e: unknown) => ({
      ok: false as const,
      messages: [`The server could not be reached: ${String(e)}. Nothing was kept.`],
    }));
    setBusy(false);
    if (answer.ok) onStored(name, `${counted(stickers, 'sticker')} of ${counted(kit.pieces.length, 'design')}`);
    else setFaults(answer.messages);
  };
  return (
    <FormDialog
      title={kit ? 'Check the kit' : 'Add a kit'}
      size="lg"
      unsaved={kit !== null}
      onClose={onClose}
      messages={[...faults, ...wrong]}
      aside={
        kit && (
          <Button
            onClick={() => {
              setKit(null);
              setFaults([]);
            }}
          >
            Begin again
          </Button>
        )
      }
      act={{ label: 'Add this kit', disabled: !kit || busy || wrong.length > 0 || !kit.name.trim(), run: store }}
    >
      {kit ? (
        <>
          <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
            <TextField
              size="small"
              label="Name"
              value={kit.name}
              onChange={(e) => setKit({ ...kit, name: e.target.value })}
              slotProps={{ htmlInput: { maxLength: 80 } }}
            />
            <RadioGroup row value={role} onChange={(e) => setRole(e.target.value)}>
              <FormControlLabel value="kit" control={<Radio />} label="a kit" />
              <FormControlLabel value="stash" control={<Radio />} label="stash" />
            </RadioGroup>
            <Typography color="text.secondary">
              {counted(stickers, 'sticker')} of {counted(kit.pieces.length, 'design')}. Double-click a cell to correct
              it, or paste from a spreadsheet; nothing is stored yet.
            </Typography>
          </Box>
          <LineTable kit={kit.name} pieces={kit.pieces} onChange={(pieces) => setKit({ ...kit, pieces })} />
        </>
      ) : (
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 3 }}>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, alignItems: 'flex-start' }}>
            <Typography variant="h3">From a file</Typography>
            <Typography color="text.secondary">
              A list as a spreadsheet saves it (.csv): a line for each design, with code, kind, count, width_mm and
              height_mm.
            </Typography>
            <Button component="label" variant="outlined">
              Choose a file
              <input
                hidden
                type="file"
                accept=".csv"
                data-testid="kit-file"
                onChange={(e) => void open(e.target.files?.[0])}
              />
            </Button>
          </Box>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, alignItems: 'flex-start' }}>
            <Typography variant="h3">From a usual list</Typography>
            <Typography color="text.secondary">
              What such a kit usually has. Correct the numbers to what lies before you.
            </Typography>
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Button variant="outlined" onClick={() => setKit(typicalKit('my mini kit', 'mini'))}>
                A mini kit
              </Button>
              <Button variant="outlined" onClick={() => setKit(typicalKit('my full kit', 'full'))}>
                A full kit
              </Button>
            </Box>
          </Box>
        </Box>
      )}
    </FormDialog>
  );
}
