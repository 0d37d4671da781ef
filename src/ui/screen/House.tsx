'use client';

import Box from '@mui/material/Box';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { IconAdjustments, IconCalendarWeek, IconNotebook, IconPhoto, IconSticker, IconSunHigh } from '../icons';
import { GLASS } from '../theme';

/** The rooms of the house, and which addresses lie in each; the first is where everything else does. */
const ROOMS = [
  { href: '/', name: 'Shelf', label: 'Hobnail: to the shelf', Icon: Mark, holds: [] },
  { href: '/week', name: 'This week', Icon: IconSunHigh, holds: ['/week'] },
  { href: '/agenda', name: 'Agenda', Icon: IconCalendarWeek, holds: ['/agenda'] },
  { href: '/kits', name: 'Kits', Icon: IconSticker, holds: ['/kits', '/scan'] },
  { href: '/books', name: 'Books', Icon: IconNotebook, holds: ['/books'] },
  { href: '/log', name: 'Log', Icon: IconPhoto, holds: ['/log'] },
  { href: '/settings', name: 'Settings', Icon: IconAdjustments, holds: ['/settings'] },
] as const;

/** How high the menu is, px: on a phone at the foot, else above. */
const HIGH = { xs: 52, md: 36 };

/** What is left of the window under it, or over it. */
export const WHOLE_ROOM = { xs: `calc(100dvh - ${HIGH.xs}px)`, md: `calc(100dvh - ${HIGH.md}px)` };

/** Every screen under the house's menu. */
export function House({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <HouseMenu />
      {children}
    </Box>
  );
}

/** The way to every room, from each: above the screen, on a narrow one at its foot, where a thumb reaches it. */
function HouseMenu() {
  const path = usePathname();
  const lies = (under: string) => path === under || path.startsWith(`${under}/`);
  const here = ROOMS.find(({ holds }) => holds.some(lies)) ?? ROOMS[0];
  return (
    <Box
      component="nav"
      aria-label="Hobnail"
      sx={{
        display: 'flex',
        flexShrink: 0,
        order: { xs: 9, md: 0 },
        position: { xs: 'sticky', md: 'static' },
        bottom: 0,
        zIndex: { xs: 5, md: 'auto' },
        px: { xs: 0.5, md: 1.5 },
        background: GLASS.bottleDeep,
        color: '#fff',
      }}
    >
      {ROOMS.map((room) => (
        <Box
          key={room.href}
          component={Link}
          href={room.href}
          aria-label={'label' in room ? room.label : undefined}
          aria-current={room === here ? 'page' : undefined}
          sx={{
            flex: { xs: '1 1 0', md: 'none' },
            minWidth: 0,
            display: 'flex',
            flexDirection: { xs: 'column', md: 'row' },
            alignItems: 'center',
            justifyContent: 'center',
            gap: { xs: 0.25, md: 0.75 },
            height: HIGH,
            px: { xs: 0.25, md: 1.5 },
            mr: room.href === '/' ? { md: 1.5 } : 0,
            color: 'inherit',
            textDecoration: 'none',
            whiteSpace: 'nowrap',
            fontSize: { xs: 11, md: 13.5 },
            opacity: room === here ? 1 : 0.82,
            boxShadow:
              room === here ? { xs: `inset 0 3px 0 ${GLASS.lamp}`, md: `inset 0 -3px 0 ${GLASS.lamp}` } : 'none',
            '&:hover': { opacity: 1 },
            '&:focus-visible': { outline: '2px solid #fff', outlineOffset: -3 },
          }}
        >
          <room.Icon size={18} aria-hidden />
          {room.href === '/' ? <HouseName /> : room.name}
        </Box>
      ))}
    </Box>
  );
}

/** On a wide window the first room has the house's own name. */
function HouseName() {
  return (
    <>
      <Box component="span" sx={{ display: { md: 'none' } }}>
        Shelf
      </Box>
      <Box component="span" sx={{ display: { xs: 'none', md: 'inline' }, font: '600 18px Fraunces, serif' }}>
        Hobnail
      </Box>
    </>
  );
}

const NAILS = [
  [4, 4],
  [18, 4],
  [4, 18],
  [18, 18],
] as const;

/** The mark: five raised dots. */
function Mark({ size }: { size: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 22 22" aria-hidden>
      {NAILS.map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r="3.4" fill={GLASS.milk} />
      ))}
      <circle cx="11" cy="11" r="3.6" fill={GLASS.lamp} />
    </svg>
  );
}
