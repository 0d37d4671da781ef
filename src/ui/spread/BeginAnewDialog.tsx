'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { isWriting } from '../../core/spread/placement';
import { pieceName, voiceOf } from '../../core/spread/voice';
import { useSpread } from './store';
import { FormDialog } from '../screen/FormDialog';
import { laidLooks } from '../../core/spread/looks-name';

/** Whether all that is not locked shall be arranged again, or the week given up; and what of it is really stuck. */
export function BeginAnewDialog({
  onClose,
  onGiveUp,
  onArrange,
}: {
  onClose: () => void;
  onGiveUp: (stuck: readonly string[]) => void;
  onArrange: () => void;
}) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const finished = useSpread((s) => s.data.keep !== null);
  const [asking, setAsking] = useState(false);
  const down = placements.filter((p) => !isWriting(p) && (finished || p.locked));
  const [stuck, setStuck] = useState<ReadonlySet<string>>(() => new Set(down.map((p) => p.id)));
  const voice = voiceOf(context, placements);
  if (asking)
    return (
      <FormDialog
        plain
        title="What of it is really stuck?"
        onClose={onClose}
        act={{ label: 'Delete this spread', removes: true, run: () => onGiveUp([...stuck]) }}
      >
        <Typography sx={{ mb: 1 }}>
          What lies on the page is used up. All else is free again. The shelf can take the week up again.
        </Typography>
        <FormControlLabel
          control={
            <Checkbox
              checked={stuck.size === down.length}
              indeterminate={stuck.size > 0 && stuck.size < down.length}
              onChange={() => setStuck(new Set(stuck.size === down.length ? [] : down.map((p) => p.id)))}
            />
          }
          label={`All ${down.length}`}
        />
        <Box sx={{ display: 'grid', gridTemplateColumns: { sm: '1fr 1fr' }, pl: 2 }}>
          {down.map((p) => (
            <FormControlLabel
              key={p.id}
              control={
                <Checkbox
                  size="small"
                  checked={stuck.has(p.id)}
                  onChange={(e) => {
                    const now = new Set(stuck);
                    if (e.target.checked) now.add(p.id);
                    else now.delete(p.id);
                    setStuck(now);
                  }}
                />
              }
              label={`${pieceName(voice, p.id)}, ${laidLooks(voice, p)}`}
            />
          ))}
        </Box>
      </FormDialog>
    );
  return (
    <FormDialog
      plain
      title="Start this week over?"
      onClose={onClose}
      aside={
        <Button color="error" onClick={() => (down.length ? setAsking(true) : onGiveUp([]))}>
          Delete this spread
        </Button>
      }
      act={{ label: 'Arrange again', run: onArrange }}
    >
      <Typography>Everything that is not locked is lifted and arranged again. Undo brings it back.</Typography>
      <Typography color="text.secondary" sx={{ mt: 1.5 }}>
        To choose another book or kit, delete this spread: its stickers are free again. The shelf can take it up again.
      </Typography>
    </FormDialog>
  );
}
