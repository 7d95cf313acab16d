import { browserOptions } from '../scripts/lib/browser.mjs';
import { defineConfig } from '@playwright/test';

const baseURL = process.env['BASE_URL'] ?? 'http://127.0.0.1:4310';
const diagnosis = ['cases.e2e.ts', 'clinic.e2e.ts', 'diagnose.e2e.ts'];
const views = ['views.e2e.ts'];

export default defineConfig({
  testDir: '.',
  testMatch: '*.e2e.ts',
  // Tests of one project share a garden and change it: one after the other. Two projects go side by side.
  workers: 2,
  projects: [
    { name: 'walks', testIgnore: [...diagnosis, ...views], workers: 1 },
    { name: 'diagnosis', testMatch: diagnosis, workers: 1, use: { baseURL: process.env['DIAGNOSIS_URL'] ?? baseURL } },
    { name: 'views', testMatch: views, workers: 1, use: { baseURL: process.env['VIEWS_URL'] ?? baseURL } },
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
