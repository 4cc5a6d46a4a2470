// The look: liner, sheet, ink and one accent; hairlines, no shadows, 2 px corners. Light and dark.

import { createTheme } from '@mui/material/styles';
import type { MouseEvent } from 'react';
import { COLOURS } from './tokens';

declare module '@mui/material/styles' {
  interface CssThemeVariables {
    enabled: true;
  }
}

const HEADING = "'Bricolage Grotesque Variable', 'Trebuchet MS', sans-serif";
const TEXT = "'Atkinson Hyperlegible Next Variable', Verdana, sans-serif";

/**
 * A list that finds no room beneath its field opens over it. A press of half a second on the field would then pick what
 * happens to come to lie beneath the pointer, without a word: here only a press on a choice itself picks it.
 */
const ignoreSlowPress = (event: MouseEvent): void => event.stopPropagation();

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: '[data-theme="%s"]' },
  colorSchemes: {
    light: {
      palette: {
        background: { default: COLOURS.liner, paper: COLOURS.sheet },
        text: { primary: COLOURS.ink, secondary: COLOURS.softInk },
        divider: COLOURS.hairline,
        primary: { main: COLOURS.ink, contrastText: COLOURS.sheet },
        secondary: { main: COLOURS.madder, contrastText: COLOURS.sheet },
        error: { main: COLOURS.madder },
        warning: { main: '#8A5C05' },
        success: { main: '#2F6541' },
        info: { main: COLOURS.slate },
      },
    },
    dark: {
      palette: {
        background: { default: '#1C1922', paper: '#26222D' },
        text: { primary: '#F0EADD', secondary: '#BAB2C2' },
        divider: '#484252',
        primary: { main: '#F0EADD', contrastText: '#1C1922' },
        secondary: { main: '#EC9AA0', contrastText: '#1C1922' },
        error: { main: '#EC9AA0' },
        warning: { main: '#E2B75C' },
        success: { main: '#8FC7A0' },
        info: { main: '#9DB9E2' },
      },
    },
  },
  shape: { borderRadius: 2 },
  shadows: Array(25).fill('none') as never,
  typography: {
    fontFamily: TEXT,
    fontSize: 14,
    h1: { fontFamily: HEADING, fontSize: '1.6rem', fontWeight: 650, lineHeight: 1.2 },
    h2: { fontFamily: HEADING, fontSize: '1.12rem', fontWeight: 650, lineHeight: 1.3 },
    h3: { fontFamily: HEADING, fontSize: '1rem', fontWeight: 650 },
    subtitle1: { fontSize: '1.18rem', lineHeight: 1.35 },
    button: { textTransform: 'none', fontWeight: 650 },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true, variant: 'outlined' },
      styleOverrides: { root: { minHeight: 34, whiteSpace: 'nowrap' } },
    },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: { border: '1px solid var(--mui-palette-text-primary)' } } },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiSelect: { defaultProps: { MenuProps: { slotProps: { list: { onMouseUpCapture: ignoreSlowPress } } } } },
    MuiTableCell: {
      styleOverrides: {
        root: { padding: '7px 10px', borderColor: 'var(--mui-palette-divider)' },
        head: { fontSize: '.82rem', color: 'var(--mui-palette-text-secondary)', fontWeight: 500 },
      },
    },
    MuiTooltip: { defaultProps: { arrow: false } },
    MuiTab: { styleOverrides: { root: { alignItems: 'flex-start', minHeight: 44 } } },
  },
});
