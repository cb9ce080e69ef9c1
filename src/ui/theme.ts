'use client';

import { createTheme } from '@mui/material/styles';
import { TOKENS, type TokenName } from './tokens';

declare module '@mui/material/styles' {
  interface Palette {
    tokens: Record<TokenName, string>;
  }
  interface PaletteOptions {
    tokens?: Record<TokenName, string>;
  }
}

const palette = (mode: 'light' | 'dark') => {
  const t = TOKENS[mode];
  const onStrong = mode === 'light' ? t.sheet : t.paper;
  return {
    palette: {
      tokens: t,
      primary: { main: t.leaf, contrastText: onStrong },
      secondary: { main: t.ink, contrastText: onStrong },
      error: { main: t.madder, contrastText: onStrong },
      background: { default: t.paper, paper: t.sheet },
      text: { primary: t.ink, secondary: t.soft },
      divider: t.line,
    },
  };
};

const TEXT = "'Figtree Variable', sans-serif";
const TITLE = "'Bricolage Grotesque Variable', 'Figtree Variable', sans-serif";

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data' },
  colorSchemes: { light: palette('light'), dark: palette('dark') },
  spacing: 4,
  shape: { borderRadius: 8 },
  transitions: {
    duration: {
      shortest: 120,
      shorter: 120,
      short: 140,
      standard: 160,
      complex: 180,
      enteringScreen: 160,
      leavingScreen: 120,
    },
  },
  typography: {
    fontFamily: TEXT,
    fontSize: 13,
    htmlFontSize: 16,
    body1: { fontSize: 13, lineHeight: 1.45 },
    body2: { fontSize: 12, lineHeight: 1.4 },
    caption: { fontSize: 12, lineHeight: 1.35 },
    button: { fontSize: 13, textTransform: 'none', fontWeight: 600, lineHeight: 1.2 },
    h1: { fontFamily: TITLE, fontSize: 21, fontWeight: 700, letterSpacing: '-0.01em' },
    h2: { fontFamily: TITLE, fontSize: 17, fontWeight: 700 },
    h3: { fontFamily: TITLE, fontSize: 14, fontWeight: 650 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        'html, body': { height: '100%', overflow: 'hidden' },
        body: { fontVariantNumeric: 'tabular-nums' },
        '.pane-edge': { height: 1, background: 'var(--mui-palette-divider)', cursor: 'ns-resize' },
        '.pane-side': { width: 1, background: 'var(--mui-palette-divider)', cursor: 'ew-resize' },
        '.pane-side:hover, .pane-side[data-separator="active"]': { background: 'var(--mui-palette-primary-main)' },
        '.pane-edge:hover, .pane-edge[data-separator="active"]': { background: 'var(--mui-palette-primary-main)' },
        // A ring round a disc is round.
        '.key-disc:focus': { outline: 'none' },
        '.key-disc:focus-visible': { outline: 'none', strokeWidth: 3.5 },
        '*:focus-visible': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: 1 },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { transition: 'none !important', animation: 'none !important' },
        },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: { root: { fontFamily: 'inherit', fontVariantNumeric: 'inherit' } },
    },
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      styleOverrides: {
        root: { minHeight: 30, borderRadius: 8, paddingInline: 12 },
        outlined: { borderColor: 'var(--mui-palette-divider)' },
      },
    },
    MuiIconButton: { styleOverrides: { root: { borderRadius: 8, width: 32, height: 32 } } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: { borderRadius: 12, border: '1px solid var(--mui-palette-divider)' } } },
    MuiTooltip: {
      defaultProps: { enterDelay: 400, arrow: false, disableInteractive: true },
      styleOverrides: {
        tooltip: {
          fontSize: 12,
          background: 'var(--mui-palette-text-primary)',
          color: 'var(--mui-palette-background-paper)',
        },
      },
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { background: 'var(--mui-palette-background-paper)' },
        notchedOutline: { borderColor: 'var(--mui-palette-divider)' },
        input: { fontSize: 13, padding: '5px 8px', height: 20 },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: 30,
          paddingBlock: 3,
          paddingInline: 10,
          fontSize: 12,
          borderColor: 'var(--mui-palette-divider)',
          color: 'var(--mui-palette-text-primary)',
          '&.Mui-selected, &.Mui-selected:hover': {
            background: 'var(--mui-palette-tokens-leafWash)',
            color: 'var(--mui-palette-primary-main)',
            fontWeight: 700,
          },
        },
      },
    },
  },
});
