'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { GLASS } from './theme';

/** The frame's upper edge: the mark, which leads home, then where one is and what can be done there. */
export function TopBar({ title, children }: { title?: ReactNode; children?: ReactNode }) {
  return (
    <Box
      component="header"
      sx={{
        minHeight: 54,
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
      }}
    >
      <Link
        href="/"
        aria-label="Hobnail: to the shelf"
        style={{ color: 'inherit', textDecoration: 'none', display: 'flex', alignItems: 'center', gap: 10 }}
      >
        <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden>
          {[
            [4, 4],
            [18, 4],
            [4, 18],
            [18, 18],
          ].map(([x, y]) => (
            <circle key={`${x}${y}`} cx={x} cy={y} r="3.4" fill="#F7F5F0" />
          ))}
          <circle cx="11" cy="11" r="3.6" fill="#E0A35A" />
        </svg>
        <Typography variant="h2" component="span" sx={{ fontSize: 21, display: { xs: 'none', sm: 'inline' } }}>
          Hobnail
        </Typography>
      </Link>
      <Box
        sx={{
          flex: { xs: '1 1 140px', md: 1 },
          minWidth: 0,
          display: 'flex',
          alignItems: 'baseline',
          gap: 1.5,
          overflow: 'hidden',
          whiteSpace: 'nowrap',
        }}
      >
        {title}
      </Box>
      {children}
    </Box>
  );
}
