'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { Children, useMemo, useState } from 'react';
import { counted } from '../../core/spread/voice';
import type { GivenKit } from '../../core/format/given-kit';
import { readPicturedKit, writePicturedKit } from '../../core/format/kit-csv';
import { COLOR_THEMES } from '../../core/kit/color-themes';
import { typicalKit } from '../../core/kit/typical';
import { addCheckedKit } from '../../server/kit-actions';
import { Waiting } from '../Waiting';
import { faultsOf } from './faults-of';
import { FiveColors } from './FiveColors';
import { KIT_FILES, readKitFile } from './read-kit-file';
import { FormDialog } from '../screen/FormDialog';

const LineTable = dynamic(() => import('./LineTable'), { loading: () => <Waiting /> });

/**
 * A kit comes in from a file or from a usual list of contents, is checked and corrected in a table, and only then
 * stored.
 */
export function TakeKitDialog({
  given = null,
  onClose,
  onStored,
}: {
  given?: GivenKit | null;
  onClose: () => void;
  onStored: (name: string, said: string) => void;
}) {
  const [kit, setKit] = useState(given?.kit ?? null);
  const [note, setNote] = useState(given?.note ?? '');
  const [busy, setBusy] = useState(false);
  const [role, setRole] = useState('kit');
  const [colors, setColors] = useState(COLOR_THEMES[0]?.colors ?? []);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const stickers = kit?.pieces.reduce((n, p) => n + (Number(p.count) || 0), 0) ?? 0;
  const csv = useMemo(() => (kit ? writePicturedKit(kit, (picture) => `${picture}.webp`) : ''), [kit]);
  const wrong = useMemo(
    () => (kit ? faultsOf(() => readPicturedKit(csv, `${kit.name}.kit.csv`, kit.name, () => true)) : []),
    [kit, csv],
  );
  const open = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    const read = await readKitFile(file);
    setBusy(false);
    setFaults(read.ok ? [] : read.messages);
    if (!read.ok) return;
    setKit(read.value.kit);
    setNote(read.value.note);
  };
  const store = async () => {
    if (!kit) return;
    setBusy(true);
    const name = kit.name.trim();
    const answer = await addCheckedKit({ name, role, csv, note }).catch((e: unknown) => ({
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
              setNote('');
              setFaults([]);
            }}
          >
            Start over
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
          {note && (
            <Alert severity="info" variant="outlined">
              <Typography variant="caption" component="p">
                A note came with it; it goes to the kit’s card.
              </Typography>
              <Typography sx={{ whiteSpace: 'pre-line', overflowWrap: 'anywhere' }}>{note}</Typography>
            </Alert>
          )}
          <Box sx={{ flexShrink: 0 }}>
            <LineTable kit={kit.name} pieces={kit.pieces} onChange={(pieces) => setKit({ ...kit, pieces })} />
          </Box>
        </>
      ) : (
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr 1.4fr' }, gap: 4 }}>
          <Way name="From a scan">
            A scan or a photo of each sheet brings every sticker with its size and picture.
            <Button component={Link} href="/scan" variant="contained" color="secondary">
              Scan a kit
            </Button>
          </Way>
          <Way name="From a file">
            A kit that was given away (.hobnail-kit.zip), or a list as a spreadsheet saves it (.csv): a line for each
            design, with code, kind, count, width_mm and height_mm.
            <Button component="label" variant="outlined" disabled={busy}>
              {busy ? 'Reading…' : 'Choose a file'}
              <input
                hidden
                type="file"
                accept={KIT_FILES}
                data-testid="kit-file"
                onChange={(e) => void open(e.target.files?.[0])}
              />
            </Button>
          </Way>
          <Way name="From a usual list">
            What such a kit usually has, in its colors. Correct the numbers to what lies before you.
            <FiveColors colors={colors} onChange={setColors} />
            <Box sx={{ display: 'flex', gap: 1 }}>
              <Button variant="outlined" onClick={() => setKit(typicalKit('my mini kit', 'mini', colors))}>
                A mini kit
              </Button>
              <Button variant="outlined" onClick={() => setKit(typicalKit('my full kit', 'full', colors))}>
                A full kit
              </Button>
            </Box>
          </Way>
        </Box>
      )}
    </FormDialog>
  );
}

/** One way in which a kit comes in. */
function Way({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, alignItems: 'flex-start' }}>
      <Typography variant="h3">{name}</Typography>
      {Children.map(children, (child) =>
        typeof child === 'string' ? <Typography color="text.secondary">{child}</Typography> : child,
      )}
    </Box>
  );
}
