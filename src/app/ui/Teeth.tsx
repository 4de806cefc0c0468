import type { Severity } from '~/core/rules/finding';

const grades: readonly Severity[] = ['Minor', 'Moderate', 'Serious', 'Critical'];

/** Severity as saw-teeth, one to four filled, with its word for those who cannot see them. */
export function Teeth({ severity }: { readonly severity: Severity }) {
  const filled = grades.indexOf(severity) + 1;
  const colour = `var(${filled >= 3 ? '--mui-palette-error-main' : '--mui-palette-text-primary'})`;
  return (
    <svg width="26" height="10" viewBox="0 0 26 10" role="img" aria-label={severity}>
      <path d={teeth(filled, 4)} fill="none" stroke="var(--mui-palette-divider)" strokeWidth={0.8} />
      <path d={teeth(0, filled)} fill={colour} stroke={colour} strokeWidth={0.8} />
    </svg>
  );
}

/** The outline of some of the four teeth, in one path: thousands of them scroll by. */
function teeth(from: number, to: number): string {
  return Array.from({ length: to - from }, (_, n) => (from + n) * 6.5)
    .map((x) => `M${x} 10 L${x + 6} 10 L${x + 6} 1 Z`)
    .join(' ');
}

/** Nothing open: a thin line, as of a wheel that holds. */
export function HeldLine({ label }: { readonly label: string }) {
  return (
    <svg
      width="26"
      height="10"
      viewBox="0 0 26 10"
      role="img"
      aria-label={label}
      style={{ color: 'var(--mui-palette-primary-main)', opacity: 0.75 }}
    >
      <path d="M1 9 H25" stroke="currentColor" strokeWidth={1.4} />
    </svg>
  );
}

export function isHarm(severity: Severity): boolean {
  return severity === 'Critical' || severity === 'Serious';
}
