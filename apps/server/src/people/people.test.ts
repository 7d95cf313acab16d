import type { DeviceSession, SecurityEvent, Session } from '@field-nurse/contract';
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

const password = 'long enough words';
const session = (client: ApiClient) => client.send<Session>('get', '/api/v1/session');
const signIn = async (name: string, with_ = password) => {
  const client = new ApiClient(server.address);
  await client.send('get', '/api/v1/session');
  await client.send('post', '/api/v1/session', { email: `${name}@test.example`, password: with_ });
  return client;
};
const count = async (table: string) => Number((await server.pool.query<{ n: string }>(`select count(*) as n from ${table}`)).rows[0]!.n);

test('an account is made once; its address is the same in any case', async () => {
  await somebody(server, 'nell');
  const again = new ApiClient(server.address);
  const twice = again.signUp({ name: 'Nell', email: 'NELL@test.example', password });
  expect(await refused(twice)).toContain('email');
});

test('sign in, be somebody, sign out, be nobody', async () => {
  const client = await somebody(server, 'sedge');
  expect((await session(client)).person).toMatchObject({ name: 'sedge' });
  await client.send('post', '/api/v1/session/end', {});
  expect((await session(client)).person).toBeNull();
  await client.send('post', '/api/v1/session', { email: 'sedge@test.example', password });
  expect((await session(client)).person).toMatchObject({ email: 'sedge@test.example' });
});

test('the session cookie is for the server alone and stays on this site', async () => {
  await somebody(server, 'rush');
  const door = await fetch(`${server.address}/api/v1/session`);
  const token = /XSRF-TOKEN=([^;]*)/.exec(door.headers.getSetCookie().join())![1]!;
  const answer = await fetch(`${server.address}/api/v1/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Cookie: `XSRF-TOKEN=${token}`, 'X-XSRF-TOKEN': token },
    body: JSON.stringify({ email: 'rush@test.example', password }),
  });
  expect(answer.status).toBe(200);
  const own = answer.headers.getSetCookie().filter((cookie) => !cookie.startsWith('XSRF-TOKEN'));
  expect(own.length).toBeGreaterThan(0);
  for (const cookie of own) expect(cookie.toLowerCase()).toMatch(/httponly.*samesite=(lax|strict)|samesite=(lax|strict).*httponly/);
  expect(answer.headers.get('Cache-Control')).toBe('no-store');
});

test('no password is kept as it was written', async () => {
  await somebody(server, 'reed');
  const { rows } = await server.pool.query('select * from people where email = $1', ['reed@test.example']);
  expect(JSON.stringify(rows)).not.toContain(password);
  expect(JSON.stringify(rows)).toContain('$argon2id$');
});

test.each([
  [{ password: 'short' }, 'at least 10 characters'],
  [{ password: '1234567890' }, 'guessed too soon'],
  [{ password: 'aaaaaaaaaaaaaa' }, 'guessed too soon'],
  [{ name: 'Marigold', password: 'marigoldmarigold' }, 'guessed too soon'],
  [{ email: 'nowhere' }, '"email"'],
  [{ name: '  ' }, '"name"'],
])('an account’s own words are checked: %j', async (change, words) => {
  const client = new ApiClient(server.address);
  expect(await refused(client.signUp({ name: 'A', email: `${randomUUID()}@test.example`, password, ...change }))).toContain(words);
});

test('an address may be as long as addresses are', async () => {
  const email = `${'a'.repeat(60)}@${'b'.repeat(60)}.${'c'.repeat(60)}.${'d'.repeat(50)}.example`;
  const client = new ApiClient(server.address);
  await client.signUp({ name: 'Long', email, password });
  expect(await refused(client.send('post', '/api/v1/session', { email, password: 'not this one' }))).toContain('401');
});

test('somebody who only looks at the door leaves nothing behind', async () => {
  const before = await count('sessions');
  for (let i = 0; i < 20; i++) await fetch(`${server.address}/api/v1/session`);
  expect(await count('sessions')).toBe(before);
});

test('nobody writes without the token of their own session; one from before sign-in is worth nothing', async () => {
  const client = await somebody(server, 'burr');
  const forged = (token: string, cookies: string) =>
    fetch(`${server.address}/api/v1/gardens`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Cookie: cookies, 'X-XSRF-TOKEN': token },
      body: JSON.stringify({ id: randomUUID(), settings }),
    }).then(({ status }) => status);
  const door = await fetch(`${server.address}/api/v1/session`);
  const early = /XSRF-TOKEN=([^;]*)/.exec(door.headers.getSetCookie().join())![1]!;
  const own = client.cookies();
  const held = /XSRF-TOKEN=([^;]*)/.exec(own)![1]!;
  const sessionAlone = own.replace(/XSRF-TOKEN=[^;]*(; )?/, '');
  expect(await forged('', own)).toBe(403);
  expect(await forged(held, sessionAlone)).toBe(403);
  expect(await forged(early, `${sessionAlone}; XSRF-TOKEN=${early}`)).toBe(403);
  expect(await forged(held, own)).toBe(200);
});

describe('the password', () => {
  const change = (client: ApiClient, current: string, next: string) =>
    client.send<Session>('put', '/api/v1/account/password', { current, password: next });

  test('is changed by who knows it; every other device is signed out, and this one stays', async () => {
    const here = await somebody(server, 'vetch');
    const there = await signIn('vetch');
    expect(await refused(change(here, 'not this one', 'quite another set of words'))).toMatch(/400.*"current"/);
    expect(await refused(change(here, password, '0987654321'))).toMatch(/400.*guessed too soon/);
    expect((await session(there)).person).not.toBeNull();
    await change(here, password, 'quite another set of words');
    expect((await session(here)).person).not.toBeNull();
    expect((await session(there)).person).toBeNull();
    expect(await refused(signIn('vetch'))).toContain('401');
    await signIn('vetch', 'quite another set of words');
  });

  test('is reset by a link that is mailed, works once, and signs every device out', async () => {
    const here = await somebody(server, 'comfrey');
    const nobody = new ApiClient(server.address);
    await nobody.send('get', '/api/v1/session');
    const before = server.letters.length;
    await nobody.send('post', '/api/v1/password-resets', { email: 'comfrey@test.example' });
    await nobody.send('post', '/api/v1/password-resets', { email: 'nobody-at-all@test.example' });
    expect(server.letters).toHaveLength(before + 1);
    const letter = server.letters.at(-1)!;
    expect(letter.to).toBe('comfrey@test.example');
    const secret = /https:\/\/garden\.test\.example\/reset\/([\w-]+)/.exec(letter.text)![1]!;
    const reset = (next: string) => nobody.send('put', '/api/v1/password-resets', { secret, password: next });
    expect(await refused(reset('passwordpassword'))).toContain('guessed too soon');
    await reset('a fresh row of words');
    expect((await session(here)).person).toBeNull();
    await signIn('comfrey', 'a fresh row of words');
    expect(await refused(reset('yet another row of words'))).toContain('404');
  });

  test('a newer link ends the older one', async () => {
    await somebody(server, 'borage');
    const nobody = new ApiClient(server.address);
    await nobody.send('get', '/api/v1/session');
    for (let i = 0; i < 2; i++) await nobody.send('post', '/api/v1/password-resets', { email: 'borage@test.example' });
    const secrets = server.letters.slice(-2).map(({ text }) => /reset\/([\w-]+)/.exec(text)![1]!);
    const reset = (secret: string) => nobody.status('put', '/api/v1/password-resets', { secret, password: 'a fresh row of words' });
    expect(await reset(secrets[0]!)).toBe(404);
    expect(await reset(secrets[1]!)).toBe(200);
  });
});

describe('devices', () => {
  const list = (client: ApiClient) => client.send<DeviceSession[]>('get', '/api/v1/account/sessions');

  test('are listed with this one marked, and can be signed out one by one, by their owner alone', async () => {
    const here = await somebody(server, 'yarrow');
    const there = await signIn('yarrow');
    const devices = await list(here);
    expect(devices.filter((one) => one.here)).toHaveLength(1);
    const other = devices.find((one) => !one.here)!;
    const stranger = await somebody(server, 'stranger-to-yarrow');
    expect(await stranger.status('delete', `/api/v1/account/sessions/${other.id}`)).toBe(404);
    expect(await here.send<DeviceSession[]>('delete', `/api/v1/account/sessions/${other.id}`)).toHaveLength(1);
    expect((await session(there)).person).toBeNull();
    expect((await session(here)).person).not.toBeNull();
  });

  test('what happened to the account is told', async () => {
    const here = await somebody(server, 'tansy');
    await refused(signIn('tansy', 'not this one'));
    const events = await here.send<SecurityEvent[]>('get', '/api/v1/account/security-log');
    expect(events.map(({ kind }) => kind)).toEqual(['sign-in-refused', 'signed-up']);
  });
});

describe('the end of an account', () => {
  const end = (client: ApiClient, gardens: string[], with_ = password) =>
    client.send<Session>('post', '/api/v1/account/delete', { password: with_, gardens });

  test('wants the password, and every garden that would be left without an owner by name', async () => {
    const owner = await somebody(server, 'ragwort');
    const garden = randomUUID();
    await owner.send('post', '/api/v1/gardens', { id: garden, settings: { ...settings, name: 'Lone acre' } });
    expect(await refused(end(owner, [garden], 'not this one'))).toMatch(/400.*"password"/);
    expect(await refused(end(owner, []))).toMatch(/409.*Lone acre/);
    expect((await end(owner, [garden])).person).toBeNull();
    expect(await refused(signIn('ragwort'))).toContain('401');
    const { rows } = await server.pool.query('select from gardens where id = $1', [garden]);
    expect(rows).toHaveLength(0);
  });

  test('leaves what they did in the gardens of others, without them', async () => {
    const owner = await somebody(server, 'mallow');
    const guest = await somebody(server, 'campion');
    const garden = randomUUID();
    await owner.send('post', '/api/v1/gardens', { id: garden, settings });
    await owner.invite(garden, guest, 'member');
    const place = { name: 'Bed', kind: 'bed', setting: 'outdoor', areaM2: null, shape: null, note: '', endedOn: null };
    await guest.send('put', `/api/v1/gardens/${garden}/places/${randomUUID()}`, { change: randomUUID(), version: 0, value: place });
    await end(guest, []);
    const { places } = await owner.send<{ places: unknown[] }>('get', `/api/v1/gardens/${garden}`);
    expect(places).toHaveLength(1);
    expect(await owner.send('get', `/api/v1/gardens/${garden}/members`)).toHaveLength(1);
    expect(await owner.send('get', `/api/v1/gardens/${garden}/changes`)).toMatchObject([{ by: null }]);
  });
});
