'use client';

import Box from '@mui/material/Box';
import Popper from '@mui/material/Popper';
import { GLASS } from './theme';

/** The words of a hint, beside what they are about. */
export function HintBubble({ id, at, title }: { id: string; at: HTMLElement; title: string }) {
  return (
    <Popper open anchorEl={at} placement="bottom" sx={{ zIndex: 'tooltip', pointerEvents: 'none' }}>
      <Box
        id={id}
        role="tooltip"
        sx={{
          m: 1,
          px: 1,
          py: 0.5,
          maxWidth: 300,
          borderRadius: 1,
          overflowWrap: 'anywhere',
          background: GLASS.bottle,
          color: '#fff',
          fontSize: 12,
          fontWeight: 500,
          lineHeight: 1.4,
        }}
      >
        {title}
      </Box>
    </Popper>
  );
}
