'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lockTogether, removeTogether } from '../../../core/edit/together';
import { useSpread } from '../store';

/** Several pieces: they move together, come off together, are locked together. */
export function SeveralInHand() {
  const placements = useSpread((s) => s.placements);
  const selected = useSpread((s) => s.selected);
  const also = useSpread((s) => s.also);
  const edit = useSpread((s) => s.edit);
  const ids = [...(selected ? [selected] : []), ...also];
  const locked = placements.filter((p) => ids.includes(p.id)).every((p) => p.locked);
  return (
    <>
      <Typography variant="h3">{ids.length} pieces chosen</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 0.75 }}>
        Drag one of them, or use the arrows: they move together. Shift click lets one go.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button size="small" variant="outlined" onClick={() => edit(lockTogether(placements, ids))}>
          {locked ? 'Unlock' : 'Lock'}
        </Button>
        <Button size="small" variant="outlined" color="error" onClick={() => edit(removeTogether(placements, ids))}>
          Take off
        </Button>
      </Box>
    </>
  );
}
