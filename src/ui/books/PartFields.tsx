import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Book, MarkKind, RegionKind } from '../../core/book/book';
import type { Part } from '../../core/book/change-book';
import { hasDay, placeOf, removePart, repeatRight, setMark, setPlace, setRegion } from '../../core/book/change-book';
import { tidy } from '../../core/measure/length';
import { LengthField } from '../fields/LengthField';
import { Choice } from '../fields/Choice';

export const REGION_KINDS: readonly RegionKind[] = [
  'day',
  'date-header',
  'sidebar',
  'bottom-strip',
  'top-strip',
  'month-flag',
  'free',
];
export const MARK_KINDS: readonly MarkKind[] = ['line', 'box', 'label', 'circle'];
const DAYS = ['first day', 'second day', 'third day', 'fourth day', 'fifth day', 'sixth day', 'seventh day'];

/** The chosen place or mark in numbers: kind, day, place and size; to repeat it across the page, to take it away. */
export function PartFields({
  book,
  part,
  onChange,
}: {
  book: Book;
  part: Part;
  onChange: (book: Book, chosen?: Part | null) => void;
}) {
  const [times, setTimes] = useState(3);
  const rect = placeOf(book, part);
  const [pitch, setPitch] = useState(rect ? tidy(rect.w + 2) : 40);
  if (!rect) return null;
  const region = part.of === 'region' ? book.regions.find((r) => r.id === part.id) : undefined;
  const field = (label: string, key: 'x' | 'y' | 'w' | 'h') => (
    <LengthField
      key={`${JSON.stringify(part)} ${key}`}
      label={label}
      value={rect[key]}
      unit={book.unit}
      onChange={(mm) => onChange(setPlace(book, part, { [key]: mm }))}
    />
  );
  const first = region?.rows?.[0];
  const split = (count: number): void => {
    if (!region) return;
    const h = count ? tidy((region.h - (count - 1) * 2) / count) : 0;
    onChange(
      setRegion(book, region.id, {
        rows: Array.from({ length: count }, (_, i) => ({ y: tidy(region.y + i * (h + 2)), h })),
      }),
    );
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
        {region ? region.id : `printed ${book.marks[(part as { at: number }).at]?.kind}`}
      </Typography>
      {region ? (
        <Choice
          label="What it is"
          value={region.kind}
          options={REGION_KINDS.map((k) => [k, k.replace('-', ' ')] as const)}
          onChange={(chosen) =>
            onChange(
              setRegion(book, region.id, {
                kind: chosen,
                ...(hasDay(chosen) ? { day: region.day ?? 0 } : {}),
              }),
            )
          }
        />
      ) : (
        <Choice
          label="What is printed"
          value={book.marks[(part as { at: number }).at]?.kind ?? 'line'}
          options={MARK_KINDS}
          onChange={(chosen) => onChange(setMark(book, (part as { at: number }).at, chosen))}
        />
      )}
      {region && hasDay(region.kind) && (
        <Choice
          label="Of which day"
          value={region.day ?? 0}
          options={DAYS.map((d, i) => [i, d] as const)}
          onChange={(chosen) => onChange(setRegion(book, region.id, { day: chosen }))}
        />
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
        {field('From the left', 'x')}
        {field('From the top', 'y')}
        {field('Width', 'w')}
        {field('Height', 'h')}
      </Box>
      {region?.kind === 'day' && (
        <Choice
          label="Printed rows"
          value={region.rows?.length ?? 0}
          options={[0, 2, 3, 4, 5].map((n) => [n, n || 'none'] as const)}
          onChange={split}
          helperText={first ? `each ${tidy(first.h)} mm high` : 'an open column'}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <TextField
          size="small"
          type="number"
          label="Again to the right"
          value={times}
          onChange={(e) => setTimes(Math.max(1, Math.min(12, Number(e.target.value) || 1)))}
          sx={{ width: 120 }}
        />
        <LengthField label="each after" value={pitch} unit={book.unit} onChange={setPitch} sx={{ flex: 1 }} />
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="outlined" size="small" onClick={() => onChange(repeatRight(book, part, times, pitch))}>
          Repeat it
        </Button>
        <Button size="small" color="error" onClick={() => onChange(removePart(book, part), null)}>
          Remove it
        </Button>
      </Box>
    </Box>
  );
}
