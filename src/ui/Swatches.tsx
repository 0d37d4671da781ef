import Box from '@mui/material/Box';

/** A kit's colors, as chips that overlap. */
export function Swatches({ colors }: { colors: readonly string[] }) {
  return (
    <Box aria-hidden sx={{ display: 'flex' }}>
      {colors.slice(0, 5).map((c, i) => (
        <Box
          key={c}
          sx={{
            width: 16,
            height: 16,
            ml: i ? '-4px' : 0,
            borderRadius: '4px',
            background: c,
            border: '1px solid #fff',
          }}
        />
      ))}
    </Box>
  );
}
