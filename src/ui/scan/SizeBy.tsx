import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Point, Quad } from '../../core/scan/homography';
import type { KnownLength } from '../../core/scan/known-length';
import type { ScanSheet, Told } from './store';

const WAYS: Readonly<Record<ScanSheet['sizeBy'], string>> = {
  typed: 'I measured it',
  card: 'By a bank card in the picture',
  ruler: 'By a ruler in the picture',
};
const ADVICE: Readonly<Record<ScanSheet['sizeBy'], string>> = {
  typed: 'Measure the backing from edge to edge, and drag the four corners to its own if they are not there yet.',
  card: 'Drag the four dashed corners to where the sides of the card would meet; its own corners are round.',
  ruler: 'Drag the dashed line along the ruler and say how long that is. A second one the other way is surer.',
};
const isWay = (way: string): way is ScanSheet['sizeBy'] => Object.hasOwn(WAYS, way);
const MOST_RULERS = 2;

/** What tells how large the sheet is: its owner, or a thing of known size beside it. */
export function SizeBy({ sheet, tell }: { sheet: ScanSheet; tell: (change: Partial<Told>) => void }) {
  const { sizeBy, rulers } = sheet;
  const choose = (way: ScanSheet['sizeBy']) =>
    tell({
      sizeBy: way,
      ...(way === 'card' && !sheet.card ? { card: sheet.opened?.card ?? somewhere(sheet) } : {}),
      ...(way === 'ruler' && !rulers.length ? { rulers: [rulerAt(sheet, 0)] } : {}),
    });
  const mm = (label: string, value: number, change: (mm: number) => Partial<Told>, min = 20) => (
    <TextField
      size="small"
      label={label}
      type="number"
      value={value || ''}
      onChange={(e) => tell(change(Number(e.target.value)))}
      slotProps={{ htmlInput: { min, max: 1000, step: 0.5 } }}
      sx={{ width: 120 }}
    />
  );
  return (
    <>
      <RadioGroup
        aria-label="What tells its size"
        value={sizeBy}
        onChange={(_, way) => {
          if (isWay(way)) choose(way);
        }}
      >
        {Object.entries(WAYS).map(([way, label]) => (
          <FormControlLabel key={way} value={way} control={<Radio size="small" />} label={label} />
        ))}
      </RadioGroup>
      <Typography color="text.secondary">{ADVICE[sizeBy]}</Typography>
      {sizeBy === 'typed' && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          {mm('Width, mm', sheet.width, (width) => ({ width }))}
          {mm('Height, mm', sheet.height, (height) => ({ height }))}
        </Box>
      )}
      {sizeBy === 'ruler' && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          {rulers.map((ruler, i) => (
            <Box key={i}>
              {mm(
                `Ruler ${i + 1}, mm`,
                ruler.mm,
                (long) => ({ rulers: rulers.map((r, k) => (k === i ? { ...r, mm: long } : r)) }),
                1,
              )}
            </Box>
          ))}
          {rulers.length < MOST_RULERS && (
            <Button onClick={() => tell({ rulers: [...rulers, rulerAt(sheet, 1)] })}>Another way</Button>
          )}
        </Box>
      )}
      {sizeBy !== 'typed' && (
        <Typography data-testid="told-size">
          So the sheet is {sheet.width} × {sheet.height} mm.
        </Typography>
      )}
    </>
  );
}

/** Corners to begin with, in the middle of the picture, when no card was found. */
function somewhere({ opened }: ScanSheet): Quad {
  const [w, h] = [opened?.width ?? 0, opened?.height ?? 0];
  const at = (x: number, y: number): Point => ({ x: w * x, y: h * y });
  return [at(0.4, 0.4), at(0.6, 0.4), at(0.6, 0.53), at(0.4, 0.53)];
}

/** A line to begin with: along the sheet's bottom, then along its side. */
function rulerAt({ corners }: ScanSheet, way: 0 | 1): KnownLength {
  const [a, , c, d] = corners as Quad;
  return way ? { from: a, to: d, mm: 100 } : { from: d, to: c, mm: 100 };
}
