import { readFileSync } from 'node:fs';
import { builtFiles } from '../scripts/lib/buildAll.mjs';
import { freePort, startThrowawayCluster } from '../scripts/lib/postgres.mjs';
import { startServer } from '../scripts/lib/server.mjs';

// The worst that the contract allows, from as many callers as the limit lets through: does anybody else notice?

const callers = 20;
const seconds = 10;
const { signs } = JSON.parse(readFileSync(builtFiles.LIBRARY_FILE, 'utf8'));
const findings = signs.slice(0, 60).map(({ id: sign }) => ({ sign, state: 'seen' }));
const words = signs.flatMap((sign) => sign.words ?? []).join(', ');
const worst = [
  ['sample', { test: 'negative-binomial', p0: 1800, p1: 2000, k: 0.01, plants: 1000, seen: [] }],
  ['sample', { test: 'iwao', p1: 2000, a: 100, b: 20, alpha: 0.001, plants: 1000, seen: [] }],
  ['differential', { host: 'tomato', findings }],
  ['differential', { host: 'tomato', text: words.slice(0, 10_000) }],
];

const quantile = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
const figures = (times) => {
  const sorted = [...times].sort((a, b) => a - b);
  return `p50 ${quantile(sorted, 0.5).toFixed(1)} ms, p95 ${quantile(sorted, 0.95).toFixed(1)} ms, worst ${sorted.at(-1).toFixed(1)} ms of ${sorted.length}`;
};

const cluster = await startThrowawayCluster();
const server = await startServer({
  databaseUrl: cluster.url,
  port: await freePort(),
  secret: 'a secret that only the bench uses, 32 long',
});

/** How long the health check takes, asked fifty times a second. */
async function health(forSeconds) {
  const times = [];
  for (const end = performance.now() + forSeconds * 1000; performance.now() < end;) {
    const began = performance.now();
    await (await fetch(`${server.url}/api/health`)).arrayBuffer();
    times.push(performance.now() - began);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  return times;
}

try {
  await health(1);
  const idle = await health(3);
  const answers = new Map();
  let ended = false;
  const caller = async (n) => {
    for (let i = n; !ended; i++) {
      const [name, body] = worst[i % worst.length];
      const answer = await fetch(`${server.url}/api/v1/calc/${name}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
      await answer.arrayBuffer();
      answers.set(answer.status, (answers.get(answer.status) ?? 0) + 1);
    }
  };
  const all = Promise.all(Array.from({ length: callers }, (_, n) => caller(n)));
  const burst = await health(seconds);
  ended = true;
  await all;
  console.log('GET /api/health while the worst allowed calculations are asked for (aim: p95 under 50 ms)');
  console.log(`baseline: nobody else asks     ${figures(idle)}`);
  console.log(`${callers} callers, ${seconds} s              ${figures(burst)}`);
  console.log(`their answers                  ${[...answers].map(([status, count]) => `${count} × ${status}`).join(', ')}\n`);
} finally {
  server.child.kill();
  await server.ended;
  cluster.stop();
}
