import Box from '@mui/material/Box';
import type { ElementType, ReactNode } from 'react';
import { GLASS } from '../theme';

/** A list and what is chosen of it: side by side, each scrolling by itself; on a narrow window one over the other. */
export function Split({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'flex',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        overflowY: { xs: 'auto', md: 'visible' },
        alignContent: 'flex-start',
        // one over the other each has the whole width, whatever it asks for beside another
        '&& > *': { minWidth: { xs: '100%', md: 0 } },
      }}
    >
      {children}
    </Box>
  );
}

interface SideProps {
  /** px */
  readonly width: number;
  readonly component?: ElementType;
  readonly label?: string;
  /** between its parts, in the theme's steps */
  readonly gap?: number;
  /** on a narrow window it is one line that is pushed aside, not a page of its own */
  readonly strip?: boolean;
  readonly children: ReactNode;
}

/** The list at the left of a `Split`. */
export function Side({ width, component = 'div', label, gap = 0, strip = false, children }: SideProps) {
  return (
    <Box
      component={component}
      aria-label={label}
      sx={{
        width: { xs: '100%', md: width },
        flexShrink: 0,
        p: 1.5,
        display: 'flex',
        flexDirection: strip ? { xs: 'row', md: 'column' } : 'column',
        gap,
        overflowY: { md: 'auto' },
        ...(strip ? { overflowX: { xs: 'auto', md: 'visible' }, '& > *': { flexShrink: 0 } } : {}),
        borderRight: `1px solid ${GLASS.edge}`,
        background: GLASS.paper,
      }}
    >
      {children}
    </Box>
  );
}
