import Box from '@mui/material/Box';
import { GLASS } from './theme';

/** Raised dots for what is there, hollow ones for what is free: a quantity to be read at a glance. */
export function Dots({
  raised,
  hollow = 0,
  color = GLASS.bottle,
  size = 7,
  label,
}: {
  raised: number;
  hollow?: number;
  color?: string;
  size?: number;
  label: string;
}) {
  return (
    <Box role="img" aria-label={label} sx={{ display: 'inline-flex', flexWrap: 'wrap', gap: `${size * 0.3}px` }}>
      {Array.from({ length: raised + hollow }, (_, i) => (
        <Box
          key={i}
          sx={
            i < raised
              ? {
                  width: size,
                  height: size,
                  borderRadius: '50%',
                  background: `radial-gradient(circle at 35% 30%, #ffffffb0 0 12%, ${color} 48%)`,
                  boxShadow: '0 .5px 1px #0003',
                }
              : {
                  width: size,
                  height: size,
                  borderRadius: '50%',
                  boxShadow: `inset 0 0 0 1px ${GLASS.edge}, inset 0 1px 1.5px #0002`,
                  background: GLASS.milk,
                }
          }
        />
      ))}
    </Box>
  );
}
