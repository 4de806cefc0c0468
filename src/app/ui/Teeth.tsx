import type { Severity } from '~/core/rules/rule';

const grades: readonly Severity[] = ['Minor', 'Moderate', 'Serious', 'Critical'];

/** Severity as saw-teeth, one to four filled, with its word for those who cannot see them. */
export function Teeth({ severity }: { readonly severity: Severity }) {
  const filled = grades.indexOf(severity) + 1;
  const colour = filled >= 3 ? '--rust' : '--ink';
  return (
    <svg width="26" height="10" viewBox="0 0 26 10" role="img" aria-label={severity}>
      {[0, 1, 2, 3].map((i) => (
        <path
          key={i}
          d={`M${i * 6.5} 10 L${i * 6.5 + 6} 10 L${i * 6.5 + 6} 1 Z`}
          fill={i < filled ? `var(${colour})` : 'none'}
          stroke={`var(${i < filled ? colour : '--line'})`}
          strokeWidth={0.8}
        />
      ))}
    </svg>
  );
}

/** Nothing open: a thin line, as of a wheel that holds. */
export function HeldLine({ label }: { readonly label: string }) {
  return (
    <svg width="26" height="10" viewBox="0 0 26 10" role="img" aria-label={label} style={{ color: 'var(--verd)', opacity: 0.75 }}>
      <path d="M1 9 H25" stroke="currentColor" strokeWidth={1.4} />
    </svg>
  );
}

export function isHarm(severity: Severity): boolean {
  return severity === 'Critical' || severity === 'Serious';
}
