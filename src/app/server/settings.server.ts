// How this web server is reached, from the environment it was started in.

const port = process.env['PORT'] ?? '4610';
/** `https://pawl.example` where people come by a proxy with TLS. */
const publicUrl = process.env['PAWL_PUBLIC_URL'] ? new URL(process.env['PAWL_PUBLIC_URL']) : null;

export const reached = {
  secure: publicUrl?.protocol === 'https:',
  behindProxy: process.env['PAWL_BEHIND_PROXY'] === '1',
  origin: publicUrl?.origin ?? `http://127.0.0.1:${port}`,
  hosts: [
    ...['127.0.0.1', 'localhost', '[::1]'].map((host) => `${host}:${port}`),
    ...(publicUrl ? [publicUrl.host] : []),
    ...(process.env['PAWL_HOSTS'] ?? '').split(',').flatMap((host) => (host.trim() === '' ? [] : [host.trim()])),
  ],
} as const;

/** True where the demo runs: its made-up people are let in with a click, from this machine alone. */
export const isDemo = process.env['PAWL_DEMO'] === '1';
