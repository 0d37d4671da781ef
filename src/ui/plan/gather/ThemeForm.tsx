'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Hex } from '../../../core/color/color';
import { colorNames } from '../../../core/color/color-name';
import { COLOR_THEMES } from '../../../core/kit/color-themes';
import type { Theme } from '../../../core/kit/gather';
import { Choice } from '../../fields/Choice';
import { IconX } from '../../icons';
import { GLASS } from '../../theme';
import { colorsOfPhoto } from './colors-of-photo';

const ANY = 'any';

/** A theme has so many colors. */
const FEWEST = 2;
const MOST = 4;
/** of a ready theme: its three first make a week of one look */
const OF_READY = 3;

/** The colors of a week, and its foil: picked, taken from a photo, or ready ones to begin with. */
export function ThemeForm({
  theme,
  foils,
  onChange,
}: {
  theme: Theme;
  foils: readonly string[];
  onChange: (theme: Theme) => void;
}) {
  const { colors } = theme;
  const [message, setMessage] = useState<string | null>(null);
  const names = colorNames(colors);
  const set = (next: readonly Hex[]) => {
    setMessage(null);
    onChange({ ...theme, colors: [...new Set(next)] });
  };
  const fromPhoto = async (file: File | undefined) => {
    if (!file) return;
    const found = await colorsOfPhoto(file, MOST).catch(() => null);
    if (!found) return setMessage(`${file.name} is no picture that can be read here.`);
    if (found.length < FEWEST) return setMessage(`${file.name} has one color only. Add another by hand.`);
    set(found);
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
        <Box role="group" aria-label="The colors of the week" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
          {colors.map((color, i) => (
            <Box key={i} sx={{ width: 84, position: 'relative' }}>
              <input
                type="color"
                value={color}
                aria-label={`Color ${i + 1}: ${names[i]}`}
                onChange={(e) => {
                  const next = colors.map((c, k) => (k === i ? e.target.value : c));
                  if (new Set(next).size === next.length) set(next);
                }}
                style={{ width: 84, height: 60, padding: 0, border: 'none', background: 'none', cursor: 'pointer' }}
              />
              <Typography variant="caption" component="p" noWrap sx={{ textAlign: 'center' }}>
                {names[i]}
              </Typography>
              {colors.length > FEWEST && (
                <IconButton
                  size="small"
                  aria-label={`Remove ${names[i]}`}
                  onClick={() => set(colors.filter((_, k) => k !== i))}
                  sx={{
                    position: 'absolute',
                    top: -9,
                    right: -9,
                    width: 24,
                    height: 24,
                    background: GLASS.milk,
                    border: `1px solid ${GLASS.edge}`,
                  }}
                >
                  <IconX size={14} />
                </IconButton>
              )}
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.5, alignItems: 'flex-start' }}>
          {colors.length < MOST && (
            <Button size="small" variant="outlined" onClick={() => set([...colors, another(colors)])}>
              Add a color
            </Button>
          )}
          <Button size="small" component="label">
            From a photo
            <input
              hidden
              type="file"
              accept="image/*"
              data-testid="theme-photo"
              onChange={(e) => {
                void fromPhoto(e.target.files?.[0]);
                e.target.value = '';
              }}
            />
          </Button>
        </Box>
        <Choice
          label="Foil"
          sx={{ minWidth: 140 }}
          value={theme.foil ?? ANY}
          options={[ANY, 'none', ...foils.map((f) => [f, f.replaceAll('-', ' ')] as const)]}
          onChange={(foil) => onChange({ ...theme, foil: foil === ANY ? null : foil })}
        />
      </Box>
      {message && (
        <Typography role="alert" sx={{ color: GLASS.cranberry }}>
          {message}
        </Typography>
      )}
      <Box role="group" aria-label="Ready colors" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {COLOR_THEMES.map((ready) => {
          const three = ready.colors.slice(0, OF_READY);
          const isIt = three.length === colors.length && three.every((c, i) => c === colors[i]);
          return (
            <Button
              key={ready.name}
              size="small"
              aria-pressed={isIt}
              onClick={() => set(three)}
              sx={{ gap: 1, border: `1px solid ${isIt ? GLASS.bottle : GLASS.edge}` }}
            >
              <Box sx={{ display: 'flex', borderRadius: 0.5, overflow: 'hidden' }} aria-hidden>
                {three.map((c) => (
                  <Box key={c} sx={{ width: 12, height: 18, background: c }} />
                ))}
              </Box>
              {ready.name}
            </Button>
          );
        })}
      </Box>
    </Box>
  );
}

/** A color that the theme has not yet. */
const another = (colors: readonly Hex[]): Hex =>
  COLOR_THEMES.flatMap((t) => t.colors).find((c) => !colors.includes(c)) ?? '#888888';
