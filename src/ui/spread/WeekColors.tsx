'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import CircularProgress from '@mui/material/CircularProgress';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Hex } from '../../core/color/color';
import { colorName, colorNames } from '../../core/color/color-name';
import type { ColorSwap } from '../../core/repair/swap-color';
import { colorAreas } from '../../core/review/balance';
import { GLASS } from '../theme';
import { useReview } from './review-context';
import { useSpread } from './store';

const SHOWN = 6;

/**
 * The colors that the week wears, the most seen first; each can be changed for another of the kit's, all over the
 * spread.
 */
export function WeekColors() {
  const { view } = useReview();
  const swapsOf = useSpread((s) => s.colorSwapsOf);
  const recolor = useSpread((s) => s.recolor);
  const [open, setOpen] = useState<{ color: Hex; at: HTMLElement } | null>(null);
  const [swaps, setSwaps] = useState<readonly ColorSwap[] | null>(null);
  const [failed, setFailed] = useState(false);
  const worn = colorAreas(view, view.placements).slice(0, SHOWN);
  const names = colorNames(worn.map((w) => w.color));
  const others = colorNames(swaps?.map((s) => s.to) ?? []);
  const ask = (color: Hex, at: HTMLElement) => {
    setOpen({ color, at });
    setSwaps(null);
    setFailed(false);
    swapsOf(color)
      .then(setSwaps)
      .catch(() => setFailed(true));
  };
  return (
    <Box data-testid="week-colors">
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        Colors of the week
      </Typography>
      {worn.map(({ color, pieces }, i) => (
        <ButtonBase
          key={color}
          onClick={(e) => ask(color, e.currentTarget)}
          aria-haspopup="menu"
          sx={{
            display: 'flex',
            width: '100%',
            justifyContent: 'flex-start',
            gap: 0.75,
            px: 0.5,
            py: 0.1,
            borderRadius: 1,
            '&:hover': { background: GLASS.bottleSoft },
          }}
        >
          <Swatch color={color} />
          <Typography variant="caption" noWrap sx={{ flex: 1, textAlign: 'left' }}>
            {names[i]}
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {pieces}
          </Typography>
        </ButtonBase>
      ))}
      <Menu open={open !== null} anchorEl={open?.at ?? null} onClose={() => setOpen(null)}>
        {open && (
          <Typography variant="caption" component="li" sx={{ px: 2, py: 0.5, display: 'block', fontWeight: 600 }}>
            Change {colorName(open.color)} to
          </Typography>
        )}
        {failed && <MenuItem disabled>The counting broke off. Choose the color once more.</MenuItem>}
        {swaps === null && !failed && (
          <MenuItem disabled>
            <CircularProgress size={14} sx={{ mr: 1 }} /> counting what would change…
          </MenuItem>
        )}
        {swaps?.length === 0 && <MenuItem disabled>Nothing of another color fits in these places.</MenuItem>}
        {swaps?.map((s, i) => (
          <MenuItem
            key={s.to}
            onClick={() => {
              setOpen(null);
              recolor(s);
            }}
            sx={{ gap: 1 }}
          >
            <Swatch color={s.to} /> {others[i]}{' '}
            <Typography variant="caption" color="text.secondary">
              {s.swapped} of {s.swapped + s.left} pieces
            </Typography>
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}

const Swatch = ({ color }: { color: Hex }) => (
  <Box
    component="span"
    sx={{
      width: 13,
      height: 13,
      borderRadius: '50%',
      background: color,
      border: `1px solid ${GLASS.edge}`,
      flexShrink: 0,
    }}
  />
);
