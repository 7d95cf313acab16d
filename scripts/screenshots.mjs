import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, root, run } from './lib/run.mjs';
import { installPackages, requireChromium, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
requireChromium();
const { chromium } = await import('@playwright/test');

const { browserOptions } = await import('./lib/browser.mjs');
const { buildAll } = await import('./lib/buildAll.mjs');
const { freePort, startThrowawayCluster } = await import('./lib/postgres.mjs');
const { loadDemo, startServer, startStandIns } = await import('./lib/server.mjs');

const wide = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const folder = join(root, 'docs/screenshots');

/** Each picture: its name, the way to it from the demo garden's Today, and what it needs. */
const pictures = [
  { name: 'today', path: 'today' },
  { name: 'ground', path: 'ground' },
  { name: 'round-phone', path: 'round', size: phone },
  { name: 'chart', path: 'plantings' },
  { name: 'case', cause: 'Soft scale' },
  { name: 'options', cause: 'Spider mite', tab: '/options' },
  { name: 'plan', path: 'plan', press: /^Copper hydroxide, round 1/, as: 'button', shows: 'When else, and what it costs' },
  { name: 'job-phone', path: 'plan', size: phone, press: 'Do it', shows: 'Do it' },
  { name: 'almanac', path: 'almanac' },
  { name: 'report', path: 'report' },
  {
    name: 'mix-bench',
    path: 'shelf/mix',
    choose: { 'Which pack': 'Marshlight Sulphur 80', 'Which sprayer': 'Back sprayer' },
    fill: { 'Ground, m²': '180', 'In it now, l': '2' },
    shows: 'In this order',
  },
  { name: 'recovery', cause: 'Thrips', tab: '/recovery' },
  {
    name: 'season',
    path: 'season?condition=thrips',
    shows: 'What decides between the first two',
  },
  { name: 'drills', path: 'drills', shows: 'How your eye does' },
  { name: 'rests', path: 'rests', shows: 'Going in', look: 'dark' },
  // It writes: it stands last.
  { name: 'removal-phone', cause: 'Late blight', tab: '/removal', size: phone, press: 'Begin', as: 'button', shows: 'Put on' },
];

await buildAll();
const cluster = await startThrowawayCluster();
let server;
let standIns;
let browser;
try {
  standIns = await startStandIns(await freePort(), await freePort());
  loadDemo(cluster.url, standIns.env);
  server = await startServer({
    databaseUrl: cluster.url,
    port: await freePort(),
    secret: 'a secret that only the pictures use, 32 long',
    env: standIns.env,
  });
  browser = await chromium.launch(browserOptions);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const page = await browser.newPage({ viewport: wide, locale: 'en-GB', reducedMotion: 'reduce' });
  const take = (name) => page.screenshot({ path: join(folder, `${name}.png`) });
  await page.goto(server.url);
  await page.getByLabel('Which plant?').fill('moth orchid');
  await page.getByLabel('What do you see?').fill('White fluff where the leaves meet, sticky. No webs.');
  await page.getByText(/^Today/).waitFor();
  await take('door');
  await page.goto(`${server.url}/sign-in`);
  await page.getByLabel('E-mail address').fill('wren@osier-reach.example');
  await page.getByLabel('Password').fill('willow-and-water');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/g\//);
  const garden = /.*\/g\/[^/]+/.exec(page.url())[0];
  for (const picture of pictures) await show(page, garden, picture).then(() => take(picture.name));
  await show(page, garden, { path: 'leaf-gauge' });
  await page.getByLabel('Take or choose a photo').setInputFiles(drawLeaf());
  await page.getByRole('slider').fill('25');
  await page.getByRole('button', { name: 'Measure it' }).click();
  await page.getByRole('heading', { name: /% damaged/ }).waitFor();
  await take('leaf-gauge');
  await show(page, garden, { path: 'round', size: phone, look: 'sun' });
  await page.getByRole('button', { name: 'Begin the round' }).click();
  await page
    .getByText(/^In season/)
    .first()
    .waitFor();
  await take('stop-sun-phone');
  console.log(`${pictures.length + 3} pictures in docs/screenshots/`);
} finally {
  await browser?.close();
  server?.child.kill();
  standIns?.child.kill();
  await Promise.all([server?.ended, standIns?.ended]);
  cluster.stop();
}

function drawLeaf() {
  const file = join(mkdtempSync(join(tmpdir(), 'field-nurse-')), 'leaf.jpg');
  run(bin('tsx'), ['scripts/drawLeaf.ts', file]);
  return file;
}

async function show(
  page,
  garden,
  { path, cause, tab = '', press, as = 'link', shows, choose = {}, fill = {}, size = wide, look = 'light' },
) {
  await page.setViewportSize(size);
  await page.evaluate((name) => localStorage.setItem('field-nurse-theme', name), look);
  await page.goto(`${garden}/${path ?? 'cases'}`);
  if (cause) {
    await page.getByRole('link', { name: cause, exact: true }).first().click();
    await page.waitForURL(/\/cases\/[^/]+$/);
    if (tab) await page.goto(page.url() + tab);
  }
  if (press) await page.getByRole(as, { name: press }).first().click();
  await page.getByRole('heading', { level: 1 }).waitFor();
  // A worker that is ended while it is fetched counts as under way for ever.
  await page.waitForLoadState('networkidle', { timeout: 10_000 }).catch(() => undefined);
  await page.evaluate(() => document.fonts.ready);
  for (const [field, option] of Object.entries(choose)) {
    await page.getByLabel(field).click();
    await page.getByRole('option', { name: option }).click();
  }
  for (const [field, value] of Object.entries(fill)) await page.getByLabel(field).fill(value);
  await page.evaluate(() => void (document.scrollingElement.scrollTop = 0));
  // The worker answers after the page is there.
  if (shows) await page.getByText(shows).first().waitFor();
  await page.waitForFunction(() => !/Weighing the causes|Judging the options|Reckoning/.test(document.body.textContent ?? ''));
}
