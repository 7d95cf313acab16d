import { connect, createServer } from 'node:net';
import type { AddressInfo, Socket } from 'node:net';
import { Client, Pool } from 'pg';
import { bed, fresh } from '../testRecords';
import { emptyDatabase, refused, startGarden, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';
import { randomUUID } from 'node:crypto';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
}, 60_000);
afterAll(() => server.stop());

test('health tells of the database', async () => {
  const answer = await fetch(`${server.address}/api/health`);
  expect(await answer.json()).toMatchObject({ status: 'ok', database: 'ok' });
});

test('when the database drops every connection, the next call is served again and nothing that was saved is lost', async () => {
  const garden = await startGarden(server);
  const place = await garden.add('places', bed);
  const admin = new Pool({ connectionString: process.env['TEST_DATABASE_URL'] });
  const { rows } = await server.pool.query<{ name: string }>('select current_database() as name');
  await admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [rows[0]!.name]);
  await admin.end();

  const body = fresh(bed);
  const id = randomUUID();
  const send = () => garden.owner.send('put', garden.path('places', id), body);
  // The first call may meet a dead connection: it is told so, and the same change is sent again.
  const first = await refused(send());
  if (first !== 'not refused') expect(first).toContain('503');
  expect(await send()).toMatchObject({ version: 1 });
  const { places } = await garden.owner.send<{ places: { id: string }[] }>('get', `/api/v1/gardens/${garden.garden}`);
  expect(places.map((one) => one.id)).toEqual(expect.arrayContaining([place, id]));
});

describe('a database that does not answer', () => {
  /** A way to the tests' PostgreSQL that can be frozen: what goes in then comes to nothing. */
  async function freezable(url: string) {
    const { hostname, port } = new URL(url);
    let frozen = false;
    const ends = new Set<Socket>();
    const way = createServer((inside) => {
      const outside = connect(Number(port), hostname);
      for (const [from, to] of [
        [inside, outside],
        [outside, inside],
      ] as const) {
        ends.add(from);
        from.on('data', (part) => void (frozen || to.write(part)));
        from.on('close', () => to.destroy());
        from.on('error', () => to.destroy());
      }
    });
    await new Promise<void>((ready) => way.listen(0, '127.0.0.1', ready));
    const through = new URL(url);
    through.port = String((way.address() as AddressInfo).port);
    const stop = () => {
      ends.forEach((end) => end.destroy());
      way.close();
    };
    return { url: through.href, freeze: () => (frozen = true), stop };
  }

  const impatient = { connectionTimeoutMillis: 500, statement_timeout: 1000, lock_timeout: 300, query_timeout: 700 };

  test('frozen, it is answered for with 503 and when to try again, and nobody hangs', async () => {
    const url = await emptyDatabase();
    const way = await freezable(url);
    const here = await startTestServer({ url, reachedBy: way.url, patience: impatient });
    try {
      await fetch(`${here.address}/api/health`);
      way.freeze();
      const answers = await Promise.all(Array.from({ length: 15 }, () => fetch(`${here.address}/api/health`)));
      for (const answer of answers) {
        expect(answer.status).toBe(503);
        expect(Number(answer.headers.get('Retry-After'))).toBeGreaterThan(0);
        expect(await answer.json()).toMatchObject({ error: { code: 'database-down' } });
      }
    } finally {
      way.stop();
      await here.stop();
    }
  });

  test('a garden that another write holds for too long is answered for, and is written once it is free', async () => {
    const url = await emptyDatabase();
    const here = await startTestServer({ url, patience: impatient });
    const garden = await startGarden(here);
    const other = new Client({ connectionString: url });
    await other.connect();
    try {
      await other.query('begin');
      await other.query('select from gardens where id = $1 for update', [garden.garden]);
      const [id, body] = [randomUUID(), fresh(bed)];
      const send = () => garden.owner.answer('put', garden.path('places', id), body);
      expect(await send()).toMatchObject({ status: 503, text: expect.stringContaining('database-down') as string });
      await other.query('rollback');
      expect(await send()).toMatchObject({ status: 200 });
    } finally {
      await other.end();
      await here.stop();
    }
  });
});
