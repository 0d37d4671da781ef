import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Hex } from '../../core/color/color';
import { colorNames } from '../../core/color/color-name';
import { COLOR_THEMES } from '../../core/kit/color-themes';
import { GLASS } from '../theme';

/** The colors of a kit: ready ones to begin with, each to be changed to what lies on the table. */
export function FiveColors({
  colors,
  onChange,
}: {
  colors: readonly Hex[];
  onChange: (colors: readonly Hex[]) => void;
}) {
  const names = colorNames(colors);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, width: '100%' }}>
      <Box sx={{ display: 'flex', gap: 1 }} role="group" aria-label="Its five colors">
        {colors.map((color, i) => (
          <input
            key={i}
            type="color"
            value={color}
            title={names[i]}
            aria-label={`Color ${i + 1}: ${names[i]}`}
            onChange={(e) => onChange(colors.map((c, k) => (k === i ? e.target.value : c)))}
            style={{ width: 48, height: 48, padding: 0, border: 'none', background: 'none', cursor: 'pointer' }}
          />
        ))}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 0.75 }}>
        {COLOR_THEMES.map((theme) => (
          <Button
            key={theme.name}
            size="small"
            aria-pressed={theme.colors.every((c, i) => c === colors[i])}
            onClick={() => onChange(theme.colors)}
            sx={{
              justifyContent: 'flex-start',
              gap: 1,
              border: `1px solid ${theme.colors.every((c, i) => c === colors[i]) ? GLASS.bottle : GLASS.edge}`,
            }}
          >
            <Box sx={{ display: 'flex', borderRadius: 0.5, overflow: 'hidden', flexShrink: 0 }} aria-hidden>
              {theme.colors.map((c) => (
                <Box key={c} sx={{ width: 10, height: 18, background: c }} />
              ))}
            </Box>
            {theme.name}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
