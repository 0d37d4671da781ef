import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Measures } from '../../core/book/from-measures';
import { bookFromMeasures, faultsOfMeasures } from '../../core/book/from-measures';
import { measureBook } from '../../server/book-actions';
import { LengthField } from '../fields/LengthField';
import { PageCanvas } from './PageCanvas';
import { FormDialog } from '../screen/FormDialog';
import { Choice } from '../fields/Choice';

const BEGIN: Measures = {
  name: 'My planner',
  unit: 'in',
  weekStart: 'monday',
  dated: true,
  binding: { kind: 'coil', width: 11.4 },
  pages: 2,
  width: 177.8,
  height: 228.6,
  margin: 6,
  column: 38.1,
  gap: 2,
  headerTop: 17,
  headerHeight: 12,
  dayTop: 31,
  dayHeight: 171,
  boxes: 3,
  stripTop: 205,
  stripHeight: 12.7,
};

type Length = { [K in keyof Measures]: Measures[K] extends number ? K : never }[keyof Measures];
const LENGTHS: readonly (readonly [Length, string])[] = [
  ['width', 'Page width'],
  ['height', 'Page height'],
  ['margin', 'Outer edge to the first column'],
  ['column', 'Column width'],
  ['gap', 'Between columns'],
  ['headerTop', 'Top edge to the date headers'],
  ['headerHeight', 'Height of a date header'],
  ['dayTop', 'Top edge to the columns'],
  ['dayHeight', 'Height of a column'],
  ['stripTop', 'Top edge to the bottom strip'],
  ['stripHeight', 'Height of the bottom strip'],
];

/** A whole book from a dozen measures, drawn as they are typed. */
export function MeasureDialog({ onClose, onMade }: { onClose: () => void; onMade: (id: string) => void }) {
  const [m, setM] = useState<Measures>(BEGIN);
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const set = (over: Partial<Measures>) => setM((now) => ({ ...now, ...over }));
  const faults = faultsOfMeasures(m);
  const make = async () => {
    setBusy(true);
    const made = await measureBook({ measures: m }).catch((e: unknown) => ({
      ok: false as const,
      messages: [`The server could not be reached: ${String(e)}. Nothing was kept.`],
    }));
    setBusy(false);
    if (made.ok) onMade(made.value.id);
    else setMessages(made.messages);
  };
  const pick = <K extends 'unit' | 'weekStart' | 'pages' | 'boxes'>(
    key: K,
    label: string,
    values: readonly (readonly [Measures[K], string])[],
  ) => <Choice label={label} value={m[key]} options={values} onChange={(chosen) => set({ [key]: chosen })} />;
  return (
    <FormDialog
      title="Measure your planner"
      size="md"
      cancel="Not now"
      onClose={onClose}
      messages={[...faults, ...messages]}
      act={{ label: 'Make this book', disabled: busy || faults.length > 0 || !m.name.trim(), run: () => void make() }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 300px' }, gap: 3 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, alignContent: 'start', pt: 1 }}>
          <TextField
            size="small"
            label="Name"
            value={m.name}
            onChange={(e) => set({ name: e.target.value })}
            slotProps={{ htmlInput: { maxLength: 80 } }}
            sx={{ gridColumn: '1 / -1' }}
          />
          {pick('unit', 'Measured in', [
            ['in', 'inches'],
            ['mm', 'millimeters'],
          ])}
          {pick('pages', 'Pages a week', [
            [2, 'two'],
            [4, 'four'],
          ])}
          {pick('weekStart', 'The week begins', [
            ['monday', 'on Monday'],
            ['sunday', 'on Sunday'],
          ])}
          <Choice
            label="Dates"
            value={m.dated ? 'printed' : 'blank'}
            options={[
              ['printed', 'are printed'],
              ['blank', 'must be added'],
            ]}
            onChange={(chosen) => set({ dated: chosen === 'printed' })}
          />
          <Choice
            label="Binding"
            value={m.binding.kind}
            options={['coil', 'discs', 'rings', 'sewn']}
            onChange={(chosen) => set({ binding: { ...m.binding, kind: chosen } })}
          />
          <LengthField
            label="The binding takes"
            value={m.binding.width}
            unit={m.unit}
            onChange={(width) => set({ binding: { ...m.binding, width } })}
          />
          {pick('boxes', 'Boxes in a column', [
            [0, 'none, it is open'],
            [2, 'two'],
            [3, 'three'],
            [4, 'four'],
          ])}
          <span />
          {LENGTHS.map(([key, label]) => (
            <LengthField key={key} label={label} value={m[key]} unit={m.unit} onChange={(mm) => set({ [key]: mm })} />
          ))}
        </Box>
        <Box>
          <PageCanvas
            book={bookFromMeasures(m)}
            page={0}
            scan={null}
            chosen={null}
            drawing={false}
            locked
            width="100%"
            onChoose={() => {}}
            onPlace={() => {}}
            onDraw={() => {}}
          />
          <Typography variant="caption" color="text.secondary">
            The left page; all else follows from it. What is special in yours is changed afterwards, over a scan if you
            like.
          </Typography>
        </Box>
      </Box>
    </FormDialog>
  );
}
