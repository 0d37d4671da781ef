'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconArrowBackUp, IconArrowForwardUp, IconSearch } from '@tabler/icons-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import type { Demand } from '../../core/week/demand';
import { spokenWeek } from '../../core/week/week';
import type { Agenda } from '../../server/agenda';
import { dropEntry, saveEntry, undoAgenda } from '../../server/agenda-actions';
import type { Outcome } from '../../server/outcome';
import { TopBar } from '../TopBar';
import { EntryDialog } from './EntryDialog';
import { MonthGrid } from './MonthGrid';
import { TypedLine } from './TypedLine';
import { WeekList } from './WeekList';

/** The month beside the week: what the week must hold, added by one typed line or by form. */
export function AgendaScreen({ agenda }: { agenda: Agenda }) {
  const router = useRouter();
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [editing, setEditing] = useState<{ entry: AgendaEntry; demand: Demand | null } | null>(null);
  const [search, setSearch] = useState('');
  const [busy, setBusy] = useState(false);
  const { week, history } = agenda;
  const run = async (action: Promise<Outcome<unknown>>): Promise<boolean> => {
    setBusy(true);
    const done = await action.catch((error: unknown): Outcome<unknown> => ({ ok: false, messages: [`The server could not be reached: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`] }));
    setMessages(done.ok ? [] : done.messages);
    if (done.ok) router.refresh();
    setBusy(false);
    return done.ok;
  };
  const save = (entry: AgendaEntry) => run(saveEntry({ entry }));
  const remove = (uid: string, day: string | null) => run(dropEntry({ uid, day }));
  useHotkeys('mod+z', (e) => { e.preventDefault(); if (history.undo) void run(undoAgenda({ way: 'undo' })); }, [history]);
  useHotkeys('mod+y, mod+shift+z', (e) => { e.preventDefault(); if (history.redo) void run(undoAgenda({ way: 'redo' })); }, [history]);
  const from = week.days.includes(agenda.today) ? agenda.today : (week.days[0] as string);
  return (
    <Box sx={{ height: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar title={<><Typography variant="h3" component="h1" sx={{ fontSize: 17 }}>Agenda · {spokenWeek(week.days)}</Typography><Typography variant="caption" aria-live="polite" data-testid="agenda-saved" sx={{ opacity: 0.85 }}>{busy ? 'saving…' : 'saved'}</Typography></>}>
        <Tooltip title={history.undo ? `Undo: ${history.undo}` : 'Nothing to undo'}><span><IconButton color="inherit" aria-label="Undo" disabled={!history.undo || busy} onClick={() => run(undoAgenda({ way: 'undo' }))}><IconArrowBackUp size={20} /></IconButton></span></Tooltip>
        <Tooltip title={history.redo ? `Redo: ${history.redo}` : 'Nothing to redo'}><span><IconButton color="inherit" aria-label="Redo" disabled={!history.redo || busy} onClick={() => run(undoAgenda({ way: 'redo' }))}><IconArrowForwardUp size={20} /></IconButton></span></Tooltip>
        {agenda.spreadId !== null && <Button color="inherit" component={Link} href={`/spreads/${agenda.spreadId}`}>To the spread</Button>}
      </TopBar>
      {messages.map((m) => <Alert key={m} severity="error" onClose={() => setMessages([])} sx={{ borderRadius: 0 }}>{m}</Alert>)}
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <MonthGrid agenda={agenda} />
        <Box component="main" sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', px: 3, py: 2, gap: 1.5 }}>
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
            <TypedLine from={from} busy={busy} onSave={save} onForm={(entry) => setEditing({ entry, demand: null })} />
            <TextField size="small" placeholder="Find" value={search} onChange={(e) => setSearch(e.target.value)} sx={{ width: 160 }} slotProps={{ htmlInput: { 'aria-label': 'Find an item' }, input: { startAdornment: <InputAdornment position="start"><IconSearch size={15} /></InputAdornment> } }} />
          </Box>
          <WeekList agenda={agenda} search={search} onOpen={(demand) => { const entry = agenda.entries[demand.uid]; if (entry) setEditing({ entry, demand }); }} />
        </Box>
      </Box>
      {editing && (
        <EntryDialog
          entry={editing.entry} day={editing.demand && editing.entry.repeat ? (week.days[editing.demand.day] as string) : null} busy={busy} onClose={() => setEditing(null)}
          onSave={async (entry) => { if (await save(entry)) setEditing(null); }}
          onRemove={async (day) => { if (await remove(editing.entry.uid, day)) setEditing(null); }}
        />
      )}
    </Box>
  );
}
