import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** One of several answers in a row. */
export const SmallButton = (props: { disabled: boolean; onClick: () => void; children: ReactNode }) => (
  <Button size="small" variant="outlined" sx={{ px: 1.25, py: 0.1, fontSize: 12 }} {...props} />
);
