import type { GardenContents, Session } from '@field-nurse/contract';
import { getTableName } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { ApiClient } from '../demo/apiClient';
import { openDb } from '../db/client';
import { purge } from '../purge';
import { bed, fresh, settings } from '../testRecords';
import { somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';
import { copiedTables } from './copyGarden';
import { templateId } from './visits';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
}, 60_000);
afterAll(() => server.stop());

const stranger = async () => {
  const client = new ApiClient(server.address);
  await client.send('get', '/api/v1/session');
  return client;
};
const visit = (client: ApiClient) => client.send<Session>('post', '/api/v1/visit', {});
const contents = (client: ApiClient, garden: string) => client.send<GardenContents>('get', `/api/v1/gardens/${garden}`);

test('without a demo garden there is nothing to look round, and the session says so', async () => {
  const client = await stranger();
  expect((await client.send<Session>('get', '/api/v1/session')).demo).toBe(false);
  expect(await client.status('post', '/api/v1/visit', {})).toBe(404);
});

describe('with one', () => {
  const place = randomUUID();
  beforeAll(async () => {
    const owner = await somebody(server, 'filler');
    await owner.send('post', '/api/v1/gardens', { id: templateId, settings: { ...settings, name: 'Reach' } });
    await owner.send('put', `/api/v1/gardens/${templateId}/places/${place}`, fresh(bed));
    await server.pool.query(`update gardens set fixed_now = '2026-07-18T09:30:00Z' where id = $1`, [templateId]);
    await server.pool.query(`delete from members where garden_id = $1`, [templateId]);
  });

  test('a visitor writes in a copy; beginning again gives a fresh one, and nobody else sees either', async () => {
    const client = await stranger();
    const first = await visit(client);
    const garden = first.gardens[0]!;
    expect([first.person?.email, garden.name, garden.role, garden.fixedNow]).toEqual([null, 'Reach', 'owner', '2026-07-18T09:30:00.000Z']);
    expect((await contents(client, garden.id)).places.map(({ id }) => id)).toEqual([place]);
    await client.send('put', `/api/v1/gardens/${garden.id}/places/${randomUUID()}`, fresh(bed));
    expect((await contents(client, garden.id)).places).toHaveLength(2);
    const other = await stranger();
    expect(await other.status('get', `/api/v1/gardens/${garden.id}`)).toBe(401);
    const others = await visit(other);
    expect((await contents(other, others.gardens[0]!.id)).places).toHaveLength(1);
    expect(await other.status('get', `/api/v1/gardens/${garden.id}`)).toBe(404);

    const again = await visit(client);
    expect(again.gardens).toHaveLength(1);
    expect((await contents(client, again.gardens[0]!.id)).places).toHaveLength(1);
    expect(await client.status('get', `/api/v1/gardens/${garden.id}`)).toBe(404);
    expect((await client.send<Session>('get', '/api/v1/session')).person?.id).toBe(again.person!.id);
  });

  test('what reaches beyond the garden needs an account', async () => {
    const client = await stranger();
    const { gardens } = await visit(client);
    const at = `/api/v1/gardens/${gardens[0]!.id}`;
    const refusals = [
      await client.answer('post', `${at}/invitations`, { id: randomUUID(), role: 'member', email: 'a@b.example' }),
      await client.answer('post', '/api/v1/gardens', { id: randomUUID(), settings }),
      await client.answer('get', '/api/v1/account/sessions'),
      await client.answer('post', `${at}/clinic-reports`, {}),
    ];
    expect(refusals.map(({ status }) => status)).toEqual([403, 403, 403, 403]);
    expect(refusals.every(({ text }) => text.includes('needs-account'))).toBe(true);
    expect(await client.status('get', '/api/v1/weather-stations')).toBe(200);
  });

  test('after a day the visitor is gone with the garden, and the template stays', async () => {
    const client = await stranger();
    const { gardens } = await visit(client);
    const db = openDb(server.pool);
    await purge({ db, photoFiles: server.photoFiles, now: () => new Date('2026-07-19T09:00:00Z') });
    expect(await client.status('get', `/api/v1/gardens/${gardens[0]!.id}`)).toBe(200);
    await purge({ db, photoFiles: server.photoFiles, now: () => new Date('2026-07-19T09:31:00Z') });
    expect(await client.status('get', `/api/v1/gardens/${gardens[0]!.id}`)).toBe(401);
    const { rows } = await server.pool.query<{ id: string }>(`select id from gardens where name = 'Reach'`);
    expect(rows).toEqual([{ id: templateId }]);
  });
});

test('every table of a garden goes along, or is left for a reason', async () => {
  const left = ['invitations', 'members', 'photos', 'security_events', 'tokens'];
  const { rows } = await server.pool.query<{ table_name: string }>(
    `select table_name from information_schema.columns where column_name = 'garden_id' and table_schema = 'public'`,
  );
  const copied = copiedTables.map((table) => getTableName(table));
  expect([...copied, ...left].sort()).toEqual(rows.map(({ table_name }) => table_name).sort());
});
