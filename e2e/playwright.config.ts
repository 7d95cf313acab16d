import { browserOptions } from '../scripts/lib/browser.mjs';
import { defineConfig } from '@playwright/test';

const baseURL = process.env['BASE_URL'] ?? 'http://127.0.0.1:4310';

export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  // One after the other in a garden that they change; beside them, in a garden of its own, what only looks.
  workers: 2,
  projects: [
    { name: 'walks', testIgnore: 'views.e2e.ts', workers: 1 },
    { name: 'views', testMatch: 'views.e2e.ts', workers: 1, use: { baseURL: process.env['VIEWS_URL'] ?? baseURL } },
  ],
  timeout: 150_000,
  // A busy machine may be slow; none of the tests is about time.
  expect: { timeout: 20_000 },
  reporter: 'list',
  outputDir: '../test-results',
  use: {
    baseURL,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    launchOptions: browserOptions,
  },
});
