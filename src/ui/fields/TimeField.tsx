'use client';

import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { TimePicker } from '@mui/x-date-pickers/TimePicker';
import { DateTime } from 'luxon';
import { useOwnWays } from '../own-ways';

interface TimeFieldProps {
  readonly label: string;
  /** minutes after midnight */
  readonly value: number | null;
  readonly onChange: (minutes: number | null) => void;
  readonly size?: 'small' | 'medium';
  /** said to who does not see the label's place; then no label is shown */
  readonly hiddenLabel?: boolean;
}

/** A wall time without a day or a zone, in minutes after midnight. */
export function TimeField({ label, value, onChange, size = 'medium', hiddenLabel = false }: TimeFieldProps) {
  const { clock } = useOwnWays();
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale="en-US">
      <TimePicker
        {...(hiddenLabel ? {} : { label })}
        value={value === null ? null : DateTime.utc(2027, 1, 4).plus({ minutes: value })}
        onChange={(time) => onChange(time?.isValid ? time.hour * 60 + time.minute : null)}
        timezone="UTC"
        ampm={clock === '12 h'}
        minutesStep={5}
        slotProps={{
          textField: { size, ...(hiddenLabel ? { 'aria-label': label } : {}) },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  );
}
