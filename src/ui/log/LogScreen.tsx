'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { spokenName } from '../../core/kit/kit';
import { counted } from '../../core/spread/voice';
import type { Log, LogEntry } from '../../server/past';
import { useKitName } from '../kit-names';
import { GLASS } from '../theme';
import { TopBar } from '../TopBar';

/** All spreads as pictures, year by year, with what to look for in them. */
export function LogScreen({ log, search }: { log: Log; search: string }) {
  const years = [...new Set(log.entries.map((e) => e.week.slice(0, 4)))];
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar
        title={
          <Typography variant="h3" component="h1" sx={{ fontSize: 17 }}>
            Log
          </Typography>
        }
      />
      <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 3, maxWidth: 1500, width: '100%', mx: 'auto' }}>
        <Box component="form" action="/log" role="search" sx={{ display: 'flex', gap: 1, mb: 2, maxWidth: 560 }}>
          <TextField
            name="q"
            size="small"
            fullWidth
            defaultValue={search}
            label="Look for"
            placeholder="an item, a dinner, a kit, a manner, a week"
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <Button type="submit" variant="outlined">
            Search
          </Button>
          {search && (
            <Button component={Link} href="/log">
              All
            </Button>
          )}
        </Box>
        {log.entries.length === 0 && (
          <Typography>
            {search
              ? `No week has “${search}” on it.`
              : 'Nothing is laid out yet. Every week that you plan is kept here, with its picture.'}
          </Typography>
        )}
        {years.map((year) => (
          <Box component="section" key={year} aria-label={year} sx={{ mb: 3 }}>
            <Typography variant="h2" sx={{ mb: 1 }}>
              {year}
            </Typography>
            <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(240px, 1fr))' }}>
              {log.entries
                .filter((e) => e.week.startsWith(year))
                .map((e) => (
                  <Entry key={e.id} entry={e} />
                ))}
            </Box>
          </Box>
        ))}
        {log.earlier && (
          <Button
            component={Link}
            variant="outlined"
            href={`/log?${new URLSearchParams({ ...(search ? { q: search } : {}), before: log.earlier }).toString()}`}
          >
            Earlier weeks
          </Button>
        )}
      </Box>
    </Box>
  );
}

function Entry({ entry: e }: { entry: LogEntry }) {
  const called = useKitName();
  return (
    <Box data-testid="log-entry">
      <Link href={`/spreads/${e.id}`} aria-label={`Open ${e.title}`}>
        <Box
          sx={{
            height: 168,
            borderRadius: 1.5,
            border: `1px solid ${GLASS.edge}`,
            background: '#EFEBE1',
            display: 'flex',
            alignItems: 'center',
            justifyContent: 'center',
            overflow: 'hidden',
          }}
        >
          <img
            src={e.photo ? `/pictures/${e.photo}` : `/spreads/${e.id}/picture?v=${e.revision}`}
            alt={e.photo ? `A photo of ${e.title}` : `The spread of ${e.title}`}
            loading="lazy"
            style={{ maxWidth: '96%', maxHeight: '95%', boxShadow: '0 1px 4px #0002' }}
          />
        </Box>
      </Link>
      <Typography variant="h3" component="h3" sx={{ mt: 0.75 }}>
        {e.title}
      </Typography>
      <Typography variant="caption" color="text.secondary" component="p">
        {called(e.kit)} · {spokenName(e.manner)} · {counted(e.pieces, 'sticker')}
        {e.finished ? ' · on paper' : ''}
      </Typography>
      {e.note && <Typography variant="body2">{e.note}</Typography>}
    </Box>
  );
}
