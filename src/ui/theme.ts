'use client';

import { createTheme } from '@mui/material/styles';

/** Pressed glass with raised dots: the only ornament, and always a quantity. */
export const GLASS = {
  milk: '#F7F5F0',
  paper: '#FFFDF9',
  edge: '#DED9CC',
  bottle: '#17443F',
  /** the house's own bar, over the screen's */
  bottleDeep: '#0F302C',
  bottleSoft: '#E4ECE8',
  /** for lines and marks */
  amber: '#B8691B',
  /** light of the mark, on dark glass */
  lamp: '#E0A35A',
  /** for the one main action: a little deeper, so that white letters on it reach a contrast of 4.5 (WCAG 2.2) */
  amberDeep: '#A85D14',
  cranberry: '#9B2743',
  cobalt: '#2C4A86',
  ink: '#1F2423',
  quiet: '#5C635F',
} as const;

export const theme = createTheme({
  palette: {
    mode: 'light',
    background: { default: GLASS.milk, paper: GLASS.paper },
    primary: { main: GLASS.bottle, contrastText: '#ffffff' },
    secondary: { main: GLASS.amberDeep, contrastText: '#ffffff' },
    error: { main: GLASS.cranberry },
    info: { main: GLASS.cobalt },
    text: { primary: GLASS.ink, secondary: GLASS.quiet },
    divider: GLASS.edge,
  },
  shape: { borderRadius: 10 },
  typography: {
    fontFamily: 'Figtree, sans-serif',
    fontSize: 13.5,
    h1: { fontFamily: 'Fraunces, serif', fontWeight: 600, fontSize: 30, letterSpacing: '-0.01em' },
    h2: { fontFamily: 'Fraunces, serif', fontWeight: 600, fontSize: 20 },
    h3: { fontFamily: 'Fraunces, serif', fontWeight: 600, fontSize: 16 },
    h6: { fontFamily: 'Fraunces, serif', fontWeight: 600, fontSize: 20 },
    body1: { fontSize: 14.5 },
    body2: { fontSize: 13 },
    caption: { fontSize: 12 },
    button: { textTransform: 'none', fontWeight: 600, letterSpacing: 0 },
  },
  components: {
    // where the focus is must be seen: a ripple of the same hue is not
    MuiButtonBase: {
      styleOverrides: {
        root: { '&.Mui-focusVisible': { outline: `2px solid ${GLASS.cobalt}`, outlineOffset: 1 } },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { borderRadius: 22, paddingInline: 16 },
        outlined: { borderColor: GLASS.edge, background: GLASS.paper },
      },
    },
    MuiToggleButton: { styleOverrides: { root: { color: GLASS.ink, textTransform: 'none', paddingBlock: 1 } } },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { border: `1px solid ${GLASS.edge}` } } },
    MuiDialog: { styleOverrides: { paper: { borderRadius: 18 } } },
    MuiCssBaseline: {
      styleOverrides: {
        body: { overscrollBehavior: 'none' },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': {
            animationDuration: '1ms !important',
            animationIterationCount: '1 !important',
            transitionDuration: '1ms !important',
            scrollBehavior: 'auto !important',
          },
        },
        'button, input, select, textarea': { font: 'inherit' },
        '*:focus-visible': { outline: `2px solid ${GLASS.cobalt}`, outlineOffset: 2 },
        // an outline in a drawing is measured in its mm: there the ring is drawn
        'svg [role="button"]': { outline: 'none' },
        'svg [role="button"]:focus-visible > .ring': { stroke: GLASS.cobalt, strokeWidth: 1 },
      },
    },
  },
});

/** A window so narrow that what stands side by side elsewhere is one page. */
export const PHONE = '@media (max-width: 599px)';
