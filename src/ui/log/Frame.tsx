import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { GLASS } from '../theme';
import { TopBar } from '../TopBar';

/** The rooms of the log, in the order in which they stand. */
export const LOG_ROOMS = [
  { href: '/log', name: 'Weeks' },
  { href: '/log/dinners', name: 'Dinners' },
  { href: '/log/habits', name: 'Habits' },
  { href: '/log/hours', name: 'Hours and spending' },
  { href: '/log/items', name: 'Items' },
  { href: '/log/kits', name: 'Kits' },
  { href: '/log/colors', name: 'Colors' },
  { href: '/log/bench', name: 'At the bench' },
] as const;

/** What stands round every page of the log: where one is, and the way to the others. */
export function LogFrame({ at, children }: { at: string; children: ReactNode }) {
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
        {LOG_ROOMS.map((room) => {
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
              {room.name}
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
