import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/setup.ts',
  outputDir: 'test-results',
  // Each has a demo of its own (`--workers 2`): on two cores a journey takes three times as long beside another, and little is gained.
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['./e2e/closingLine.ts']],
  use: {
    viewport: { width: 1280, height: 800 },
    // What moves costs a software renderer a third of its time, and a journey tells nothing of it.
    contextOptions: { reducedMotion: 'reduce' },
    // A headless browser that says so counts as a bot, for which pages are not streamed.
    userAgent: 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/156.0.0.0 Safari/537.36',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
