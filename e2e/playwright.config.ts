import { defineConfig } from '@playwright/test';
import { chromiumPath } from '../tools/chromium.mjs';

/** The real page in Debian's Chromium against the real server; each worker has its own server. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results/artifacts',
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  // one more than cores: a story often waits for its server, or for the next frame
  workers: 3,
  // a busy CI machine gets a second try; the summary reports it
  retries: process.env['CI'] ? 1 : 0,
  fullyParallel: false,
  // limits for a busy machine: no test waits for a time, so a fast one never comes near them
  timeout: 180_000,
  expect: { timeout: 25_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 25_000,
    // recording every test would add a quarter to the total time
    trace: 'on-first-retry',
    launchOptions: {
      executablePath: chromiumPath(),
      args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--no-first-run'],
    },
  },
});
