import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { money } from '../../core/manner/own-ways';
import type { ThisWeek } from '../../server/this-week';
import { GLASS } from '../theme';
import { Part } from './Part';
import type { Records } from './use-records';

/** Half hours, and money: an amount typed as people write it, with a comma or a point; null: none. */
export function readAmount(text: string): number | null {
  const clean = text.trim().replace(',', '.');
  return /^\d{1,6}(\.\d{1,2})?$/.test(clean) ? Number(clean) : null;
}

const shown = (amount: number): string => String(Math.round(amount * 100) / 100);

/** Hours and spending of a day, by name: typed, or added to what there is. */
export function Amounts({ data, day, records }: { data: ThisWeek; day: string; records: Records }) {
  const { hours, spending, currency } = data.habits;
  const total = (what: 'hours' | 'spending') =>
    records.all.filter((r) => r.what === what && data.week.days.includes(r.day)).reduce((sum, r) => sum + r.amount, 0);
  return (
    <Part name="Hours and spending">
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 1fr)' },
          gap: 2,
        }}
      >
        <Box role="group" aria-label="Hours">
          {hours.map((name) => (
            <Hours key={name} name={name} day={day} records={records} />
          ))}
          <Sum>week: {shown(total('hours'))} h</Sum>
        </Box>
        <Box role="group" aria-label="Spending">
          {spending.map((name) => (
            <Spent key={name} name={name} day={day} records={records} currency={currency} />
          ))}
          <Sum>week: {money(currency, total('spending'))}</Sum>
        </Box>
      </Box>
    </Part>
  );
}

const Sum = ({ children }: { children: React.ReactNode }) => (
  <Typography variant="caption" component="p" sx={{ color: GLASS.quiet, mt: 0.5 }}>
    {children}
  </Typography>
);

interface LineProps {
  readonly name: string;
  readonly day: string;
  readonly records: Records;
}

function Hours({ name, day, records }: LineProps) {
  const now = records.of(day, 'hours', name)?.amount ?? 0;
  const put = (amount: number) =>
    void records.put({ day, what: 'hours', name, amount: Math.min(24, Math.max(0, amount)), text: '' });
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, mb: 1.5 }}>
      <Typed label={`${name}, h`} value={now} onKeep={put} />
      <Step label={`− ½ hour of ${name}`} onClick={() => put(now - 0.5)} disabled={now <= 0}>
        − ½
      </Step>
      <Step label={`+ ½ hour of ${name}`} onClick={() => put(now + 0.5)} disabled={now >= 24}>
        + ½
      </Step>
    </Box>
  );
}

function Spent({ name, day, records, currency }: LineProps & { currency: string }) {
  const now = records.of(day, 'spending', name)?.amount ?? 0;
  return (
    <Box sx={{ mb: 1.5 }}>
      <Typed
        label={`${name}, ${currency}`}
        value={now}
        onKeep={(amount) => void records.put({ day, what: 'spending', name, amount, text: '' })}
      />
    </Box>
  );
}

/** An amount that is kept when one goes on. */
function Typed({ label, value, onKeep }: { label: string; value: number; onKeep: (amount: number) => void }) {
  const [text, setText] = useState<string | null>(null);
  const read = text === null ? value : text.trim() === '' ? 0 : readAmount(text);
  const keep = () => {
    if (read !== null && read !== value) onKeep(read);
    if (read !== null) setText(null);
  };
  return (
    <TextField
      fullWidth
      size="small"
      label={label}
      value={text ?? (value ? shown(value) : '')}
      error={read === null}
      helperText={read === null ? 'an amount such as 12.50' : undefined}
      onChange={(e) => setText(e.target.value.slice(0, 12))}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === 'Enter') keep();
        if (e.key === 'Escape') setText(null);
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
    />
  );
}

const Step = (props: { label: string; disabled: boolean; onClick: () => void; children: React.ReactNode }) => (
  <Button
    size="small"
    variant="outlined"
    aria-label={props.label}
    disabled={props.disabled}
    onClick={props.onClick}
    sx={{ minWidth: 40, px: 0.5, py: 0.75, whiteSpace: 'nowrap' }}
  >
    {props.children}
  </Button>
);
