import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import { useSyncExternalStore } from 'react';

/** Day or night; follows the system until somebody chooses. */
export function SchemeButton() {
  const { mode, systemMode, setMode } = useColorScheme();
  const hydrated = useSyncExternalStore(
    () => () => undefined,
    () => true,
    () => false,
  );
  const dark = hydrated && (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <Button
      variant="text"
      sx={{ minWidth: 0, px: 0.8, color: 'var(--mui-palette-text-secondary)' }}
      onClick={() => setMode(dark ? 'light' : 'dark')}
      aria-label={dark ? 'Day colours' : 'Night colours'}
      title={dark ? 'Day colours' : 'Night colours'}
    >
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
        <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="1.4" />
        <path d="M8 2 A6 6 0 0 1 8 14 Z" fill="currentColor" />
      </svg>
    </Button>
  );
}
