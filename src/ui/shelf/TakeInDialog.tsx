'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Kit } from '../../core/kit/kit';
import type { TakeInNews, TakenIn } from '../../server/take-in';
import { TakeKitDialog, faultsOf, kitOfFile } from '../kits/TakeKitDialog';

/** Takes in kits, calendars and books from files, and says what became of each. */
export function TakeInDialog({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [toCheck, setToCheck] = useState<readonly { file: string; kit: Kit }[]>([]);
  const [files, setFiles] = useState<readonly File[]>([]);
  const [results, setResults] = useState<readonly TakenIn[]>([]);
  const [reading, setReading] = useState<{ file: string; share: number } | null>(null);
  const read = async () => {
    setResults([]);
    setReading({ file: files[0]?.name ?? '', share: 0 });
    const form = new FormData();
    const kits = files.filter((f) => /\.csv$/i.test(f.name));
    files.filter((f) => !kits.includes(f)).forEach((f) => form.append('files', f));
    try {
      for await (const news of newsOf(await fetch('/take-in', { method: 'POST', body: form }))) {
        if ('share' in news) setReading(news);
        else setResults((known) => [...known, news]);
      }
      for (const file of kits) {
        const bytes = new Uint8Array(await file.arrayBuffer());
        const faults = faultsOf(() => {
          const kit = kitOfFile(bytes, file.name);
          setToCheck((known) => [...known, { file: file.name, kit }]);
        });
        if (faults.length) setResults((known) => [...known, { file: file.name, said: null, messages: faults }]);
      }
      router.refresh();
    } catch (error) {
      setResults((known) => [
        ...known,
        {
          file: 'The files',
          said: null,
          messages: [
            `The files could not be sent: ${error instanceof Error ? error.message : String(error)}. Nothing more was kept.`,
          ],
        },
      ]);
    }
    setReading(null);
  };
  const busy = reading !== null;
  const checking = toCheck[0];
  const checked = (said: string | null) => {
    if (checking)
      setResults((known) => [...known, { file: checking.file, said, messages: said ? [] : ['It was left.'] }]);
    setToCheck((known) => known.slice(1));
    router.refresh();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>Import a file</DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Typography color="text.secondary">
          A kit or stash as a spreadsheet saves it (.csv), a calendar (.ics), or a measured book (.json). A file is
          taken in whole or not at all; a kit is looked over in a table first.
        </Typography>
        <Box>
          <Button component="label" variant="outlined">
            Choose files
            <input
              hidden
              type="file"
              multiple
              accept=".csv,.ics,.json"
              data-testid="files"
              onChange={(e) => {
                setFiles([...(e.target.files ?? [])]);
                setResults([]);
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
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5 }}>
        <Button onClick={onClose}>Close</Button>
        <Button variant="contained" color="secondary" onClick={read} disabled={!files.length || busy}>
          Import
        </Button>
      </DialogActions>
      {checking && (
        <TakeKitDialog
          key={checking.file}
          given={checking.kit}
          onClose={() => checked(null)}
          onStored={(_, said) => checked(said)}
        />
      )}
    </Dialog>
  );
}

/** The lines of the answer as they come. */
async function* newsOf(response: Response): AsyncGenerator<TakeInNews> {
  if (!response.ok || !response.body) throw new Error(`the server answered ${response.status}`);
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) yield JSON.parse(line) as TakeInNews;
  }
}
