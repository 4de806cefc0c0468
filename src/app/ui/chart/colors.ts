/** Colours of the theme as charts take them: the browser reads them, so they follow day and night. */
export const colors = {
  ink: 'var(--mui-palette-text-primary)',
  mute: 'var(--mui-palette-text-secondary)',
  line: 'var(--mui-palette-divider)',
  verd: 'var(--mui-palette-primary-main)',
  verdTint: 'var(--mui-palette-primary-light)',
  rust: 'var(--mui-palette-error-main)',
  brass: 'var(--mui-palette-warning-main)',
  card: 'var(--mui-palette-background-paper)',
} as const;

export const textStyle = { fontFamily: 'var(--text)', fontSize: 12, color: colors.mute } as const;
