'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import { spokenName } from '../../core/kit/kit';
import { counted } from '../../core/spread/voice';
import type { Log, LogEntry, LogSearch } from '../../server/past';
import { Dots } from '../Dots';
import { useKitName } from '../kit-names';
import { SpreadPicture } from '../SpreadPicture';
import { GLASS } from '../theme';

const FIELDS = [
  { value: '', name: 'Anywhere' },
  { value: 'items', name: 'Items and texts' },
  { value: 'dinners', name: 'Dinners' },
  { value: 'kit', name: 'Kits' },
  { value: 'manner', name: 'Manners' },
  { value: 'tags', name: 'Tags' },
  { value: 'notes', name: 'Notes and moments' },
] as const;

/** All weeks as pictures, year by year, with what to look for in them. */
export function LogScreen({ log, search }: { log: Log; search: LogSearch }) {
  const years = [...new Set(log.entries.map((e) => e.week.slice(0, 4)))];
  const asked = Boolean(search.words || search.first || search.last);
  return (
    <>
      <SearchForm search={search} asked={asked} />
      {log.entries.length === 0 && (
        <Typography>
          {search.words
            ? `No week has “${search.words}” ${search.field ? 'there' : 'on it'}.`
            : asked
              ? 'No week of those days is laid out.'
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
                <Entry key={e.week} entry={e} />
              ))}
          </Box>
        </Box>
      ))}
      {log.earlier && (
        <Button component={Link} variant="outlined" href={addressOf({ ...search, before: log.earlier })}>
          Earlier weeks
        </Button>
      )}
    </>
  );
}

const addressOf = ({ words, field, first, last, before }: LogSearch): string =>
  `/log?${new URLSearchParams({
    ...(words ? { q: words } : {}),
    ...(field ? { in: field } : {}),
    ...(first ? { from: first } : {}),
    ...(last ? { to: last } : {}),
    ...(before ? { before } : {}),
  }).toString()}`;

function SearchForm({ search, asked }: { search: LogSearch; asked: boolean }) {
  const [field, setField] = useState<string>(search.field ?? '');
  return (
    <Box
      component="form"
      action="/log"
      role="search"
      sx={{ display: 'flex', gap: 1, mb: 2, flexWrap: 'wrap', maxWidth: 1000 }}
    >
      <TextField
        name="q"
        size="small"
        defaultValue={search.words ?? ''}
        label="Look for"
        placeholder="an item, a dinner, a kit, a tag"
        slotProps={{ inputLabel: { shrink: true } }}
        sx={{ flex: '1 1 240px' }}
      />
      <TextField
        select
        size="small"
        label="In"
        value={field}
        onChange={(e) => setField(e.target.value)}
        sx={{ width: 170 }}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      >
        {FIELDS.map((f) => (
          <MenuItem key={f.value} value={f.value}>
            {f.name}
          </MenuItem>
        ))}
      </TextField>
      <input type="hidden" name="in" value={field} />
      {(
        [
          ['from', 'From', search.first],
          ['to', 'To', search.last],
        ] as const
      ).map(([name, label, day]) => (
        <TextField
          key={name}
          name={name}
          type="date"
          size="small"
          label={label}
          defaultValue={day ?? ''}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ width: 160 }}
        />
      ))}
      <Button type="submit" variant="outlined">
        Search
      </Button>
      {asked && (
        <Button component={Link} href="/log">
          All
        </Button>
      )}
    </Box>
  );
}

function Entry({ entry: { week, title, spread, found } }: { entry: LogEntry }) {
  const called = useKitName();
  return (
    // what is out of sight is laid out when it comes near
    <Box data-testid="log-entry" sx={{ contentVisibility: 'auto', containIntrinsicSize: 'auto 270px' }}>
      {spread ? (
        <Link prefetch={false} href={`/spreads/${spread.id}`} aria-label={`Open ${title}`}>
          <SpreadPicture spread={spread} title={title} />
        </Link>
      ) : (
        <Link prefetch={false} href={`/week?week=${week}`} aria-label={`Open ${title}`} style={{ color: GLASS.quiet }}>
          <Box
            sx={{
              height: 168,
              borderRadius: 1.5,
              border: `1px dashed ${GLASS.edge}`,
              display: 'flex',
              alignItems: 'center',
              justifyContent: 'center',
            }}
          >
            no spread
          </Box>
        </Link>
      )}
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mt: 0.75 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {title}
        </Typography>
        {spread !== null && spread.rating > 0 && (
          <Dots raised={spread.rating} hollow={5 - spread.rating} label={`rated ${spread.rating} of 5`} />
        )}
      </Box>
      {spread && (
        <Typography variant="caption" color="text.secondary" component="p">
          {called(spread.kit)} · {spokenName(spread.manner)} · {counted(spread.pieces, 'sticker')}
          {spread.finished ? ' · on paper' : ''}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, fontSize: 12.5 }}>
        <Link
          prefetch={false}
          href={`/week?week=${week}`}
          style={{ color: GLASS.cobalt }}
          aria-label={`Its days, ${title}`}
        >
          Its days
        </Link>
        <Link
          prefetch={false}
          href={`/log/years?week=${week}`}
          style={{ color: GLASS.cobalt }}
          aria-label={`Other years, ${title}`}
        >
          Other years
        </Link>
        {spread && (
          <Link
            prefetch={false}
            href={`/spreads/${spread.id}/share`}
            style={{ color: GLASS.cobalt }}
            aria-label={`Share ${title}`}
          >
            Share
          </Link>
        )}
      </Box>
      {spread !== null && spread.tags.length > 0 && (
        <Typography variant="caption" component="p" sx={{ color: GLASS.bottle }}>
          {spread.tags.map((t) => `#${t}`).join(' ')}
        </Typography>
      )}
      {found.length > 0 && (
        <Typography variant="body2" sx={{ color: GLASS.quiet, overflowWrap: 'anywhere' }}>
          {found.map((part, i) =>
            part.hit ? (
              <Box component="mark" key={i} sx={{ background: '#F3DFC4', color: GLASS.ink, fontWeight: 600 }}>
                {part.text}
              </Box>
            ) : (
              <span key={i}>{part.text}</span>
            ),
          )}
        </Typography>
      )}
      {spread?.note && <Typography variant="body2">{spread.note}</Typography>}
    </Box>
  );
}
