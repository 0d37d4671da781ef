import { DragOverlay } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import { GLASS } from '../theme';

/** What a list's drag has in hand, under the pointer; null: nothing. */
export function InHand({ label }: { label: string | null }) {
  return (
    <DragOverlay>
      {label !== null && (
        <Box
          data-testid="in-hand"
          sx={{
            px: 1.5,
            py: 0.5,
            width: 'max-content',
            maxWidth: 260,
            borderRadius: 1,
            background: GLASS.bottle,
            color: '#fff',
            fontSize: 13,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {label}
        </Box>
      )}
    </DragOverlay>
  );
}
