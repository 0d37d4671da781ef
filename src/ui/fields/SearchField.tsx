'use client';

import InputBase from '@mui/material/InputBase';
import { IconSearch } from '../icons';
import { GLASS } from '../theme';

interface SearchFieldProps {
  /** said to who does not see the glass */
  readonly label: string;
  readonly placeholder?: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
  /** room around it, in the theme's steps */
  readonly sx?: { readonly m?: number; readonly mb?: number };
}

const FRAME = {
  px: 1.5,
  minHeight: 38,
  border: '1px solid #00000057',
  borderRadius: 1,
  '&:hover': { borderColor: GLASS.ink },
  '&.Mui-focused': { borderColor: GLASS.bottle, boxShadow: `inset 0 0 0 1px ${GLASS.bottle}` },
  '& input:focus-visible': { outline: 'none' },
} as const;

/** Words to search by. Not a `TextField`, which brings menus and selects along that a spread opens without. */
export function SearchField({ label, placeholder = label, value, onChange, sx }: SearchFieldProps) {
  return (
    <InputBase
      placeholder={placeholder}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      startAdornment={<IconSearch size={15} style={{ flexShrink: 0, marginRight: 8 }} aria-hidden />}
      slotProps={{ input: { 'aria-label': label } }}
      sx={{ ...FRAME, ...sx }}
    />
  );
}
