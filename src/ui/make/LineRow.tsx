import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconTrash } from '../icons';
import { drawPiece } from '../../core/art/draw-piece';
import { MOTIFS, isPattern } from '../../core/art/motifs/registry';
import { traits } from '../../core/kit/kinds';
import { madeKit } from '../../core/make/made-kit';
import type { MadeLine } from '../../core/make/makeable';
import { sentence } from '../../core/spread/voice';
import { GLASS } from '../theme';
import { LengthField } from '../fields/LengthField';

const PATTERNS = Object.keys(MOTIFS).filter(isPattern).sort();

/** One line of what is made: the sticker as it will be, and what can be changed of it. */
export function LineRow({
  line,
  onChange,
  onRemove,
}: {
  line: MadeLine;
  onChange: (change: Partial<MadeLine>) => void;
  onRemove: () => void;
}) {
  const [piece] = madeKit('made', [line]).pieces;
  const name = sentence(traits(line.kind).label);
  const number = (label: string, field: 'count' | 'width' | 'height' | 'rows', min: number, max: number, step = 1) => (
    <TextField
      size="small"
      type="number"
      label={label}
      value={line[field] || ''}
      onChange={(e) => onChange({ [field]: Number(e.target.value) })}
      error={line[field] < min || line[field] > max}
      slotProps={{ htmlInput: { min, max, step, 'aria-label': `${name}: ${label.toLowerCase()}` } }}
      sx={{ width: 92 }}
    />
  );
  const length = (label: string, field: 'width' | 'height') => (
    <LengthField
      label={label}
      said={`${name}: ${label.toLowerCase()}`}
      value={line[field]}
      least={3}
      most={400}
      onChange={(mm) => onChange({ [field]: mm })}
      sx={{ width: 104 }}
    />
  );
  const color = (label: string, field: 'color' | 'accent') => (
    <input
      type="color"
      aria-label={`${name}: ${label}`}
      value={line[field]}
      onChange={(e) => onChange({ [field]: e.target.value })}
      style={{
        width: 34,
        height: 34,
        border: `1px solid ${GLASS.edge}`,
        borderRadius: 8,
        padding: 2,
        background: GLASS.paper,
      }}
    />
  );
  return (
    <Box
      data-testid="made-line"
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        flexWrap: 'wrap',
        py: 1,
        borderBottom: `1px solid ${GLASS.edge}`,
      }}
    >
      <Box sx={{ width: 110, flexShrink: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          {name}
        </Typography>
        {piece && (
          <svg
            viewBox={`0 0 ${line.width || 1} ${line.height || 1}`}
            style={{ maxWidth: 100, maxHeight: 54, display: 'block' }}
            width={100}
            aria-hidden
            dangerouslySetInnerHTML={{
              __html: drawPiece(piece, `made-${line.kind}-${line.words}-${line.color}`.replace(/\W/g, '')),
            }}
          />
        )}
      </Box>
      {number('Copies', 'count', 1, 200)}
      {length('Wide', 'width')}
      {length('High', 'height')}
      {line.kind === 'checklist' && number('Rows', 'rows', 1, 31)}
      <TextField
        size="small"
        label="Words"
        value={line.words}
        onChange={(e) => onChange({ words: e.target.value.slice(0, 60) })}
        sx={{ width: 130 }}
      />
      <TextField
        select
        size="small"
        label="Pattern"
        value={line.motif}
        onChange={(e) => onChange({ motif: e.target.value })}
        slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
        sx={{ width: 120 }}
      >
        <option value="">plain</option>
        {PATTERNS.map((m) => (
          <option key={m} value={m}>
            {m}
          </option>
        ))}
        {line.motif && !PATTERNS.includes(line.motif) && <option value={line.motif}>{line.motif}</option>}
      </TextField>
      {color('color', 'color')}
      {color('second color', 'accent')}
      <IconButton aria-label={`Remove: ${name}`} onClick={onRemove} size="small">
        <IconTrash size={17} />
      </IconButton>
    </Box>
  );
}
