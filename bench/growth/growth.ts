import type { Session } from '@field-nurse/contract';
import Router from '@koa/router';
import Koa from 'koa';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Pool } from 'pg';
import type { ChildProcess } from 'node:child_process';
import { ApiClient } from '../../apps/server/src/demo/apiClient';
import { openDb } from '../../apps/server/src/db/client';
import { seasonJson } from '../../apps/server/src/records/seasonContents';
import { bed, fresh, planting, round, settings, stop } from '../../apps/server/src/testRecords';
import { freePort, startThrowawayCluster } from '../../scripts/lib/postgres.mjs';
import { startServer } from '../../scripts/lib/server.mjs';
import { fillSeasons } from './fillSeasons';
import type { Size } from './fillSeasons';
import { todayInBrowser } from './todayInBrowser';

// A garden of ten seasons beside one of a single season: what each call costs, and how long the first page takes.

const lastYear = new Date().getUTCFullYear();
const young: Size = { seasons: 1, plantingsPerSeason: 200, roundsPerSeason: 50, stopsPerRound: 100, casesPerSeason: 40 };
const old: Size = { ...young, seasons: 10 };
const users = 20;

const quantile = (times: readonly number[], share: number) => [...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? NaN;

async function timed(work: () => Promise<unknown>, times: number): Promise<{ p50: number; p95: number }> {
  for (let i = 0; i < 5; i++) await work();
  const took: number[] = [];
  for (let i = 0; i < times; i++) {
    const began = performance.now();
    await work();
    took.push(performance.now() - began);
  }
  return { p50: quantile(took, 0.5), p95: quantile(took, 0.95) };
}

/** Answers in a second, from as many callers as a garden has people. */
async function throughput(address: string, headers: Record<string, string>, seconds = 4): Promise<number> {
  let answers = 0;
  const end = performance.now() + seconds * 1000;
  const caller = async () => {
    while (performance.now() < end) {
      const answer = await fetch(address, { headers });
      if (!answer.ok) throw new Error(`${address}: ${answer.status} ${await answer.text()}`);
      await answer.arrayBuffer();
      answers++;
    }
  };
  await Promise.all(Array.from({ length: users }, caller));
  return answers / seconds;
}

const residentMb = ({ pid }: ChildProcess) => {
  const [, kb] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return Number(kb) / 1024;
};

async function measure(name: string, size: Size) {
  const cluster = (await startThrowawayCluster()) as { readonly url: string; stop: () => void };
  const server = await startServer({
    databaseUrl: cluster.url,
    port: Number(await freePort()),
    secret: 'a secret that only the bench uses, 32 long',
    env: { SIGN_IN_TRIES: '1000' },
  });
  const pool = new Pool({ connectionString: cluster.url });
  try {
    const owner = new ApiClient(server.url);
    const email = 'wren@bench.example';
    const password = 'a row of willows by the water';
    await owner.signUp({ name: 'Wren', email, password });
    const { person } = await owner.send<Session>('get', '/api/v1/session');
    const garden = randomUUID();
    const path = `/api/v1/gardens/${garden}`;
    await owner.send('post', '/api/v1/gardens', { id: garden, settings: { ...settings, name: name } });
    await fillSeasons(pool, garden, person!.id, size, lastYear);
    const put = (subject: string, value: object) => owner.send<{ id: string }>('put', `${path}/${subject}/${randomUUID()}`, fresh(value));
    const { id: place } = await put('places', bed);
    const { id: plant } = await put('plantings', planting(place));
    const { id: walk } = await put('scoutingRounds', round([plant]));
    const { rows } = await pool.query<{ sequence: string }>('select last_sequence as sequence from gardens where id = $1', [garden]);
    const since = Number(rows[0]!.sequence) - 20;
    const calls = {
      'the running season': await timed(() => owner.send('get', path), 60),
      'what came since': await timed(() => owner.send('get', `${path}/records?since=${since}`), 200),
      'an older season': await timed(() => owner.send('get', `${path}/seasons/${lastYear - (size.seasons > 1 ? 1 : 0)}-06-01`), 40),
      'a stop written': await timed(() => put('stops', stop(walk, plant)), 100),
      'a place written': await timed(() => put('places', bed), 100),
      'the newest changes': await timed(() => owner.send('get', `${path}/changes`), 100),
    };
    const contents = await throughput(server.url + path, { Cookie: owner.cookies() });
    const bare = await bareRoute(pool, garden);
    const memory = residentMb(server.child);
    const page = await todayInBrowser(server.url, garden, { email, password });
    return { calls, contents, bare, memory, page };
  } finally {
    await pool.end();
    server.child.kill();
    await server.ended;
    cluster.stop();
  }
}

/** A route that does nothing but run the same query. */
async function bareRoute(pool: Pool, gardenId: string): Promise<number> {
  const db = openDb(pool);
  const window = {
    gardenId,
    timeZone: settings.timeZone,
    from: `${lastYear}-01-01`,
    to: `${lastYear}-12-31`,
    today: new Date().toISOString().slice(0, 10),
    running: true,
  };
  const router = new Router().get('/', async (ctx) => {
    ctx.type = 'application/json';
    ctx.body = await seasonJson(db, window);
  });
  const server = createServer(new Koa().use(router.routes()).callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const answers = await throughput(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`, {});
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  return answers;
}

const [one, ten] = [await measure('Young garden', young), await measure('Ten seasons', old)];
const cell = (value: number, digits = 1) => value.toFixed(digits).padStart(9);
const line = (what: string, a: number, b: number, unit: string, digits = 1) =>
  console.log(`${what.padEnd(34)}${cell(a, digits)}${cell(b, digits)} ${unit.padEnd(4)}${(b / a).toFixed(2).padStart(7)}`);
console.log(`\nA garden's growth                  1 season  10 seasons    ratio (aim: 1.5 at most)`);
line('Today in the browser, cold', one.page.coldMs, ten.page.coldMs, 'ms', 0);
line('Today in the browser, warm', one.page.warmMs, ten.page.warmMs, 'ms', 0);
line('transfer of the first visit', one.page.bytes / 1000, ten.page.bytes / 1000, 'kB', 0);
for (const name of Object.keys(one.calls) as (keyof typeof one.calls)[]) {
  line(`${name}, p50`, one.calls[name].p50, ten.calls[name].p50, 'ms');
  line(`${name}, p95`, one.calls[name].p95, ten.calls[name].p95, 'ms');
}
line('memory of the server', one.memory, ten.memory, 'MB', 0);
line('running season, answers a second', one.contents, ten.contents, '/s', 0);
line('baseline: bare route, same query', one.bare, ten.bare, '/s', 0);
console.log(
  `share of the bare route            ${cell((100 * one.contents) / one.bare, 0)}${cell((100 * ten.contents) / ten.bare, 0)} %   (aim: 60 at least)`,
);
console.log('aims: cold 1500 ms, warm 700 ms, transfer 600 kB, p95 of each call 25 ms\n');
