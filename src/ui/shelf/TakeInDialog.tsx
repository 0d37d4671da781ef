'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { GivenKit } from '../../core/format/given-kit';
import type { AskedOf, TakenIn } from '../../server/take-in';
import type { SameNameWay } from '../../server/taking-in/format';
import { SameNameCard } from './SameNameCard';
import { sentFile } from './files-sent';
import { TakeKitDialog } from '../kits/TakeKitDialog';
import { KIT_FILES, isKitFile, readKitFile } from '../kits/read-kit-file';
import { FormDialog } from '../screen/FormDialog';

/** Takes in kits, calendars and books from files, and says what became of each. */
export function TakeInDialog({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [toCheck, setToCheck] = useState<readonly { file: string; given: GivenKit }[]>([]);
  const [files, setFiles] = useState<readonly File[]>([]);
  const [results, setResults] = useState<readonly TakenIn[]>([]);
  const [asked, setAsked] = useState<readonly AskedOf[]>([]);
  const [reading, setReading] = useState<{ file: string; share: number } | null>(null);
  const stop = useRef<AbortController | null>(null);
  const note = (result: TakenIn) => setResults((known) => [...known, result]);
  const failed = (file: string, message: string) => note({ file, said: null, messages: [message] });

  /** Sends one file, and notes what became of it. */
  const send = async (file: File, way: SameNameWay | null, signal: AbortSignal) => {
    setReading({ file: file.name, share: 0 });
    try {
      for await (const news of sentFile(file, way, signal)) {
        if ('share' in news) setReading(news);
        else if ('same' in news) setAsked((known) => [...known, news]);
        else note(news);
      }
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      failed(
        file.name,
        signal.aborted ? 'It was stopped, and nothing of it was kept.' : `It could not be sent: ${why}.`,
      );
    }
  };
  /** Does it with a cancel that cancels; what was taken in till then stays. */
  const working = async (work: (signal: AbortSignal) => Promise<void>) => {
    stop.current = new AbortController();
    await work(stop.current.signal);
    stop.current = null;
    setReading(null);
    router.refresh();
  };
  const read = () => {
    setResults([]);
    setAsked([]);
    const isKit = (f: File): boolean => isKitFile(f.name);
    return working(async (signal) => {
      for (const file of files.filter((f) => !isKit(f))) {
        if (signal.aborted) return;
        await send(file, null, signal);
      }
      for (const file of files.filter(isKit)) {
        const read = await readKitFile(file);
        if (read.ok) setToCheck((known) => [...known, { file: file.name, given: read.value }]);
        else note({ file: file.name, said: null, messages: read.messages });
      }
    });
  };
  const answer = (of: AskedOf, way: SameNameWay | null) => {
    setAsked((known) => known.filter((a) => a !== of));
    const file = files.find((f) => f.name === of.file);
    if (way && file) return working((signal) => send(file, way, signal));
    failed(of.file, 'It was left.');
    return undefined;
  };
  const close = () => {
    stop.current?.abort();
    onClose();
  };
  const busy = reading !== null;
  const isDone = results.length > 0 && !busy && !asked.length && !toCheck.length && results.every((r) => r.said);
  const checking = toCheck[0];
  const checked = (said: string | null) => {
    if (checking)
      setResults((known) => [...known, { file: checking.file, said, messages: said ? [] : ['It was left.'] }]);
    setToCheck((known) => known.slice(1));
    router.refresh();
  };
  return (
    <>
      <FormDialog
        plain
        title="Import a file"
        cancel={busy ? 'Cancel' : isDone ? null : 'Close'}
        onClose={busy ? () => stop.current?.abort() : close}
        act={
          isDone
            ? { label: 'Done', run: close }
            : { label: 'Import', disabled: !files.length || busy, run: () => void read() }
        }
      >
        <Typography color="text.secondary">
          A kit that was given away (.hobnail-kit.zip), a kit or stash as a spreadsheet saves it (.csv), a calendar
          (.ics), or a measured book (.json). A file is taken in whole or not at all; a kit is looked over first.
        </Typography>
        <Box>
          <Button component="label" variant="outlined">
            Choose files
            <input
              hidden
              type="file"
              multiple
              accept={`${KIT_FILES},.ics,.json`}
              data-testid="files"
              onChange={(e) => {
                setFiles([...(e.target.files ?? [])]);
                setResults([]);
                setAsked([]);
              }}
            />
          </Button>
          <Typography component="span" sx={{ ml: 2 }}>
            {files.map((f) => f.name).join(', ') || 'none chosen'}
          </Typography>
        </Box>
        {reading && (
          <Box>
            <Typography variant="caption" color="text.secondary">
              reading {reading.file}
            </Typography>
            <LinearProgress
              aria-label="Reading"
              variant={reading.share > 0 ? 'determinate' : 'indeterminate'}
              value={reading.share * 100}
            />
          </Box>
        )}
        <Box aria-live="polite" sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
          {asked.map((a) => (
            <SameNameCard
              key={a.file}
              asked={a}
              busy={busy}
              onWay={(way) => void answer(a, way)}
              onLeave={() => void answer(a, null)}
            />
          ))}
          {results.map((r) =>
            r.said ? (
              <Alert key={r.file} severity="success">
                {r.file}: {r.said}.
                {r.messages.map((m) => (
                  <Box key={m}>{m}</Box>
                ))}
              </Alert>
            ) : (
              <Alert key={r.file} severity="error">
                Nothing of {r.file} was kept.
                <Box component="ul" sx={{ pl: 2, m: 0 }}>
                  {r.messages.slice(0, 12).map((m) => (
                    <li key={m}>{m}</li>
                  ))}
                </Box>
                {r.messages.length > 12 && `… and ${r.messages.length - 12} more.`}
              </Alert>
            ),
          )}
        </Box>
      </FormDialog>
      {checking && (
        <TakeKitDialog
          key={checking.file}
          given={checking.given}
          onClose={() => checked(null)}
          onStored={(_, said) => checked(said)}
        />
      )}
    </>
  );
}
