import { createTheme, type Shadows } from '@mui/material/styles';
import { fonts, tokens } from './tokens';

const flat = Array.from({ length: 25 }, () => 'none') as Shadows;
const focusRing = { outline: `2px solid ${tokens.sea}`, outlineOffset: 2 };

/** The look of every MUI component, for staff and public pages alike. */
export const theme = createTheme({
  shape: { borderRadius: 2 },
  shadows: flat,
  spacing: 4,
  palette: {
    primary: { main: tokens.sea, dark: tokens.seaDeep, contrastText: tokens.panel },
    error: { main: tokens.terraInk },
    warning: { main: tokens.ochre },
    success: { main: tokens.olive },
    background: { default: tokens.page, paper: tokens.panel },
    divider: tokens.line,
    text: { primary: tokens.ink, secondary: tokens.ink2 },
  },
  typography: {
    fontFamily: fonts.text,
    fontWeightMedium: 650,
    fontWeightBold: 650,
    body1: { fontSize: 'inherit', lineHeight: 'inherit' },
    button: { textTransform: 'none', fontWeight: 650 },
  },
  transitions: {
    duration: {
      shortest: 120,
      shorter: 120,
      short: 120,
      standard: 120,
      complex: 120,
      enteringScreen: 120,
      leavingScreen: 120,
    },
  },
  components: {
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: { root: { font: 'inherit', '&:focus-visible': focusRing } },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { outlined: { borderColor: tokens.edge, color: tokens.ink, backgroundColor: tokens.panel } },
    },
    MuiLink: {
      styleOverrides: { root: { color: tokens.sea, textDecorationColor: 'currentColor', textUnderlineOffset: 3 } },
    },
    MuiDialog: {
      defaultProps: { transitionDuration: 120 },
      styleOverrides: {
        paper: {
          borderRadius: 0,
          borderTop: `3px solid ${tokens.ink}`,
          outline: `1px solid ${tokens.edge}`,
          backgroundImage: 'none',
        },
      },
    },
    MuiTooltip: {
      defaultProps: { enterDelay: 300 },
      styleOverrides: {
        tooltip: {
          backgroundColor: tokens.ink,
          color: tokens.panel,
          borderRadius: 0,
          fontSize: 12.5,
          padding: '4px 8px',
        },
      },
    },
    MuiMenu: {
      styleOverrides: { paper: { border: `1px solid ${tokens.ink}`, borderRadius: 0 }, list: { padding: 0 } },
    },
    MuiMenuItem: {
      styleOverrides: {
        root: {
          fontSize: 13.5,
          minHeight: 0,
          padding: '7px 12px',
          '&:hover, &.Mui-focusVisible': { backgroundColor: tokens.seaTint },
        },
      },
    },
    MuiLinearProgress: {
      styleOverrides: { root: { height: 4, borderRadius: 0, backgroundColor: tokens.line }, bar: { borderRadius: 0 } },
    },
  },
});
