import MenuItem from '@mui/material/MenuItem';
import type { TextFieldProps } from '@mui/material/TextField';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';

/** What can be chosen; null: none of them in particular. */
type Value = string | number | null;

interface ChoiceProps<T extends Value> extends Pick<
  TextFieldProps,
  'sx' | 'helperText' | 'disabled' | 'fullWidth' | 'size'
> {
  readonly label: string;
  /** the label is read out and not shown */
  readonly quiet?: boolean;
  readonly value: T;
  /** each with what it is called, where that is another word */
  readonly options: readonly (T | readonly [T, ReactNode])[];
  readonly onChange: (value: T) => void;
  /** what stands in the closed field, where that is less than in the list */
  readonly shown?: (value: T) => ReactNode;
}

const keyOf = (value: Value): string => String(value ?? '');

/** One of a few, chosen from a list. */
export function Choice<T extends Value>({
  label,
  quiet = false,
  value,
  options,
  onChange,
  shown,
  ...rest
}: ChoiceProps<T>) {
  const pairs = options.map((o): readonly [T, ReactNode] =>
    Array.isArray(o) ? (o as [T, ReactNode]) : [o as T, o as T],
  );
  const valueOf = (key: string): T => {
    const [found = value] = pairs.find(([v]) => keyOf(v) === key) ?? []; // null is an answer, too
    return found;
  };
  return (
    <TextField
      select
      size="small"
      {...(quiet ? {} : { label })}
      slotProps={{
        htmlInput: quiet ? { 'aria-label': label } : {},
        select: shown ? { displayEmpty: true, renderValue: (key) => shown(valueOf(String(key))) } : {},
      }}
      {...rest}
      value={keyOf(value)}
      onChange={(e) => onChange(valueOf(e.target.value))}
    >
      {pairs.map(([v, name]) => (
        <MenuItem key={keyOf(v)} value={keyOf(v)}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
