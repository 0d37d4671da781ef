import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A card of the week's screen with its name. */
export function Part({ name, side, children }: { name: string; side?: ReactNode; children: ReactNode }) {
  return (
    <Paper component="section" aria-label={name} sx={{ p: 2, minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 1 }}>
        <Typography variant="h2" sx={{ fontSize: 19, flex: 1, minWidth: 0 }}>
          {name}
        </Typography>
        {side}
      </Box>
      {children}
    </Paper>
  );
}
