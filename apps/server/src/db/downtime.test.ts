import { Pool } from 'pg';
import { bed, fresh } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
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
