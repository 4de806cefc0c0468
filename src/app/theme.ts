import { createTheme } from '@mui/material/styles';
import type { CSSProperties } from 'react';

// Letters beside those that MUI has: smaller, quieter, both, and names as the database spells them.
declare module '@mui/material/styles' {
  interface TypographyVariants {
    small: CSSProperties;
    mute: CSSProperties;
    note: CSSProperties;
    mono: CSSProperties;
    monoSmall: CSSProperties;
  }
  interface TypographyVariantsOptions {
    small?: CSSProperties;
    mute?: CSSProperties;
    note?: CSSProperties;
    mono?: CSSProperties;
    monoSmall?: CSSProperties;
  }
}
declare module '@mui/material/Typography' {
  interface TypographyPropsVariantOverrides {
    small: true;
    mute: true;
    note: true;
    mono: true;
    monoSmall: true;
  }
}

const day = {
  paper: '#F6F2E8',
  card: '#FFFDF7',
  line: '#E1DAC8',
  ink: '#1D2A30',
  mute: '#5A676B',
  verd: '#1D6D63',
  rust: '#A23A1C',
  brass: '#8A6512',
  /** Quieter than a line: under what is pointed at, between rows. */
  faint: '#EDE7D8',
  /** Behind words in verdigris, rust and brass. */
  tints: { verd: '#DCEAE5', rust: '#F6E1D8', brass: '#F3E7C8' },
};
const night: typeof day = {
  paper: '#10181C',
  card: '#172227',
  line: '#2A3940',
  ink: '#E4EAE8',
  mute: '#9AA9AB',
  verd: '#5DB7A8',
  rust: '#E88D69',
  brass: '#D9B450',
  faint: '#213036',
  tints: { verd: '#1B3A37', rust: '#3E251C', brass: '#39301A' },
};

function palette({ paper, card, line, ink, mute, verd, rust, brass, faint, tints }: typeof day) {
  return {
    primary: { main: verd, light: tints.verd, contrastText: card },
    error: { main: rust, light: tints.rust, contrastText: card },
    warning: { main: brass, light: tints.brass, contrastText: card },
    // Neither of the two has a colour of its own here.
    info: { main: verd, light: tints.verd, contrastText: card },
    success: { main: verd, light: tints.verd, contrastText: card },
    background: { default: paper, paper: card },
    text: { primary: ink, secondary: mute },
    divider: line,
    action: { hover: faint, selected: tints.verd },
  };
}

/** MUI in our own dress: flat, square, quiet. The palette stands here alone; other styles take it from `--mui-palette-*`. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-color-scheme' },
  colorSchemes: { light: { palette: palette(day) }, dark: { palette: palette(night) } },
  typography: {
    fontFamily: '"Atkinson Hyperlegible Next Variable", sans-serif',
    fontSize: 13.5,
    body1: { fontSize: 14, lineHeight: 1.4 },
    button: { textTransform: 'none', fontWeight: 600 },
    small: { fontSize: 12 },
    mute: { color: 'var(--mui-palette-text-secondary)' },
    note: { fontSize: 12, color: 'var(--mui-palette-text-secondary)' },
    mono: { fontFamily: 'var(--mono)', fontSize: 12.5 },
    monoSmall: { fontFamily: 'var(--mono)', fontSize: 12 },
  },
  shape: { borderRadius: 3 },
  components: {
    // A paragraph keeps its distance, whatever its letters are.
    MuiTypography: {
      styleOverrides: { root: { 'p&, ul&': { margin: '1em 0' }, 'h1&': { margin: '2px 0 4px' }, 'pre&': { margin: '6px 0 0' } } },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { size: 'small', variant: 'outlined', disableElevation: true },
      styleOverrides: {
        root: {
          padding: '4px 12px',
          lineHeight: 1.5,
          '&.Mui-focusVisible': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: 2 },
        },
      },
    },
    MuiSnackbarContent: {
      styleOverrides: {
        root: {
          backgroundColor: 'var(--mui-palette-text-primary)',
          color: 'var(--mui-palette-background-paper)',
          borderRadius: 3,
        },
      },
    },
    MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
    MuiTabs: { styleOverrides: { root: { minHeight: 36, borderBottom: '1px solid var(--mui-palette-divider)' } } },
    MuiTab: {
      styleOverrides: {
        root: { minHeight: 36, minWidth: 0, padding: '6px 7px', fontSize: 13 },
      },
    },
    MuiTableSortLabel: {
      styleOverrides: { root: { lineHeight: '26px' }, icon: { display: 'none', '.Mui-active > &': { display: 'inline' } } },
    },
    MuiOutlinedInput: { styleOverrides: { root: { backgroundColor: 'var(--mui-palette-background-paper)' } } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: {
      styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)', boxShadow: '0 12px 40px rgba(0, 0, 0, 0.25)' } },
    },
    MuiMenu: {
      styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)', boxShadow: '0 6px 24px rgba(0, 0, 0, 0.18)' } },
    },
    MuiLinearProgress: {
      styleOverrides: { root: { height: 6, borderRadius: 3, backgroundColor: 'var(--mui-palette-divider)' } },
    },
    MuiAppBar: { defaultProps: { position: 'static', color: 'transparent', elevation: 0 } },
    MuiTableCell: {
      styleOverrides: {
        root: { padding: '4px 6px', fontSize: 13, overflowWrap: 'anywhere', borderColor: 'var(--mui-palette-action-hover)' },
        head: {
          fontSize: 12,
          fontWeight: 500,
          color: 'var(--mui-palette-text-secondary)',
          borderColor: 'var(--mui-palette-divider)',
        },
        body: { fontFamily: 'var(--mono)', fontSize: 12.5, color: 'inherit' },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          padding: '2px 9px',
          font: '600 12px var(--text)',
          textTransform: 'none',
          color: 'var(--mui-palette-text-secondary)',
          borderColor: 'var(--mui-palette-divider)',
          '&.Mui-selected, &.Mui-selected:hover': {
            color: 'var(--mui-palette-primary-main)',
            borderColor: 'var(--mui-palette-primary-main)',
            backgroundColor: 'var(--mui-palette-primary-light)',
          },
        },
      },
    },
    MuiAccordion: {
      defaultProps: { disableGutters: true, elevation: 0, square: true },
      styleOverrides: { root: { backgroundColor: 'transparent', '&::before': { display: 'none' } } },
    },
    MuiAccordionSummary: {
      styleOverrides: {
        root: { padding: 0, minHeight: 28, fontFamily: 'inherit', color: 'var(--mui-palette-text-secondary)', fontSize: 13 },
        content: {
          margin: '4px 0',
          '&::before': { content: '"▸"', marginRight: 8 },
          '&.Mui-expanded::before': { content: '"▾"' },
        },
      },
    },
    MuiAccordionDetails: { styleOverrides: { root: { padding: '2px 0 8px' } } },
    MuiFormControlLabel: { styleOverrides: { label: { fontSize: 14 } } },
    MuiNativeSelect: { styleOverrides: { select: { fontSize: 13 } } },
    MuiAlert: {
      defaultProps: { icon: false },
      styleOverrides: {
        root: {
          padding: '2px 12px',
          margin: '10px 0',
          borderLeft: '3px solid var(--mui-palette-primary-main)',
          borderRadius: 0,
          backgroundColor: 'var(--mui-palette-primary-light)',
          color: 'var(--mui-palette-text-primary)',
          '&.MuiAlert-colorError': {
            borderColor: 'var(--mui-palette-error-main)',
            backgroundColor: 'var(--mui-palette-error-light)',
          },
          '&.MuiAlert-colorWarning': {
            borderColor: 'var(--mui-palette-warning-main)',
            backgroundColor: 'var(--mui-palette-warning-light)',
          },
        },
        message: { padding: '6px 0' },
      },
    },
  },
});
