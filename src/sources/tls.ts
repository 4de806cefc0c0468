/** `prefer` encrypts when the server offers it; `verify` also checks its certificate. */
export const tlsModes = ['off', 'prefer', 'require', 'verify'] as const;
export type TlsMode = (typeof tlsModes)[number];

export const tlsWords: Readonly<Record<TlsMode, string>> = {
  off: 'not encrypted',
  prefer: 'encrypted if the server offers it',
  require: 'encrypted',
  verify: 'encrypted, its certificate checked',
};

export const tlsChoices = [
  { value: 'prefer', words: 'encrypt when the server offers it' },
  { value: 'require', words: 'encrypt, whatever its certificate' },
  { value: 'verify', words: 'encrypt, and check its certificate' },
  { value: 'off', words: 'do not encrypt' },
] as const;

/** Whether a host is this machine. */
export function isNearby(host: string): boolean {
  return ['127.0.0.1', '::1', 'localhost'].includes(host);
}
