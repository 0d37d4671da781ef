'use client';

import Box from '@mui/material/Box';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { GLASS } from '../theme';
import { Screen, ScreenMain } from '../screen/Screen';

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
    <Screen title="Log">
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
      <ScreenMain>{children}</ScreenMain>
    </Screen>
  );
}
