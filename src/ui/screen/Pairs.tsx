import Box from '@mui/material/Box';
import { Fragment } from 'react';

/** Names and what is said of each, in two columns. */
export function Pairs({ of }: { of: readonly (readonly [name: string, said: string])[] }) {
  return (
    <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, rowGap: 1, m: 0 }}>
      {of.map(([name, said]) => (
        <Fragment key={name}>
          <Box component="dt" sx={{ fontWeight: 600 }}>
            {name}
          </Box>
          <Box component="dd" sx={{ m: 0 }}>
            {said}
          </Box>
        </Fragment>
      ))}
    </Box>
  );
}
