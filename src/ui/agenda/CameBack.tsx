import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { GLASS } from '../theme';
import type { TypedLines } from './use-typed-lines';

/** Lines that were not added, to be taken into the field again. */
export const CameBack = ({ lines }: { lines: TypedLines }) =>
  lines.back.map((line) => (
    <Box key={line} role="alert" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <Typography variant="body2" sx={{ color: GLASS.cranberry, overflowWrap: 'anywhere' }}>
        Not added: “{line}”
      </Typography>
      <Button size="small" onClick={() => lines.takeBack(line)} sx={{ py: 0 }}>
        Write it again
      </Button>
    </Box>
  ));
