'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import { useStore } from 'zustand';
import type { KnownDesign } from '../../core/scan/offers';
import { Messages } from '../screen/Messages';
import { Screen } from '../screen/Screen';
import { Side, Split } from '../screen/Split';
import { UndoRedo } from '../UndoRedo';
import { GLASS } from '../theme';
import { AddKitForm } from './AddKitForm';
import { CornersView } from './CornersView';
import { Facts } from './Facts';
import { OverlayView } from './OverlayView';
import { SheetList } from './SheetList';
import { StickerList } from './StickerList';
import { startScanner } from './scanner';
import { createScan } from './store';
import { useScanKeys } from './use-scan-keys';

/** A kit's sheets from pictures: read, looked over beside their outlines, and stored with their own pictures. */
export function ScanScreen({ scanner, known }: { scanner: boolean; known: readonly KnownDesign[] }) {
  const [scan] = useState(() => createScan(startScanner));
  const [naming, setNaming] = useState(false);
  const [said, setSaid] = useState('');
  const { sheets, current, add, step, cancel } = useStore(scan);
  useScanKeys(scan, known);
  const sheet = sheets.find((s) => s.id === current) ?? null;
  const busy = sheets.some((s) => s.state === 'opening' || s.state === 'reading' || s.state === 'waiting');
  const ready = sheets.some((s) => s.state === 'read' && s.stickers.length > 0);
  const last = sheet?.past.back.length ? 'the last correction' : null;
  const next = sheet?.past.ahead.length ? 'the correction' : null;
  const fromScanner = async () => {
    setSaid('');
    const answer = await fetch('/scanner', { method: 'POST' }).catch(() => null);
    if (!answer?.ok)
      return setSaid('The scanner does not answer. Check that it is on, or choose a picture of the sheet.');
    const blob = await answer.blob().catch(() => null);
    if (!blob) return setSaid('The scanner stopped in the middle. Scan the sheet again.');
    add([new File([blob], `${answer.headers.get('x-sheet') || 'scanned sheet'}.jpg`, { type: blob.type })]);
  };
  const choose = (
    <>
      <Button
        component="label"
        variant={sheets.length ? 'outlined' : 'contained'}
        color={sheets.length ? 'primary' : 'secondary'}
      >
        Choose pictures
        <input
          hidden
          multiple
          type="file"
          accept="image/png,image/jpeg,image/webp"
          data-testid="sheet-files"
          onChange={(e) => {
            add([...(e.target.files ?? [])]);
            e.target.value = '';
          }}
        />
      </Button>
      {scanner && (
        <Button variant="outlined" onClick={() => void fromScanner()}>
          Scan from the scanner
        </Button>
      )}
    </>
  );
  return (
    <Box
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        add([...e.dataTransfer.files]);
      }}
    >
      <Screen
        fill
        title="Scan a kit"
        acts={
          <>
            <UndoRedo undo={last} redo={next} onStep={step} />
            {busy && (
              <Button color="inherit" onClick={cancel}>
                Cancel
              </Button>
            )}
            <Button color="inherit" component={Link} href="/kits">
              Back to the kits
            </Button>
            <Button variant="contained" color="secondary" disabled={!ready || busy} onClick={() => setNaming(true)}>
              Add this kit
            </Button>
          </>
        }
      >
        <Messages across of={said ? [said] : []} onClose={() => setSaid('')} />
        {sheets.length === 0 ? (
          <Empty>{choose}</Empty>
        ) : (
          <Split>
            <Side width={190} gap={1}>
              <SheetList scan={scan} />
              {choose}
            </Side>
            <Box
              component="main"
              sx={{
                flex: 1,
                minWidth: { xs: '100%', md: 0 },
                minHeight: { xs: 480, md: 0 },
                display: 'flex',
                p: 1.5,
                justifyContent: 'center',
                background: GLASS.milk,
              }}
            >
              {sheet?.state === 'asking' && <CornersView key={sheet.id} scan={scan} sheet={sheet} />}
              {sheet?.state === 'read' && (
                <OverlayView key={`${sheet.id} ${sheet.picture}`} scan={scan} sheet={sheet} />
              )}
              {sheet && sheet.state !== 'asking' && sheet.state !== 'read' && (
                <Progress said={sheet.said} state={sheet.state} step={sheet.step} />
              )}
            </Box>
            {sheet?.state === 'read' && (
              <Box
                component="aside"
                aria-label="Stickers found"
                sx={{
                  width: { xs: '100%', md: 330 },
                  flexShrink: 0,
                  display: 'flex',
                  flexDirection: 'column',
                  minHeight: 0,
                  background: GLASS.paper,
                  borderLeft: `1px solid ${GLASS.edge}`,
                }}
              >
                <Facts scan={scan} sheet={sheet} known={known} />
                <StickerList scan={scan} sheet={sheet} />
              </Box>
            )}
          </Split>
        )}
        {naming && <AddKitForm scan={scan} onClose={() => setNaming(false)} />}
      </Screen>
    </Box>
  );
}

function Empty({ children }: { children: React.ReactNode }) {
  return (
    <Box
      component="main"
      sx={{
        m: 'auto',
        maxWidth: 560,
        p: 3,
        textAlign: 'center',
        display: 'flex',
        flexDirection: 'column',
        gap: 2,
        alignItems: 'center',
      }}
    >
      <Typography variant="h2">Lay the sheets on the scanner</Typography>
      <Typography color="text.secondary">
        One picture for each sheet: a scan at 300 dpi, or a photo from straight above with all four corners in it.
        Hobnail finds the stickers, measures them and cuts their pictures out. You look them over before anything is
        stored. No picture leaves this machine.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', justifyContent: 'center' }}>{children}</Box>
      <Typography variant="caption" color="text.secondary">
        PNG, JPEG or WebP; they can be dropped here too.
      </Typography>
    </Box>
  );
}

const STEPS = {
  light: 'Learning the backing and its light',
  lines: 'Looking for cut lines',
  outlines: 'Finding outlines',
  parting: 'Parting stickers that touch',
  measuring: 'Measuring, colors, copies',
} as const;

function Progress({ state, step, said }: { state: string; step: keyof typeof STEPS | null; said: string }) {
  const done = step === null ? 0 : Object.keys(STEPS).indexOf(step) + 1;
  return (
    <Box
      role="status"
      sx={{
        m: 'auto',
        display: 'flex',
        flexDirection: 'column',
        gap: 1.5,
        alignItems: 'center',
        textAlign: 'center',
        maxWidth: 420,
      }}
    >
      {state === 'failed' ? (
        <Typography color="error">{said}</Typography>
      ) : (
        <>
          <Box sx={{ display: 'flex', gap: 0.75 }} aria-hidden>
            {Object.keys(STEPS).map((name, i) => (
              <Box
                key={name}
                sx={{
                  width: 14,
                  height: 14,
                  borderRadius: '50%',
                  background: i < done ? GLASS.bottle : 'transparent',
                  border: `2px solid ${GLASS.bottle}`,
                }}
              />
            ))}
          </Box>
          <Typography>
            {step ? STEPS[step] : state === 'opening' ? 'Opening the picture' : 'Waiting for its turn'}…
          </Typography>
        </>
      )}
    </Box>
  );
}
