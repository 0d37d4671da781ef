import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { saidWhere } from '../../core/kit/planned';
import { counted } from '../../core/spread/voice';
import { spokenMoment } from '../../core/week/day-names';
import { backUpNow, lookAtBackup, restoreBackup } from '../../server/backup-actions';
import type { LeftOut } from '../../server/backup/fill-data';
import type { BackupFile } from '../../server/backup/backup-files';
import type { Counts } from '../../server/backup/manifest';
import type { Preview } from '../../server/backup/restore';
import type { Outcome } from '../../server/outcome';
import { GLASS } from '../theme';
import { sendFile } from './send-file';
import { FormDialog } from '../screen/FormDialog';
import { Pairs } from '../screen/Pairs';

const size = (bytes: number): string =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
const said = (c: Counts): string =>
  `${counted(c.weeks, 'week')}${c.lastWeek ? ` up to ${saidWhere(c.lastWeek)}` : ''}, ${counted(c.stickers, 'sticker')} laid, ${counted(c.kits, 'kit')}, ${counted(c.calendars, 'calendar')}, ${counted(c.pictures, 'picture')}`;

/** What rows are called that were not taken: what their owner would miss. */
const ROWS_OF: ReadonlyMap<string, readonly [one: string, many: string]> = new Map([
  ['spread', ['week', 'weeks']],
  ['placement', ['sticker on a spread', 'stickers on spreads']],
  ['writing', ['text on a spread', 'texts on spreads']],
  ['kit', ['kit', 'kits']],
  ['piece', ['sticker of a kit', 'stickers of kits']],
  ['book', ['book', 'books']],
  ['calendar', ['calendar', 'calendars']],
  ['setting', ['setting', 'settings']],
  ['log', ['step of undo', 'steps of undo']],
  ['keep', ['finished week’s notes', 'finished weeks’ notes']],
]);
const WORK: ReadonlyMap<string, string> = new Map([
  ['now', 'Backing up…'],
  ['bring', 'Reading the file…'],
  ['restore', 'Putting it back…'],
]);
const leftOutSaid = (leftOut: readonly LeftOut[]): string =>
  leftOut
    .map(({ table, rows }) =>
      counted(rows, ...(ROWS_OF.get(table) ?? ([`row of “${table}”`, `rows of “${table}”`] as const))),
    )
    .join(', ');

/** Everything in one file: made by itself each day, on demand, and put back. */
export function Backups({ backups, old, zone }: { backups: readonly BackupFile[]; old: boolean; zone: string }) {
  const router = useRouter();
  const [busy, setBusy] = useState('');
  /** share of a file that is there, 0-1 */
  const [part, setPart] = useState(0);
  const [told, setTold] = useState<{ good: boolean; text: string } | null>(null);
  const [asked, setAsked] = useState<{ name: string; preview: Preview } | null>(null);
  const during = async <T,>(what: string, action: Promise<Outcome<T>>, done: (value: T) => string | null) => {
    setBusy(what);
    const answer = await action.catch(() => null);
    setBusy('');
    if (!answer) return setTold({ good: false, text: 'The server could not be reached; nothing was changed.' });
    if (!answer.ok) return setTold({ good: false, text: answer.messages.join(' ') });
    const text = done(answer.value);
    if (text !== null) setTold({ good: true, text });
    router.refresh();
  };
  const look = (name: string) =>
    void during(name, lookAtBackup({ name }), (preview) => {
      setAsked({ name, preview });
      return null;
    });
  return (
    <Paper component="section" aria-label="Backups" sx={{ p: 2.5 }}>
      <Typography variant="h2">Backups</Typography>
      <Typography color="text.secondary" sx={{ mt: 0.5, mb: 1.5 }}>
        One file with everything: weeks, kits, calendars, pictures. One is made by itself each day while Hobnail runs,
        and looked over; seven days, five weeks and twelve months of them are kept. Save one elsewhere now and then.
      </Typography>
      {old && (
        <Alert severity="warning" sx={{ mb: 1.5 }}>
          {backups.some((b) => !b.ahead) ? 'The last backup is more than a week old.' : 'There is no backup yet.'}
        </Alert>
      )}
      {told && (
        <Alert severity={told.good ? 'success' : 'error'} onClose={() => setTold(null)} sx={{ mb: 1.5 }}>
          {told.text}
        </Alert>
      )}
      {busy !== '' && (
        <Box sx={{ mb: 1.5 }} role="status">
          <Typography variant="body2" sx={{ mb: 0.5 }}>
            {WORK.get(busy) ?? 'Looking it over…'}
          </Typography>
          <LinearProgress
            aria-label="How far it is"
            variant={busy === 'bring' && part < 1 ? 'determinate' : 'indeterminate'}
            value={part * 100}
          />
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
        <Button
          variant="contained"
          color="secondary"
          disabled={busy !== ''}
          onClick={() => void during('now', backUpNow(), ({ bytes }) => `Backed up and looked over: ${size(bytes)}.`)}
        >
          Back up now
        </Button>
        <Button component="label" variant="outlined" disabled={busy !== ''}>
          Import a backup or export
          <input
            type="file"
            hidden
            accept=".zip"
            data-testid="backup-file"
            onChange={(e) => {
              const [file] = e.target.files ?? [];
              if (file)
                void during('bring', sendFile(file, setPart), ({ name }) => {
                  if (name) look(name);
                  return 'It is whole, and lies among the others now.';
                });
              e.target.value = '';
            }}
          />
        </Button>
        <Button variant="outlined" href="/export" download>
          Export everything
        </Button>
      </Box>
      <Typography variant="caption" component="p" color="text.secondary" sx={{ mb: 1 }}>
        An export has everything in open formats (iCalendar, CSV, JSON, SVG, PNG, WebP), for other programs, or for a
        Hobnail elsewhere, which imports it here.
      </Typography>
      {backups.map((b) => (
        <Box
          key={b.name}
          data-testid="backup"
          sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 0.5, borderTop: `1px solid ${GLASS.edge}` }}
        >
          <Typography sx={{ flex: 1 }}>
            {spokenMoment(b.made, zone)}
            {b.ahead && (
              <Typography component="span" variant="caption" sx={{ ml: 1, color: GLASS.cranberry }}>
                dated later than tomorrow: it does not count as a backup of these days
              </Typography>
            )}
          </Typography>
          <Typography color="text.secondary">{size(b.bytes)}</Typography>
          <Button size="small" href={`/backups/${b.name}`}>
            Save a copy
          </Button>
          <Button size="small" disabled={busy !== ''} onClick={() => look(b.name)}>
            Put it back…
          </Button>
        </Box>
      ))}
      {asked && (
        <FormDialog
          plain
          title={<>Put everything back as it was on {spokenMoment(asked.preview.made, zone)}?</>}
          onClose={() => setAsked(null)}
          act={{
            label: 'Put it back',
            disabled: busy !== '',
            run: () => {
              const { name } = asked;
              setAsked(null);
              void during('restore', restoreBackup({ name }), ({ leftOut }) =>
                leftOut.length
                  ? `It is as it was then, but for what could not be read: ${leftOutSaid(leftOut)}. The latest backup has what was here before.`
                  : 'It is all as it was then. The latest backup has what was here before.',
              );
            },
          }}
        >
          <Pairs
            of={[
              ['Then', said(asked.preview.then)],
              ['Now', said(asked.preview.now)],
            ]}
          />
          <Typography sx={{ mt: 2 }}>
            {asked.preview.lost.length
              ? `Weeks that are planned now and not in it: ${asked.preview.lost.map(saidWhere).join(', ')}.`
              : 'Every week that is planned now is in it, as it was then.'}{' '}
            What is here now is backed up first, so that it can be put back the same way.
          </Typography>
          {asked.preview.leftOut.length > 0 && (
            <Alert severity="warning" sx={{ mt: 2 }}>
              Not all of it can be read. Left out: {leftOutSaid(asked.preview.leftOut)}.
            </Alert>
          )}
        </FormDialog>
      )}
    </Paper>
  );
}
