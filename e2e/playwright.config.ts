import { browserOptions } from '../scripts/lib/browser.mjs';
import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  workers: 1,
  timeout: 150_000,
  // A busy machine may be slow; none of the tests is about time.
  expect: { timeout: 20_000 },
  reporter: 'list',
  outputDir: '../test-results',
  use: {
    baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:4310',
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    launchOptions: browserOptions,
  },
});
