import { ApiClient } from '../demo/apiClient';
import { refused, somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ signInTries: 5, proxies: 1 });
}, 60_000);
afterAll(() => server.stop());

/** Somebody who asks from an address of their own, as the proxy tells it. */
async function from(address: string) {
  const door = await fetch(`${server.address}/api/v1/session`);
  const token = /XSRF-TOKEN=([^;]*)/.exec(door.headers.getSetCookie().join())![1]!;
  return (email: string, password: string, claimed = address) =>
    fetch(`${server.address}/api/v1/session`, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/json',
        Cookie: `XSRF-TOKEN=${token}`,
        'X-XSRF-TOKEN': token,
        'X-Forwarded-For': claimed,
      },
      body: JSON.stringify({ email, password }),
    });
}

test('too many wrong passwords close the door for a while, and say nothing on whether the account is there', async () => {
  await somebody(server, 'flag');
  const guess = new ApiClient(server.address);
  await guess.send('get', '/api/v1/session');
  const knock = (email: string) => refused(guess.send('post', '/api/v1/session', { email, password: 'guess' }));
  const [known, unknown] = [await knock('flag@test.example'), await knock('ghost@test.example')];
  expect(known).toBe(unknown);
  for (let i = 0; i < 4; i++) expect(await knock('flag@test.example')).toContain('401');
  expect(await knock('flag@test.example')).toContain('429');
});

test('one person’s wrong guesses do not lock the same account, or another person, out elsewhere', async () => {
  await somebody(server, 'lily');
  const attacker = await from('203.0.113.9');
  for (let i = 0; i < 5; i++) expect((await attacker('lily@test.example', 'guess')).status).toBe(401);
  const closed = await attacker('lily@test.example', 'guess');
  expect(closed.status).toBe(429);
  expect(Number(closed.headers.get('Retry-After'))).toBeGreaterThan(0);
  const owner = await from('198.51.100.4');
  expect((await owner('lily@test.example', 'long enough words')).status).toBe(200);
});

test('an address can not be claimed: only what the proxy adds counts', async () => {
  await somebody(server, 'moss');
  const attacker = await from('203.0.113.77');
  const statuses: number[] = [];
  for (let i = 0; i < 8; i++) statuses.push((await attacker('moss@test.example', 'guess', `10.0.0.${i}, 203.0.113.77`)).status);
  expect(statuses.at(-1)).toBe(429);
});

test('guessing one account from many addresses is slowed, for a minute at most', async () => {
  await somebody(server, 'fern');
  const statuses: Response[] = [];
  for (let i = 0; i < 18; i++) statuses.push(await (await from(`203.0.113.${100 + i}`))('fern@test.example', 'guess'));
  const slowed = statuses.at(-1)!;
  expect(slowed.status).toBe(429);
  expect(Number(slowed.headers.get('Retry-After'))).toBeLessThanOrEqual(60);
});

test('one address can not go through the accounts of many', async () => {
  const attacker = await from('203.0.113.200');
  const statuses: number[] = [];
  for (let i = 0; i < 40; i++) statuses.push((await attacker(`person-${i}@test.example`, 'guess')).status);
  expect(statuses.filter((status) => status === 429).length).toBeGreaterThan(5);
});
