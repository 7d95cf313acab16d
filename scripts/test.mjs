import { bin, runAndCollect } from './lib/run.mjs';
import { installPackages, requireChromium, requireNode } from './lib/setUp.mjs';

requireNode();
installPackages();
requireChromium();
const { buildAll } = await import('./lib/buildAll.mjs');
const { runEndToEnd } = await import('./lib/endToEnd.mjs');
const { startThrowawayCluster } = await import('./lib/postgres.mjs');

let passed = 0;
let failed = 0;

/** Count one check; a step without a count of its own counts as one test. */
async function step(name, run, count) {
  console.log(`\n— ${name}`);
  const { code, output } = await run();
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
// Each of these uses one core.
await Promise.all([
  step('Lint', () => runAndCollect(bin('eslint'), ['.', '--max-warnings', '0'])),
  step('Types', () => runAndCollect(bin('tsc'), ['-p', 'tsconfig.node.json'])).then(() =>
    step('Format', () => runAndCollect(bin('prettier'), ['--check', '--log-level', 'warn', '.'])),
  ),
]);
const database = await startThrowawayCluster();
try {
  // Two at a time: each has a database of its own, and half of the time goes into starting.
  const env = { NODE_OPTIONS: '--experimental-vm-modules', TEST_DATABASE_URL: database.url, NO_COLOR: '1' };
  await step('Unit and server', () => runAndCollect(bin('jest'), ['--ci', '--maxWorkers=2'], { env }), countJest);
} finally {
  database.stop();
}
await step('End to end', () => runEndToEnd(), countPlaywright);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
