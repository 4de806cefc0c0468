import { defineConfig } from 'vitest/config';

// A file of its own, without the reactRouter() plugin, which must not run here.
export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'test/**/*.test.ts'],
    // Its server is in no stable Debian: `npm run test:mysql` has one.
    exclude: process.env['PAWL_TEST_ENGINE'] === 'mysql' ? [] : ['src/sources/mysql/**'],
    globalSetup: ['test/kit/server.ts'],
    // Half of the time goes to the database beside them: on two cores two at a time.
    maxWorkers: 2,
    testTimeout: 180_000,
    hookTimeout: 240_000,
    reporters: ['default', './test/kit/closingLine.ts'],
  },
});
