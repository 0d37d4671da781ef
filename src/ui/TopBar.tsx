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
        height: 54,
        px: 2.5,
        display: 'flex',
        alignItems: 'center',
        gap: 2,
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
        <Typography variant="h2" component="span" sx={{ fontSize: 21 }}>
          Hobnail
        </Typography>
      </Link>
      <Box
        sx={{
          flex: 1,
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
