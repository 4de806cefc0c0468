import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [reactRouter()],
  resolve: { tsconfigPaths: true },
  server: { host: '127.0.0.1' },
  // A font or picture in a data: address would break the content security policy.
  build: { assetsInlineLimit: 0 },
  environments: { ssr: { build: { rollupOptions: { input: './src/app/server/app.ts' } } } },
});
