export function Wordmark() {
  return (
    <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
      <g fill="none" stroke="var(--mui-palette-primary-main)" strokeWidth="1.6">
        <path d="M13 4 A9 9 0 1 1 4.3 15.4" />
        <path d="M4.3 15.4 L2.2 11.2 L6.6 11.8 A7 7 0 0 1 8.4 7.2 L5.2 5.6 L10 4.4" />
      </g>
      <circle cx="13" cy="13" r="2.4" fill="var(--mui-palette-primary-main)" />
      <path d="M24 3 L15.5 5.2 L17.2 8 Z" fill="var(--mui-palette-warning-main)" />
    </svg>
  );
}
