import type { Session } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { ApiClient } from '../demo/apiClient';
import { settings } from '../testRecords';
import { refused, somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
}, 60_000);
afterAll(() => server.stop());

const session = (client: ApiClient) => client.send<Session>('get', '/api/v1/session');

test('an account is made once; its address is the same in any case', async () => {
  await somebody(server, 'nell');
  const again = new ApiClient(server.address);
  const twice = again.signUp({ name: 'Nell', email: 'NELL@test.example', password: 'long enough words' });
  expect(await refused(twice)).toContain('email');
});

test('sign in, be somebody, sign out, be nobody', async () => {
  const client = await somebody(server, 'sedge');
  expect((await session(client)).person).toMatchObject({ name: 'sedge' });
  await client.send('post', '/api/v1/session/end', {});
  expect((await session(client)).person).toBeNull();
  await client.send('post', '/api/v1/session', { email: 'sedge@test.example', password: 'long enough words' });
  expect((await session(client)).person).toMatchObject({ email: 'sedge@test.example' });
});

test('the session cookie is for the server alone and stays on this site', async () => {
  const client = await somebody(server, 'rush');
  await client.send('post', '/api/v1/session/end', {});
  const first = await fetch(`${server.address}/api/v1/session`);
  const token = /XSRF-TOKEN=([^;]*)/.exec(first.headers.getSetCookie().join())![1]!;
  const cookies = first.headers.getSetCookie().map((cookie) => cookie.split(';')[0]!);
  const answer = await fetch(`${server.address}/api/v1/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Cookie: cookies.join('; '), 'X-XSRF-TOKEN': token },
    body: JSON.stringify({ email: 'rush@test.example', password: 'long enough words' }),
  });
  expect(answer.status).toBe(200);
  const own = answer.headers.getSetCookie().filter((cookie) => !cookie.startsWith('XSRF-TOKEN'));
  expect(own.length).toBeGreaterThan(0);
  for (const cookie of own) expect(cookie.toLowerCase()).toMatch(/httponly.*samesite=(lax|strict)|samesite=(lax|strict).*httponly/);
});

test('no password is kept as it was written', async () => {
  await somebody(server, 'reed');
  const { rows } = await server.pool.query('select * from people where email = $1', ['reed@test.example']);
  expect(JSON.stringify(rows)).not.toContain('long enough words');
  expect(JSON.stringify(rows)).toContain('$argon2id$');
});

test('an account’s own words are checked', async () => {
  const client = new ApiClient(server.address);
  const make = (person: Partial<{ name: string; email: string; password: string }>) =>
    refused(client.signUp({ name: 'A', email: `${randomUUID()}@test.example`, password: 'long enough words', ...person }));
  expect(await make({ password: 'short' })).toContain('at least 10 characters');
  expect(await make({ email: 'nowhere' })).toContain('"email"');
  expect(await make({ name: '  ' })).toContain('"name"');
});

test('nobody writes without the token of the session', async () => {
  const answer = await fetch(`${server.address}/api/v1/gardens`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: '{}',
  });
  expect(answer.status).toBe(403);
});

test('a garden is shared with those who have an account, and its owner stays its owner', async () => {
  const owner = await somebody(server, 'iris');
  await somebody(server, 'teasel');
  const garden = randomUUID();
  await owner.send('post', '/api/v1/gardens', { id: garden, settings });
  const share = (email: string) => owner.send<unknown[]>('post', `/api/v1/gardens/${garden}/members`, { email, role: 'viewer' });
  expect(await share('teasel@test.example')).toHaveLength(2);
  expect(await refused(share('ghost@test.example'))).toContain('Nobody has an account');
  expect(await refused(share('iris@test.example'))).toContain('owns the garden');
});
