import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { PAPER } from '../../core/measure/paper';
import { GLASS } from '../theme';
import { useTrueSize } from '../use-true-size';
import { FormDialog } from '../screen/FormDialog';

/** A bank card held to the screen tells how many pixels a millimeter has (ISO/IEC 7810 ID-1: 85.60 × 53.98 mm). */
export function CardDialog({ onClose }: { onClose: () => void }) {
  const [kept, keep] = useTrueSize();
  const [pixels, setPixels] = useState(kept);
  return (
    <FormDialog
      plain
      title="Check this screen with a bank card"
      onClose={onClose}
      act={{
        label: 'Keep this scale',
        run: () => {
          keep(pixels);
          onClose();
        },
      }}
    >
      <Typography>
        Hold a card to the screen and move the slider until the outline is exactly as wide as the card.
      </Typography>
      <Box sx={{ height: 400, display: 'flex', alignItems: 'center', justifyContent: 'center' }}>
        <Box
          data-testid="card"
          sx={{
            width: PAPER.card.width * pixels,
            height: PAPER.card.height * pixels,
            border: `2px solid ${GLASS.bottle}`,
            borderRadius: `${3.18 * pixels}px`,
            background: GLASS.bottleSoft,
            display: 'flex',
            alignItems: 'center',
            justifyContent: 'center',
            flexShrink: 0,
          }}
        >
          <Typography color="text.secondary">85.60 × 53.98 mm</Typography>
        </Box>
      </Box>
      <Slider
        value={pixels}
        min={2}
        max={7}
        step={0.005}
        onChange={(_, v) => setPixels(v)}
        aria-label="Pixels to the millimeter"
        valueLabelDisplay="auto"
        valueLabelFormat={(v) => v.toFixed(2)}
      />
      <Typography variant="caption" color="text.secondary">
        {pixels.toFixed(3)} pixels to the millimeter. It is kept in this browser, for this screen.
      </Typography>
    </FormDialog>
  );
}
