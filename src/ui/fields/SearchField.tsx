'use client';

import InputAdornment from '@mui/material/InputAdornment';
import OutlinedInput from '@mui/material/OutlinedInput';
import type { SxProps } from '@mui/material/styles';
import { IconSearch } from '@tabler/icons-react';

interface SearchFieldProps {
  /** said to who does not see the glass */
  readonly label: string;
  readonly placeholder?: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
  readonly sx?: SxProps;
}

/** Words to search by. Not a `TextField`, which brings menus and selects along that a spread opens without. */
export function SearchField({ label, placeholder = label, value, onChange, sx }: SearchFieldProps) {
  return (
    <OutlinedInput
      size="small"
      placeholder={placeholder}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      startAdornment={
        <InputAdornment position="start">
          <IconSearch size={15} />
        </InputAdornment>
      }
      slotProps={{ input: { 'aria-label': label } }}
      {...(sx ? { sx } : {})}
    />
  );
}
