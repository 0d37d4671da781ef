import Alert from '@mui/material/Alert';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useStore } from 'zustand';
import { writeKit } from '../../core/format/kit-csv';
import { kitOfScan } from '../../core/scan/kit-of-scan';
import { counted } from '../../core/spread/voice';
import type { Outcome } from '../../server/outcome';
import type { Scan } from './SheetList';
import { FormDialog } from '../screen/FormDialog';

/** The scanned sheets under a name, and the way into the house: list and pictures together. */
export function AddKitForm({ scan, onClose }: { scan: Scan; onClose: () => void }) {
  const router = useRouter();
  const { sheets, pictures } = useStore(scan);
  const [name, setName] = useState('');
  const [role, setRole] = useState('kit');
  const [busy, setBusy] = useState(false);
  const [faults, setFaults] = useState<readonly string[]>([]);
  const read = sheets.filter((s) => s.state === 'read' && s.stickers.length);
  const { kit, scanned } = kitOfScan(name.trim(), read);
  const doubtful = read.reduce((n, s) => n + s.stickers.filter((t) => t.doubts.length).length, 0);
  const store = async () => {
    setBusy(true);
    setFaults([]);
    try {
      const form = new FormData();
      form.set('kit', JSON.stringify({ name: kit.name, role, csv: writeKit(kit) }));
      for (const [i, sheet] of read.entries()) {
        const mine = scanned.filter((s) => s.sheet === i);
        const cut = await pictures(
          sheet.id,
          mine.map((s) => s.sticker),
        );
        cut.forEach((blob, k) => form.append('pictures', blob, mine[k]?.piece.code ?? ''));
      }
      const answer = await fetch('/scanned-kits', { method: 'POST', body: form });
      const done = (await answer.json()) as Outcome<{ name: string }>;
      if (done.ok) router.push(`/kits?kit=${encodeURIComponent(done.value.name)}`);
      else setFaults(done.messages);
    } catch (e) {
      setFaults([`The server could not be reached: ${e instanceof Error ? e.message : String(e)}. Nothing was kept.`]);
    }
    setBusy(false);
  };
  return (
    <FormDialog
      title="Add this kit"
      onClose={onClose}
      messages={faults}
      act={{
        label: busy ? 'Cutting the pictures out…' : 'Add it',
        disabled: busy || !name.trim(),
        run: () => void store(),
      }}
    >
      <Typography>
        {counted(
          read.reduce((n, s) => n + s.stickers.length, 0),
          'sticker',
        )}{' '}
        of {counted(scanned.length, 'design')} on {counted(read.length, 'sheet')}.
      </Typography>
      {doubtful > 0 && (
        <Alert severity="info">
          Not looked at yet: {counted(doubtful, 'sticker')}. They come in as they were read.
        </Alert>
      )}
      <TextField
        autoFocus
        label="Name of the kit"
        value={name}
        onChange={(e) => setName(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <RadioGroup row value={role} onChange={(e) => setRole(e.target.value)} aria-label="What it is">
        <FormControlLabel value="kit" control={<Radio />} label="a kit" />
        <FormControlLabel value="stash" control={<Radio />} label="loose sheets for the stash" />
      </RadioGroup>
    </FormDialog>
  );
}
