'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconDownload, IconTrash } from '../icons';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { counted } from '../../core/spread/voice';
import { spokenMoment } from '../../core/week/day-names';
import type { CalendarLine } from '../../server/agenda';
import { dropCalendar } from '../../server/agenda-actions';
import type { Outcome } from '../../server/outcome';
import { TakeInDialog } from '../shelf/TakeInDialog';
import { GLASS } from '../theme';
import { askFeeds } from './ask-feeds';
import { spokenChanges } from './spoken-changes';
import type { Run } from '../use-run';
import { Hint } from '../Hint';
import { FormDialog } from '../screen/FormDialog';

export interface CalendarsProps {
  readonly calendars: readonly CalendarLine[];
  /** the owner's clock */
  readonly zone: string;
  readonly run: Run;
  readonly busy: boolean;
}

/** The calendars that the week is read from: files, what is written here, and feeds. */
export function Calendars({ calendars, zone, run, busy }: CalendarsProps) {
  const day = (iso: string | null): string => (iso ? spokenMoment(iso, zone) : 'never');
  const [following, setFollowing] = useState(false);
  const [takingIn, setTakingIn] = useState(false);
  const feeds = calendars.some((c) => c.address);
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  const ask = async () => {
    setAsking(true);
    await askFeeds();
    setAsking(false);
    router.refresh();
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      {calendars.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          No calendar yet. What you add here makes one.
        </Typography>
      )}
      {calendars.map((c) => (
        <Box
          key={c.name}
          role="group"
          aria-label={c.name}
          sx={{ borderLeft: `3px solid ${c.trouble ? GLASS.cranberry : GLASS.edge}`, pl: 1.25 }}
        >
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Typography variant="body2" sx={{ fontWeight: 600, flex: 1, overflowWrap: 'anywhere' }}>
              {c.name}
            </Typography>
            <Hint title="Export as a file (.ics)">
              <IconButton
                size="small"
                aria-label={`Export ${c.name}`}
                component="a"
                href={`/calendars/${encodeURIComponent(c.name)}`}
              >
                <IconDownload size={16} />
              </IconButton>
            </Hint>
            <Hint title="Remove it (can be undone)">
              <span>
                <IconButton
                  size="small"
                  aria-label={`Remove ${c.name}`}
                  disabled={busy}
                  onClick={() => run(() => dropCalendar({ name: c.name }))}
                >
                  <IconTrash size={16} />
                </IconButton>
              </span>
            </Hint>
          </Box>
          <Typography variant="caption" color="text.secondary" component="p" suppressHydrationWarning>
            {counted(c.items, 'item')}
            {c.address ? ` · a feed, asked ${day(c.checkedAt)}` : ''}
          </Typography>
          {c.trouble && (
            <Typography variant="caption" component="p" suppressHydrationWarning sx={{ color: GLASS.cranberry }}>
              The last check failed: {c.trouble}. What you see is the copy of {day(c.readAt)}.
            </Typography>
          )}
          {!c.trouble && spokenChanges(c.changes) && (
            <Typography variant="caption" component="p" sx={{ color: GLASS.cobalt }}>
              Last time, {spokenChanges(c.changes)}
            </Typography>
          )}
          {c.notes.map((n) => (
            <Typography key={n} variant="caption" component="p" color="text.secondary">
              {n}
            </Typography>
          ))}
        </Box>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {feeds && (
          <Button size="small" variant="outlined" disabled={asking} onClick={() => void ask()}>
            {asking ? 'Asking…' : 'Check the feeds now'}
          </Button>
        )}
        <Button size="small" variant="outlined" onClick={() => setFollowing(true)}>
          Follow a feed
        </Button>
        <Button size="small" variant="outlined" onClick={() => setTakingIn(true)}>
          Import a file
        </Button>
      </Box>
      {following && <FollowDialog onClose={() => setFollowing(false)} run={run} busy={busy} />}
      {takingIn && <TakeInDialog onClose={() => setTakingIn(false)} />}
    </Box>
  );
}

function FollowDialog({ onClose, run, busy }: { onClose: () => void; run: Run; busy: boolean }) {
  const [name, setName] = useState('');
  const [address, setAddress] = useState('');
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [asking, setAsking] = useState<AbortController | null>(null);
  const follow = async () => {
    const stop = new AbortController();
    setAsking(stop);
    setTrouble([]);
    const answer = await fetch('/feeds', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: name.trim(), address: address.trim() }),
      signal: stop.signal,
    })
      .then((r) => r.json() as Promise<Outcome<unknown>>)
      .catch(() => null);
    setAsking(null);
    if (stop.signal.aborted) return;
    if (!answer?.ok) return setTrouble(answer?.messages ?? ['The server could not be reached.']);
    await run(() => Promise.resolve(answer));
    onClose();
  };
  const close = () => {
    asking?.abort();
    onClose();
  };
  return (
    <FormDialog
      title="Follow a feed"
      size="xs"
      onClose={close}
      messages={trouble}
      act={{ label: 'Follow', disabled: busy || asking !== null || !name.trim() || !address.trim(), run: follow }}
    >
      <Typography variant="body2" color="text.secondary">
        A calendar that someone else keeps, read from its address. It is asked again whenever the agenda opens; when it
        fails, its last good copy stays.
      </Typography>
      <TextField
        autoFocus
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 100 } }}
      />
      <TextField
        label="Address"
        placeholder="http://127.0.0.1:4390/household.ics"
        value={address}
        onChange={(e) => setAddress(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      {asking && (
        <Box>
          <Typography variant="caption" color="text.secondary">
            checking; it has 10 seconds
          </Typography>
          <LinearProgress aria-label="Asking the feed" />
        </Box>
      )}
    </FormDialog>
  );
}
