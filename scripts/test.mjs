import { join } from 'node:path';
import { bin, root, runAndCollect } from './lib/run.mjs';
import { installPackages, requireChromium, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
requireChromium();
const { buildAll } = await import('./lib/buildAll.mjs');
const { freePort, startThrowawayCluster } = await import('./lib/postgres.mjs');
const { loadDemo, startServer, startStandIns } = await import('./lib/server.mjs');

let passed = 0;
let failed = 0;

/** Run one check; a step without a count of its own counts as one test. */
async function step(name, command, args, { env = {}, count } = {}) {
  console.log(`\n— ${name}`);
  const { code, output } = await runAndCollect(command, args, { env });
  const counted = count?.(output) ?? { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
  passed += counted.passed;
  failed += counted.failed || (code === 0 ? 0 : 1);
}

const number = (output, pattern) => Number(pattern.exec(output)?.[1] ?? 0);
const countJest = (output) => {
  const line = /^Tests:.*$/m.exec(output)?.[0] ?? '';
  return { passed: number(line, /(\d+) passed/), failed: number(line, /(\d+) failed/) };
};
const countPlaywright = (output) => ({ passed: number(output, /(\d+) passed/), failed: number(output, /(\d+) failed/) });

await buildAll();
await step('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
await step('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
await step('Types', bin('tsc'), ['-p', 'tsconfig.node.json']);
const running = [];
/** A database that is gone at the end. */
async function startDatabase() {
  const cluster = await startThrowawayCluster();
  running.push(cluster);
  return cluster.url;
}

/** A server over a demo garden of its own. */
async function startDemo(standIns) {
  const databaseUrl = await startDatabase();
  // The tests make more accounts from one address than a household would.
  const env = { SIGN_IN_TRIES: '1000', ...standIns.env };
  loadDemo(databaseUrl, env);
  const server = await startServer({ databaseUrl, port: await freePort(), secret: 'a secret that only the tests use, 32 long', env });
  running.push({ stop: () => stopChild(server) });
  return { url: server.url, databaseUrl, env };
}

const stopChild = ({ child, ended }) => {
  child.kill();
  return ended;
};

try {
  // Two at a time: each has a database of its own, and half of the time goes into starting.
  await step('Unit and server', bin('jest'), ['--ci', '--maxWorkers=2'], {
    env: { NODE_OPTIONS: '--experimental-vm-modules', TEST_DATABASE_URL: await startDatabase(), NO_COLOR: '1' },
    count: countJest,
  });
  const standIns = await startStandIns(await freePort(), await freePort());
  running.push({ stop: () => stopChild(standIns) });
  // What changes the garden, and what only looks at it, go side by side.
  const [walks, views] = [await startDemo(standIns), await startDemo(standIns)];
  await step('End to end', bin('playwright'), ['test', '--config', join(root, 'e2e/playwright.config.ts')], {
    env: {
      ...walks.env,
      BASE_URL: walks.url,
      DATABASE_URL: walks.databaseUrl,
      VIEWS_URL: views.url,
      MAILBOX_URL: standIns.mailbox,
      NO_COLOR: '1',
    },
    count: countPlaywright,
  });
} finally {
  for (const one of running.reverse()) await one.stop();
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
