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
const cluster = await startThrowawayCluster();
let server;
let standIns;
// The tests make more accounts from one address than a household would.
const env = { SIGN_IN_TRIES: '1000' };
try {
  await step('Unit and server', bin('jest'), ['--ci'], {
    env: { NODE_OPTIONS: '--experimental-vm-modules', TEST_DATABASE_URL: cluster.url, NO_COLOR: '1' },
    count: countJest,
  });
  standIns = await startStandIns(await freePort());
  Object.assign(env, standIns.env);
  loadDemo(cluster.url, env);
  server = await startServer({
    databaseUrl: cluster.url,
    port: await freePort(),
    secret: 'a secret that only the tests use, 32 long',
    env,
  });
  await step('End to end', bin('playwright'), ['test', '--config', join(root, 'e2e/playwright.config.ts')], {
    env: { ...env, BASE_URL: server.url, DATABASE_URL: cluster.url, NO_COLOR: '1' },
    count: countPlaywright,
  });
} finally {
  server?.child.kill();
  standIns?.child.kill();
  await Promise.all([server?.ended, standIns?.ended]);
  cluster.stop();
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
