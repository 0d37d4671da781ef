import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useStore } from 'zustand';
import type { Facts as Said } from '../../core/scan/correct';
import {
  confirm,
  eachItsOwn,
  grid,
  inLineWith,
  join,
  remove,
  resize,
  sameAs,
  tell,
  usedUp,
} from '../../core/scan/correct';
import { wordsInOrder, wordsOf } from '../../core/scan/in-order';
import type { KnownDesign, Offer } from '../../core/scan/offers';
import { ofSizeOf, offersFor } from '../../core/scan/offers';
import { KIND_NAMES, SHAPES, WRITABLE, traits } from '../../core/kit/kinds';
import { counted } from '../../core/spread/voice';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import type { ScanSheet } from './store';
import { USUAL_KINDS } from './usual-kinds';
import { Choice } from '../fields/Choice';
import { IconField, MeantIcon } from '../fields/IconField';
import { OFFER_KEYS } from './use-scan-keys';

/** Letters that can be typed: 31 words of a month, or one. */
const MOST_TYPED = 200;

/** What is said of the chosen stickers, and what can be done with them. */
export function Facts({ scan, sheet, known }: { scan: Scan; sheet: ScanSheet; known: readonly KnownDesign[] }) {
  const { selected, select, correct, rescale } = useStore(scan);
  const [columns, setColumns] = useState(2);
  const [rows, setRows] = useState(1);
  const chosen = sheet.stickers.filter((s) => selected.includes(s.id));
  const [first] = chosen;
  const doubtful = sheet.stickers.filter((s) => s.doubts.length).length;
  if (!first)
    return (
      <Box sx={{ p: 1.5, borderBottom: `1px solid ${GLASS.edge}` }}>
        <Typography variant="h3" component="h2">
          {counted(sheet.stickers.length, 'sticker')}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {doubtful
            ? `${doubtful} of them in doubt: look at those first.`
            : 'Choose one, in the picture or below, to say what it is.'}
        </Typography>
        <UsedUp ids={usedUp(sheet.stickers)} onRemove={(ids) => correct((all) => remove(all, ids))} onShow={select} />
      </Box>
    );
  const say = (facts: Said) => correct((all) => tell(all, selected, facts));
  const common = <K extends keyof Said>(key: K) =>
    chosen.every((s) => s[key] === first[key]) ? (first[key] ?? '') : '';
  const act = (label: string, run: () => void, disabled = false) => (
    <Button key={label} size="small" onClick={run} disabled={disabled} sx={{ minWidth: 0 }}>
      {label}
    </Button>
  );
  const line = (way: 'row' | 'column') => select(inLineWith(sheet.stickers, first.id, way));
  const choice = (
    label: string,
    key: 'kind' | 'shape' | 'writable',
    names: readonly string[],
    word = (n: string) => n,
  ) => (
    <Choice
      label={label}
      value={common(key)}
      options={names.map((n) => [n, word(n)] as const)}
      onChange={(chosen) => say({ [key]: chosen })}
      sx={{ flex: 1, minWidth: 120 }}
    />
  );
  const key = `${sheet.id} ${selected.join(' ')}`;
  return (
    <Box
      sx={{
        p: 1.5,
        display: 'flex',
        flexDirection: 'column',
        gap: 1.25,
        borderBottom: `1px solid ${GLASS.edge}`,
        overflowY: 'auto',
        maxHeight: { md: '58%' },
        flexShrink: 0,
      }}
    >
      <Typography variant="h3" component="h2">
        {chosen.length === 1 ? `${first.w.toFixed(1)} × ${first.h.toFixed(1)} mm` : counted(chosen.length, 'sticker')}
      </Typography>
      <Offers offers={offersFor(first, sheet.stickers, known)} onTake={say} />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {choice('Kind', 'kind', KIND_NAMES, (n) => {
          const at = USUAL_KINDS.findIndex((k) => k === n);
          return `${traits(n as (typeof KIND_NAMES)[number]).label}${at < 0 ? '' : ` (${at + 1})`}`;
        })}
        {choice('Shape', 'shape', SHAPES)}
        {choice('Write on it', 'writable', WRITABLE)}
        <TextField
          size="small"
          label="Rows"
          type="number"
          value={common('rows')}
          onChange={(e) => say({ rows: Math.max(0, Math.min(60, Math.floor(Number(e.target.value)))) })}
          sx={{ width: 80 }}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {(['w', 'h'] as const).map((side) => (
          <Millimeters
            key={`${key} ${side} ${first[side]}`}
            label={side === 'w' ? 'Width, mm' : 'Height, mm'}
            value={chosen.every((s) => s[side].toFixed(1) === first[side].toFixed(1)) ? first[side] : null}
            onSay={(mm) => correct((all) => resize(all, selected, { [side]: mm }))}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Told
          key={`${key} words`}
          label="Words on it"
          value={String(common('words'))}
          onSay={(typed) => {
            const words = wordsOf(typed);
            if (words.length > 1 && words.length === chosen.length)
              correct((all) => wordsInOrder(all, selected, words));
            else say({ words: typed });
          }}
          hint={chosen.length > 1 ? 'One each: a, b, c' : undefined}
        />
        <IconField
          key={`${key} icon`}
          value={String(common('icon'))}
          onSay={(icon) => say({ icon })}
          sx={{ flex: 1, minWidth: 120 }}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        {(['color', 'accent'] as const).map((name) => (
          <label key={name} style={{ display: 'flex', gap: 6, alignItems: 'center', fontSize: 13 }}>
            <input
              type="color"
              value={first[name]}
              onChange={(e) => say({ [name]: e.target.value })}
              aria-label={name === 'color' ? 'Main color' : 'Second color'}
            />
            {name === 'color' ? 'Main' : 'Second'}
          </label>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', mx: -0.5 }}>
        {act('Right as it is', () => correct((all) => confirm(all, selected)), !chosen.some((s) => s.doubts.length))}
        {act('All of one design', () => correct((all) => sameAs(all, selected)), chosen.length < 2)}
        {act('Each its own', () => correct((all) => eachItsOwn(all, selected)))}
        {act('Join', () => correct((all) => join(all, selected)), chosen.length < 2)}
        {act('All of this size', () => select(ofSizeOf(sheet.stickers, first.id)))}
        {act('Whole row', () => line('row'))}
        {act('Whole column', () => line('column'))}
        {act('Remove', () => correct((all) => remove(all, selected)))}
      </Box>
      {chosen.length === 1 && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <Count label="Across" value={columns} onChange={setColumns} />
          <Count label="Down" value={rows} onChange={setRows} />
          {act('Split', () => correct((all) => grid(all, first.id, columns, rows)), columns * rows < 2)}
          <Measured key={`${key} mm`} width={first.w} onMeasured={(mm) => rescale(mm / first.w)} />
        </Box>
      )}
    </Box>
  );
}

/** A text that is said when its field is left, or Enter is pressed: not at every letter. */
function Told({
  label,
  value,
  onSay,
  hint,
}: {
  label: string;
  value: string;
  onSay: (text: string) => void;
  hint?: string;
}) {
  const [text, setText] = useState(value);
  const say = () => text !== value && onSay(text.trim());
  return (
    <TextField
      size="small"
      label={label}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={say}
      onKeyDown={(e) => e.key === 'Enter' && say()}
      helperText={hint}
      slotProps={{ htmlInput: { maxLength: MOST_TYPED } }}
      sx={{ flex: 1 }}
    />
  );
}

/** What it may be by its size, each one press: a neighbor's kind, or a known kit's sticker. */
function Offers({ offers, onTake }: { offers: readonly Offer[]; onTake: (facts: Said) => void }) {
  if (!offers.length) return null;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center' }} aria-label="What it may be">
      {offers.map(({ facts, of }, i) => (
        <Chip
          key={`${facts.kind} ${facts.words} ${facts.icon} ${facts.rows}`}
          size="small"
          variant="outlined"
          data-testid="offer"
          icon={facts.icon ? <MeantIcon meaning={facts.icon} size={16} /> : undefined}
          label={`${traits(facts.kind).label}${facts.words ? ` “${facts.words}”` : ''} (${OFFER_KEYS[i]})`}
          title={of === null ? 'Another one of this size is' : `${of} has one of this size`}
          onClick={() => onTake(facts)}
        />
      ))}
    </Box>
  );
}

/** A length that is said when its field is left, or Enter is pressed; null: the chosen ones differ. */
function Millimeters({ label, value, onSay }: { label: string; value: number | null; onSay: (mm: number) => void }) {
  const shown = value === null ? '' : value.toFixed(1);
  const [text, setText] = useState(shown);
  const mm = Number(text.replace(',', '.'));
  const isLength = mm >= 2 && mm <= 400;
  const say = () => text !== shown && isLength && onSay(mm);
  return (
    <TextField
      size="small"
      label={label}
      value={text}
      error={text !== '' && !isLength}
      placeholder={value === null ? 'mixed' : undefined}
      onChange={(e) => setText(e.target.value)}
      onBlur={say}
      onKeyDown={(e) => e.key === 'Enter' && say()}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 6 } }}
      sx={{ flex: 1 }}
    />
  );
}

/** Places without print, as large as printed stickers: one press takes all of them off. */
function UsedUp({
  ids,
  onRemove,
  onShow,
}: {
  ids: readonly number[];
  onRemove: (ids: readonly number[]) => void;
  onShow: (ids: readonly number[]) => void;
}) {
  if (!ids.length) return null;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', mt: 0.5 }}>
      <Typography variant="body2">
        {ids.length === 1 ? 'One place looks used up.' : `${ids.length} places look used up.`}
      </Typography>
      <Button size="small" onClick={() => onShow(ids)}>
        Show
      </Button>
      <Button size="small" onClick={() => onRemove(ids)}>
        {ids.length === 1 ? 'Remove it' : 'Remove them'}
      </Button>
    </Box>
  );
}

function Count({ label, value, onChange }: { label: string; value: number; onChange: (n: number) => void }) {
  return (
    <TextField
      size="small"
      type="number"
      label={label}
      value={value}
      onChange={(e) => onChange(Math.max(1, Math.min(40, Math.floor(Number(e.target.value)) || 1)))}
      sx={{ width: 76 }}
    />
  );
}

/** The sheet's scale put right by one sticker that was measured. */
function Measured({ width, onMeasured }: { width: number; onMeasured: (mm: number) => void }) {
  const [mm, setMm] = useState(width.toFixed(1));
  const value = Number(mm);
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      <TextField
        size="small"
        label="Measured, mm wide"
        value={mm}
        onChange={(e) => setMm(e.target.value)}
        sx={{ width: 150 }}
      />
      <Button
        size="small"
        disabled={!(value > 1 && value < 600) || Math.abs(value - width) < 0.05}
        onClick={() => onMeasured(value)}
      >
        Scale the sheet
      </Button>
    </Box>
  );
}
