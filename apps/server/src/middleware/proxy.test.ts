import { request } from 'node:http';
import { ApiClient } from '../demo/apiClient';
import { refused, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

// As the documents show it: https ends at a proxy on the same machine, which says so in headers.

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ secureCookies: true, proxies: 1, openCalc: false });
}, 60_000);
afterAll(() => server.stop());

const https = { 'X-Forwarded-Proto': 'https', 'X-Forwarded-For': '203.0.113.9', Host: 'garden.example' };
/** Node's own client, which sends the Host that it is told. */
const ask = (method: string, path: string, headers: Record<string, string>, body?: unknown) =>
  new Promise<{ status: number; headers: NodeJS.Dict<string | string[]>; text: string }>((resolve, reject) => {
    const sent = request(server.address + path, { method, headers: { 'Content-Type': 'application/json', ...headers } }, (answer) => {
      let text = '';
      answer.on('data', (part: Buffer) => (text += part.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode!, headers: answer.headers, text }));
    });
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });

test('somebody signs up and in; cookies go over https alone, and browsers are told to keep to it', async () => {
  const door = await ask('GET', '/api/v1/session', https);
  expect(door.headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
  const cookie = (door.headers['set-cookie'] as string[]).join();
  expect(cookie.toLowerCase()).toContain('secure');
  const token = /XSRF-TOKEN=([^;]*)/.exec(cookie)![1]!;
  const person = { name: 'Nell', email: 'nell@test.example', password: 'long enough words' };
  const headers = { ...https, Cookie: `XSRF-TOKEN=${token}`, 'X-XSRF-TOKEN': token };
  expect((await ask('POST', '/api/v1/people', headers, person)).status).toBe(200);
  const { status, headers: answered } = await ask('POST', '/api/v1/session', headers, { email: person.email, password: person.password });
  expect(status).toBe(200);
  for (const one of answered['set-cookie'] as string[]) expect(one.toLowerCase()).toContain('secure');
  const { rows } = await server.pool.query('select address from security_events');
  expect(rows).toContainEqual({ address: '203.0.113.9' });
});

test('plain http is sent to https, or refused; the health check may ask either way', async () => {
  const plain = { 'X-Forwarded-Proto': 'http', Host: 'garden.example' };
  const { status, headers } = await ask('GET', '/g/1/today?a=b', plain);
  expect([status, headers['location']]).toEqual([308, 'https://garden.example/g/1/today?a=b']);
  expect(await ask('GET', '/api/v1/session', plain)).toMatchObject({ status: 403, text: expect.stringContaining('https-only') as string });
  expect((await ask('GET', '/api/health', plain)).status).toBe(200);
});

test('the calculations want a sign-in', async () => {
  const mix = { rate: { amount: 20, unit: 'ml', per: { amount: 1, unit: 'l' } }, make: { amount: 5, unit: 'l' } };
  for (const path of ['/api/v1/calc/mix', '/API/v1/calc/mix', '/api/v1/CALC/mix'])
    expect([401, 404]).toContain((await ask('POST', path, https, mix)).status);
});

test('without a proxy nothing that a caller writes into such headers is believed', async () => {
  const alone = await startTestServer({ signInTries: 3 });
  try {
    const client = new ApiClient(alone.address);
    await client.send('get', '/api/v1/session');
    for (let i = 0; i < 4; i++) {
      const answer = await fetch(`${alone.address}/api/v1/session`, {
        method: 'POST',
        headers: {
          'Content-Type': 'application/json',
          Cookie: client.cookies(),
          'X-XSRF-TOKEN': /XSRF-TOKEN=([^;]*)/.exec(client.cookies())![1]!,
          'X-Forwarded-For': `203.0.113.${i}`,
        },
        body: JSON.stringify({ email: 'a@test.example', password: 'guess' }),
      });
      expect(answer.status).toBe(i < 3 ? 401 : 429);
    }
    expect(await refused(client.send('post', '/api/v1/session', { email: 'a@test.example', password: 'guess' }))).toContain('429');
  } finally {
    await alone.stop();
  }
});

test('what else a browser may do is said', async () => {
  const { headers } = await ask('GET', '/api/health', https);
  expect(headers['permissions-policy']).toContain('geolocation=()');
  expect(headers['cache-control']).toBe('no-store');
});
