import type { Config } from '@react-router/dev/config';

export default {
  appDirectory: 'src/app',
  ssr: true,
  // A dozen routes: all known from the start, nothing asked for later.
  routeDiscovery: { mode: 'initial' },
  future: {
    v8_middleware: true,
    v8_splitRouteModules: true,
    v8_viteEnvironmentApi: true,
    v8_passThroughRequests: true,
    v8_trailingSlashAwareDataRequests: true,
  },
} satisfies Config;
