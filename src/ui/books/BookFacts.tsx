import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Book } from '../../core/book/book';
import type { Part } from '../../core/book/change-book';
import { placeOf } from '../../core/book/change-book';
import { regionName } from '../../core/spread/region-name';
import { ruled } from '../../core/measure/fraction';
import { KIND_COLORS } from './PageCanvas';

/** A shipped book in numbers. */
export function BookFacts({ book, page, part }: { book: Book; page: number; part: Part | null }) {
  const rect = part && placeOf(book, part);
  const region = part?.of === 'region' ? book.regions.find((r) => r.id === part.id) : undefined;
  const kinds = [...new Set(book.regions.map((r) => r.kind))];
  const at = book.pages[page];
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
        {region ? regionName(book, region) : book.name}
      </Typography>
      {rect ? (
        <Typography variant="body2">
          {ruled(rect.w, book.unit)} × {ruled(rect.h, book.unit)}, {ruled(rect.x, book.unit)} from the left and{' '}
          {ruled(rect.y, book.unit)} from the top.
        </Typography>
      ) : (
        <>
          <Typography variant="body2">
            Pages of {ruled(at?.width ?? 0, book.unit)} × {ruled(at?.height ?? 0, book.unit)}, {book.binding.kind}{' '}
            binding that takes {ruled(book.binding.width, book.unit)}
            {['discs', 'rings'].includes(book.binding.kind) ? '; pages come out to be written on' : ''}.
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {book.dated ? 'Dates are printed.' : 'Undated: every date must be added.'} The week begins on{' '}
            {book.weekStart === 'monday' ? 'Monday' : 'Sunday'}. {book.marks.length} printed marks.
          </Typography>
          {kinds.map((k) => (
            <Box key={k} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Box sx={{ width: 10, height: 10, borderRadius: '50%', background: KIND_COLORS[k] }} />
              <Typography variant="body2">
                {book.regions.filter((r) => r.kind === k).length} × {k.replace('-', ' ')}
              </Typography>
            </Box>
          ))}
          <Typography variant="caption" color="text.secondary">
            Choose a place on the page to read its measures.
          </Typography>
        </>
      )}
    </Box>
  );
}
