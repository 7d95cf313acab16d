import { browserOptions } from '../scripts/lib/browser.mjs';
import { defineConfig } from '@playwright/test';

/** A lane: its tests run one after the other in a garden that they share. */
const lane = (name: string, testMatch: RegExp) => ({
  name,
  testMatch,
  workers: 1,
  use: { baseURL: process.env[`${name.toUpperCase()}_URL`] ?? 'http://127.0.0.1:4310' },
});

export default defineConfig({
  testDir: '.',
  // Two lanes that change their gardens, and one that only looks; two at a time.
  workers: 2,
  projects: [
    lane('walks', /\/[a-h][^/]*\.e2e\.ts$/),
    lane('outings', /\/(?!views)[i-z][^/]*\.e2e\.ts$/),
    lane('views', /\/views\.e2e\.ts$/),
  ],
  // A busy machine may be slow; none of the tests is about time.
  timeout: 300_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['./pageOfFailure.ts']],
  outputDir: '../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
    // Nothing is tested of movement, and waiting for its end costs a tenth of the time.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: browserOptions,
  },
});
