'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { KitLine } from '../../server/kits';
import { Dots } from '../Dots';
import { untouchedOf } from '../../core/kit/stock';
import { Swatches } from '../Swatches';
import { useKitName } from '../kit-names';
import { GLASS } from '../theme';

const STUDS = 10;

const GROUPS: readonly { readonly name: string; readonly holds: (k: KitLine) => boolean }[] = [
  { name: 'Kits', holds: (k) => k.role === 'kit' && !k.facts.retired },
  { name: 'Stash', holds: (k) => k.role === 'stash' && !k.facts.retired },
  { name: 'Retired', holds: (k) => k.facts.retired },
];

/** Every kit and stash with its colors, and how much of it is still whole. */
export function KitList({ kits, chosen }: { kits: readonly KitLine[]; chosen: string | null }) {
  const called = useKitName();
  return (
    <Box component="nav" aria-label="Kits" sx={{ display: 'flex', flexDirection: 'column', gap: 0.5 }}>
      {GROUPS.map(({ name, holds }) => {
        const own = kits.filter(holds);
        return (
          own.length > 0 && (
            <Box key={name}>
              <Typography variant="caption" color="text.secondary" component="p" sx={{ mt: 0.5 }}>
                {name}
              </Typography>
              {own.map((k) => {
                const whole = untouchedOf(k);
                const raised = k.total ? Math.round((whole / k.total) * STUDS) : 0;
                return (
                  <ButtonBase
                    key={k.name}
                    component={Link}
                    href={`/kits?kit=${encodeURIComponent(k.name)}`}
                    aria-current={k.name === chosen ? 'page' : undefined}
                    sx={{
                      width: '100%',
                      display: 'block',
                      textAlign: 'left',
                      p: 1,
                      borderRadius: 1.5,
                      background: k.name === chosen ? GLASS.bottleSoft : 'transparent',
                      '&:hover': { background: GLASS.bottleSoft },
                    }}
                  >
                    <Typography sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{called(k.name)}</Typography>
                    <Box sx={{ my: 0.5 }}>
                      <Swatches colors={k.swatches} />
                    </Box>
                    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                      <Dots raised={raised} hollow={STUDS - raised} size={5} label={`${whole} of ${k.total} whole`} />
                      <Typography variant="caption" color="text.secondary">
                        {whole} of {k.total} whole
                      </Typography>
                    </Box>
                    {k.facts.place && (
                      <Typography
                        variant="caption"
                        color="text.secondary"
                        component="p"
                        sx={{ overflowWrap: 'anywhere' }}
                      >
                        {k.facts.place}
                      </Typography>
                    )}
                  </ButtonBase>
                );
              })}
            </Box>
          )
        );
      })}
    </Box>
  );
}
