import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Book } from '../../core/book/book';
import { Choice } from '../fields/Choice';
import { LengthField } from '../fields/LengthField';

/** What is the same on all pages of a book: its name, size, binding, and how its weeks run. */
export function PagesForm({ book, page, change }: { book: Book; page: number; change: (next: Book) => void }) {
  const paper = book.pages[page];
  const sizes = (to: Partial<{ width: number; height: number }>) =>
    change({ ...book, pages: book.pages.map((p) => ({ ...p, ...to })) });
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
      <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
        The pages
      </Typography>
      <TextField
        key={book.name}
        size="small"
        label="Name"
        defaultValue={book.name}
        onBlur={(e) => {
          const name = e.target.value.trim();
          if (name && name !== book.name) change({ ...book, name });
        }}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
        <LengthField
          label="Page width"
          value={paper?.width ?? 0}
          unit={book.unit}
          onChange={(width) => sizes({ width })}
        />
        <LengthField
          label="Page height"
          value={paper?.height ?? 0}
          unit={book.unit}
          onChange={(height) => sizes({ height })}
        />
        <Choice
          label="Binding"
          value={book.binding.kind}
          options={['coil', 'discs', 'rings', 'sewn']}
          onChange={(chosen) => change({ ...book, binding: { ...book.binding, kind: chosen } })}
        />
        <LengthField
          label="It takes"
          value={book.binding.width}
          unit={book.unit}
          onChange={(width) => change({ ...book, binding: { ...book.binding, width } })}
        />
        <Choice
          label="Measured in"
          value={book.unit}
          options={[
            ['in', 'inches'],
            ['mm', 'millimeters'],
          ]}
          onChange={(chosen) => change({ ...book, unit: chosen })}
        />
        <Choice
          label="Week begins"
          value={book.weekStart}
          options={[
            ['monday', 'Monday'],
            ['sunday', 'Sunday'],
          ]}
          onChange={(chosen) => change({ ...book, weekStart: chosen })}
        />
        <Choice
          label="Dates"
          value={book.dated ? 'printed' : 'blank'}
          options={[
            ['printed', 'are printed'],
            ['blank', 'must be added'],
          ]}
          onChange={(chosen) => change({ ...book, dated: chosen === 'printed' })}
        />
      </Box>
    </Box>
  );
}
