'use client';

import type { SxProps } from '@mui/material/styles';
import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { DateTime } from 'luxon';
import type { IsoDay } from '../../core/week/week';

interface DayFieldProps {
  readonly label: string;
  readonly value: IsoDay | null;
  /** null when it was emptied, or is not a whole day yet */
  readonly onChange: (day: IsoDay | null) => void;
  readonly size?: 'small' | 'medium';
  readonly helperText?: string | undefined;
  readonly error?: boolean;
  readonly clearable?: boolean;
  readonly sx?: SxProps;
}

/** A wall day without a zone: the picker works in UTC, and nothing but the day comes in or goes out. */
export function DayField({ label, value, onChange, size = 'medium', helperText, error, clearable, sx }: DayFieldProps) {
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale="en-US">
      <DatePicker
        label={label}
        value={value ? DateTime.fromISO(value, { zone: 'utc' }) : null}
        onChange={(day) => onChange(day?.isValid ? day.toISODate() : null)}
        timezone="UTC"
        slotProps={{
          textField: { size, helperText, ...(error === undefined ? {} : { error }) },
          field: { clearable: clearable ?? false },
        }}
        {...(sx ? { sx } : {})}
      />
    </LocalizationProvider>
  );
}
