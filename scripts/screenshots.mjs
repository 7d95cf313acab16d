import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib/run.mjs';
import { installPackages, requireChromium, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
requireChromium();
const { chromium } = await import('@playwright/test');

const { browserOptions } = await import('./lib/browser.mjs');
const { buildAll } = await import('./lib/buildAll.mjs');
const { freePort, startThrowawayCluster } = await import('./lib/postgres.mjs');
const { loadDemo, startServer } = await import('./lib/server.mjs');

const wide = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const folder = join(root, 'docs/screenshots');

/** Each picture: its name, the way to it from the demo garden's Today, and what it needs. */
const pictures = [
  { name: 'today', path: 'today' },
  { name: 'today-phone', path: 'today', size: phone },
  { name: 'ground', path: 'ground' },
  { name: 'chart', path: 'plantings' },
  { name: 'planting', cause: 'Spider mite', planting: true },
  { name: 'cases', path: 'cases' },
  { name: 'case', cause: 'Soft scale' },
  { name: 'case-phone', cause: 'Soft scale', size: phone },
  { name: 'case-dark', cause: 'Magnesium shortage', look: 'dark' },
  { name: 'options', cause: 'Spider mite', tab: '/options' },
  { name: 'mix-bench', cause: 'Leek and garlic rust', tab: '/mix/sulphur' },
  { name: 'log', path: 'log' },
  { name: 'log-form', path: 'log/new' },
  { name: 'recovery', cause: 'Thrips', tab: '/recovery' },
  { name: 'recovery-sun-phone', cause: 'Thrips', tab: '/recovery', size: phone, look: 'sun' },
  { name: 'settings', path: 'settings' },
];

await buildAll();
const cluster = await startThrowawayCluster();
let server;
let browser;
try {
  loadDemo(cluster.url);
  server = await startServer({ databaseUrl: cluster.url, port: await freePort(), secret: 'a secret that only the pictures use, 32 long' });
  browser = await chromium.launch(browserOptions);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const page = await browser.newPage({ viewport: wide, locale: 'en-GB' });
  const take = (name) => page.screenshot({ path: join(folder, `${name}.png`) });
  await page.goto(server.url);
  await page.getByLabel('E-mail address').waitFor();
  await take('sign-in');
  await page.getByLabel('E-mail address').fill('wren@osier-reach.example');
  await page.getByLabel('Password').fill('willow-and-water');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/g\//);
  const garden = /.*\/g\/[^/]+/.exec(page.url())[0];
  for (const picture of pictures) await show(page, garden, picture).then(() => take(picture.name));
  console.log(`${pictures.length + 1} pictures in docs/screenshots/`);
} finally {
  await browser?.close();
  server?.child.kill();
  await server?.ended;
  cluster.stop();
}

async function show(page, garden, { path, cause, tab = '', planting = false, size = wide, look = 'light' }) {
  await page.setViewportSize(size);
  await page.evaluate((name) => localStorage.setItem('field-nurse-theme', name), look);
  await page.goto(`${garden}/${path ?? 'cases'}`);
  if (cause) {
    await page.getByRole('link', { name: cause, exact: true }).first().click();
    await page.waitForURL(/\/cases\/[^/]+$/);
    if (tab) await page.goto(page.url() + tab);
    if (planting) await page.locator('fn-planting-title a').first().click();
  }
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  // The worker answers after the page is there.
  if (cause) await page.waitForFunction(() => !/Weighing the causes|Judging the options/.test(document.body.textContent ?? ''));
}
