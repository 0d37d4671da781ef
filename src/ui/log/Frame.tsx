'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { GLASS } from '../theme';
import { TopBar } from '../TopBar';

/** A room of the log, as one goes to it. */
export interface LogWay {
  readonly href: string;
  readonly title: string;
}

/** What stands round every page of the log: where one is, and the way to the others. */
export function LogFrame({ rooms, children }: { rooms: readonly LogWay[]; children: ReactNode }) {
  const path = usePathname();
  const at = rooms.findLast((r) => path.startsWith(r.href))?.href;
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar
        title={
          <Typography variant="h3" component="h1" sx={{ fontSize: 17 }}>
            Log
          </Typography>
        }
      />
      <Box
        component="nav"
        aria-label="Log"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          px: { xs: 1, md: 3 },
          borderBottom: `1px solid ${GLASS.edge}`,
          background: GLASS.paper,
        }}
      >
        {rooms.map((room) => {
          const here = room.href === at;
          return (
            <Box
              key={room.href}
              component={Link}
              href={room.href}
              aria-current={here ? 'page' : undefined}
              sx={{
                px: 1.5,
                py: 1.25,
                fontSize: 14.5,
                textDecoration: 'none',
                color: here ? GLASS.bottle : GLASS.quiet,
                fontWeight: here ? 700 : 500,
                boxShadow: here ? `inset 0 -3px 0 ${GLASS.amber}` : 'none',
              }}
            >
              {room.title}
            </Box>
          );
        })}
      </Box>
      <Box component="main" sx={{ px: { xs: 2, md: 4 }, py: 3, maxWidth: 1500, width: '100%', mx: 'auto' }}>
        {children}
      </Box>
    </Box>
  );
}
