'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { GLASS } from '../theme';
import { WHOLE_ROOM } from './House';

interface ScreenProps {
  /** where one is; left out: the screen has its heading in what it shows */
  readonly title?: ReactNode;
  /** beside it: whether it is saved, how far it is */
  readonly note?: ReactNode;
  /** what can be done with the whole of it */
  readonly acts?: ReactNode;
  /** as high as the window, its parts scroll by themselves; `wide`: where they stand side by side */
  readonly fill?: boolean | 'wide';
  readonly children: ReactNode;
}

/** On a phone the acts stand in one row, which is pushed sideways: a screen's head takes two rows there at most. */
const ACTS = {
  display: 'flex',
  alignItems: 'center',
  flexWrap: { xs: 'nowrap', sm: 'wrap', md: 'nowrap' },
  columnGap: { xs: 1, sm: 2 },
  rowGap: 0.5,
  maxWidth: 1,
  overflowX: { xs: 'auto', sm: 'visible' },
  whiteSpace: 'nowrap',
  '& > *': { flexShrink: 0 },
} as const;

/** The frame of every screen: what it is and what can be done with it, then what it shows. */
export function Screen({ title, note, acts, fill = false, children }: ScreenProps) {
  return (
    <Box
      sx={{
        flex: '1 0 auto',
        height: fill === 'wide' ? { md: WHOLE_ROOM.md } : fill ? WHOLE_ROOM : 'auto',
        display: 'flex',
        flexDirection: 'column',
      }}
    >
      {title !== undefined && (
        <Box
          component="header"
          sx={{
            minHeight: 48,
            px: { xs: 1.25, sm: 2.5 },
            py: { xs: 0.5, md: 0 },
            display: 'flex',
            flexWrap: { xs: 'wrap', md: 'nowrap' },
            alignItems: 'center',
            columnGap: { xs: 1, sm: 2 },
            rowGap: 0.5,
            background: GLASS.bottle,
            color: '#fff',
            flexShrink: 0,
            '& .MuiIconButton-root.Mui-disabled': { color: '#ffffff59' }, // seen on the dark bar, and seen to rest
          }}
        >
          <Box
            sx={{
              flex: { xs: '1 1 210px', md: 1 },
              minWidth: 0,
              display: 'flex',
              alignItems: 'baseline',
              gap: 1.5,
              overflow: 'hidden',
              whiteSpace: 'nowrap',
            }}
          >
            <Typography variant="h3" component="h1" noWrap sx={{ fontSize: 17 }}>
              {title}
            </Typography>
            {note}
          </Box>
          {acts !== undefined && <Box sx={ACTS}>{acts}</Box>}
        </Box>
      )}
      {children}
    </Box>
  );
}

/** Whether it is saved, said as it changes. */
export function SavedNote({ testId, children }: { testId?: string; children: ReactNode }) {
  return (
    <Typography variant="caption" aria-live="polite" data-testid={testId} sx={{ opacity: 0.9 }}>
      {children}
    </Typography>
  );
}

interface MainProps {
  /** px at most: as wide as is read well */
  readonly width?: number;
  /** between its parts, in the theme's steps; left out: they have their own */
  readonly gap?: number;
  readonly children: ReactNode;
}

/** What a screen shows, where it scrolls as a whole. */
export function ScreenMain({ width = 1500, gap, children }: MainProps) {
  const stacked = gap === undefined ? {} : { display: 'flex', flexDirection: 'column', gap };
  return (
    <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 3, maxWidth: width, width: '100%', mx: 'auto', ...stacked }}>
      {children}
    </Box>
  );
}
