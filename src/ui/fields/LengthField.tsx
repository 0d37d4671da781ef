import TextField from '@mui/material/TextField';
import type { SxProps } from '@mui/material/styles';
import { useState } from 'react';
import type { Unit } from '../../core/measure/fraction';
import { ruled } from '../../core/measure/fraction';
import { parseLength } from '../../core/measure/parse-length';
import { useOwnWays } from '../own-ways';

interface LengthFieldProps {
  readonly label: string;
  /** mm */
  readonly value: number;
  /** the owner's, where none is given */
  readonly unit?: Unit;
  /** what is said to who does not see it, where its label is too short */
  readonly said?: string;
  /** mm */
  readonly least?: number;
  readonly most?: number;
  readonly helperText?: string;
  readonly onChange: (mm: number) => void;
  readonly disabled?: boolean;
  readonly sx?: SxProps;
}

/** A length as one reads it off a ruler: fractions of an inch or millimeters, whichever is typed. */
export function LengthField({
  label,
  value,
  unit: given,
  said,
  least = -Infinity,
  most = Infinity,
  helperText,
  onChange,
  disabled,
  sx,
}: LengthFieldProps) {
  const own = useOwnWays();
  const unit = given ?? own.unit;
  const [text, setText] = useState<string | null>(null);
  const typed = text === null ? value : parseLength(text, unit);
  const mm = typed === null || typed < least || typed > most ? null : typed;
  const settle = () => {
    if (text !== null && mm !== null && mm !== value) onChange(mm);
    if (mm !== null) setText(null);
  };
  return (
    <TextField
      size="small"
      label={label}
      disabled={disabled ?? false}
      value={text ?? ruled(value, unit)}
      error={mm === null}
      sx={sx ?? {}}
      {...(said ? { slotProps: { htmlInput: { 'aria-label': said } } } : {})}
      helperText={
        mm === null
          ? `like ${unit === 'in' ? '1 1/2 or 38.1 mm' : '38.1 or 1 1/2 in'}`
          : // what stands there stays: a line more or less would move the button that is pressed next
            (helperText ?? (text !== null && unit === 'in' ? `${mm} mm` : undefined))
      }
      onFocus={(e) => e.target.select()}
      onChange={(e) => setText(e.target.value)}
      onBlur={settle}
      onKeyDown={(e) => {
        if (e.key === 'Enter') {
          e.preventDefault();
          settle();
        }
        if (e.key === 'Escape') setText(null);
      }}
    />
  );
}
