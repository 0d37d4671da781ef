import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { GLASS } from '../theme';

/** Something that its owner is asked about, with the answers there are. */
export function Asked({ title, note, children }: { title: string; note: string; children: ReactNode }) {
  return (
    <Box
      role="group"
      aria-label={title}
      sx={{
        borderLeft: `3px solid ${GLASS.cobalt}`,
        pl: 1.25,
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 1,
        rowGap: 0.25,
      }}
    >
      <Typography variant="body2" sx={{ flex: '1 1 150px', overflowWrap: 'anywhere' }}>
        <b>{title}</b>{' '}
        <Typography component="span" variant="caption" color="text.secondary">
          {note}
        </Typography>
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>{children}</Box>
    </Box>
  );
}
