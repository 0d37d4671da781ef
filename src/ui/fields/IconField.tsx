import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import type { SxProps, Theme } from '@mui/material/styles';
import { useState } from 'react';
import { ICON_NAMES, iconNamed } from '../../core/art/icon-named';

import { meaningsOf } from '../../core/week/meaning';

/** An icon by what it means; nothing for a word that nobody has drawn. */
export function MeantIcon({ meaning, size = 20 }: { meaning: string; size?: number }) {
  const paths = iconNamed(meaning);
  if (!paths) return null;
  return (
    <svg viewBox="0 0 24 24" width={size} height={size} aria-hidden style={{ flexShrink: 0 }}>
      <g fill="none" stroke="currentColor" strokeWidth={1.7} strokeLinecap="round" strokeLinejoin="round">
        {paths.map((d) => (
          <path key={d} d={d} />
        ))}
      </g>
    </svg>
  );
}

/** Icons whose name has the typed letters, or that the typed word speaks of: “towels” is laundry. */
const fitting = (typed: string, names: readonly string[]): string[] => {
  const text = typed.trim().toLowerCase();
  if (!text) return [...names];
  const meant = new Set(meaningsOf(text));
  return names.filter((name) => name.includes(text) || meant.has(name));
};

/** What a sticker means, chosen among the icons or written: a word that has none is kept, too. */
export function IconField({
  value,
  onSay,
  label = 'Icon',
  names = ICON_NAMES,
  free = true,
  quiet = false,
  sx = {},
}: {
  value: string;
  onSay: (icon: string) => void;
  label?: string;
  names?: readonly string[];
  /** a word that is no name of an icon is taken, too */
  free?: boolean;
  /** the label is read out and not shown, and it has the focus at once: in a cell of a table */
  quiet?: boolean;
  sx?: SxProps<Theme>;
}) {
  const [typed, setTyped] = useState(value);
  return (
    <Autocomplete
      size="small"
      freeSolo={free}
      forcePopupIcon
      openOnFocus={quiet}
      autoHighlight={!free}
      options={[...names]}
      value={value || null}
      inputValue={typed}
      onInputChange={(_, text) => setTyped(text)}
      // what was typed and is no other than before is chosen already: the whole table is shown
      filterOptions={(all) => (typed === value ? all : fitting(typed, all))}
      onChange={(_, icon) => onSay((icon ?? '').trim().toLowerCase())}
      onBlur={() => free && typed.trim().toLowerCase() !== value && onSay(typed.trim().toLowerCase())}
      sx={sx}
      slotProps={{
        popper: { sx: { minWidth: 300 } },
        listbox: { sx: { display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', p: 0.5 } },
      }}
      renderOption={({ key, ...props }, name) => (
        <Box component="li" key={key} {...props} sx={{ gap: 1, px: '8px !important' }}>
          <MeantIcon meaning={name} />
          {name}
        </Box>
      )}
      renderInput={(params) => (
        <TextField
          {...params}
          {...(quiet ? { variant: 'standard', autoFocus: true } : { label })}
          slotProps={{
            ...params.slotProps,
            htmlInput: {
              ...params.slotProps.htmlInput,
              maxLength: 100,
              ...(quiet ? { 'aria-label': label } : {}),
            },
            input: {
              ...params.slotProps.input,
              startAdornment: value ? (
                <Box sx={{ display: 'flex', ml: 0.5 }}>
                  <MeantIcon meaning={value} />
                </Box>
              ) : undefined,
            },
          }}
        />
      )}
    />
  );
}
