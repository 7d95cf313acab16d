import type { Endpoint, NewInvitation, NewToken } from '@field-nurse/contract';
import { endpoints } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { ApiClient } from '../demo/apiClient';
import { smallPhoto } from '../testRecords';
import { refused, somebody, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

const people = ['nobody', 'stranger', 'viewer', 'adviser', 'member', 'owner', 'readToken', 'writeToken', 'otherToken'] as const;
type Who = (typeof people)[number];
type Door = 'in' | 401 | 403 | 404;

/** Who is let in where; for the rest, the answer they get. Bad input and a refusal by rule, after the door, count as let in. */
const doors: Readonly<Record<Endpoint['access'], Readonly<Record<Who, Door>>>> = {
  open: row('in', 'in', 'in', 'in', 'in', 'in', 'in', 'in', 'in'),
  person: row(401, 'in', 'in', 'in', 'in', 'in', 403, 403, 403),
  'garden-read': row(401, 404, 'in', 'in', 'in', 'in', 'in', 'in', 404),
  'garden-comment': row(401, 404, 403, 'in', 'in', 'in', 403, 'in', 404),
  'garden-write': row(401, 404, 403, 403, 'in', 'in', 403, 'in', 404),
  'garden-owner': row(401, 404, 403, 403, 403, 'in', 403, 403, 403),
};

function row(...cells: Door[]): Record<Who, Door> {
  return Object.fromEntries(people.map((who, i) => [who, cells[i]])) as Record<Who, Door>;
}

/** A token is for records: these want a person who is signed in. */
const noTokens = new Set(['tokens', 'makeToken', 'revokeToken']);

const photo = randomUUID();
let server: TestServer;
let garden: TestGarden;
let clients: Record<Who, ApiClient>;
let invitation: NewInvitation;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  await garden.owner.sendFile(`/api/v1/gardens/${garden.garden}/photos/${photo}`, await smallPhoto(), 'image/jpeg');
  const other = await startGarden(server, 'Other');
  const token = async ({ owner, garden: id }: TestGarden, scope: 'read' | 'write') => {
    const request = { id: randomUUID(), name: scope, scope, expiresOn: null };
    return new ApiClient(server.address, (await owner.send<NewToken>('post', `/api/v1/gardens/${id}/tokens`, request)).secret);
  };
  const request = { id: randomUUID(), role: 'viewer', email: null };
  invitation = await garden.owner.send<NewInvitation>('post', `/api/v1/gardens/${garden.garden}/invitations`, request);
  clients = {
    ...garden,
    readToken: await token(garden, 'read'),
    writeToken: await token(garden, 'write'),
    otherToken: await token(other, 'write'),
  };
}, 60_000);
afterAll(() => server.stop());

// These end what the next rows need; they have tests of their own.
const ending = new Set(['signOut', 'leaveGarden', 'acceptInvitation', 'declineInvitation']);
const routes = (Object.entries(endpoints) as [string, Endpoint][]).filter(([name]) => !ending.has(name));
const rows = routes.flatMap(([name, { access }]) =>
  people.map((who) => [name, who, who.endsWith('Token') && noTokens.has(name) ? 403 : doors[access][who]] as const),
);

const place = (path: string) =>
  path
    .replace('{garden}', garden.garden)
    .replace('{photo}', photo)
    .replace('{day}', '2026-07-18')
    .replace('{list}', 'conditions')
    .replace('{table}', 'treatments')
    .replace('{id}', 'leek-rust')
    .replace('{secret}', invitation.link.split('/').at(-1)!)
    .replace(/\{\w+\}/, randomUUID());

const gardenIsNotHere = 'This garden is not here.';

test.each(rows)('%s, asked by %s: %s', async (name, who, expected) => {
  const { method, path, body } = endpoints[name as keyof typeof endpoints] as Endpoint;
  const { status, text } = await clients[who].answer(method, place(path), body && {});
  if (expected === 'in') {
    expect([200, 400, 404, 422]).toContain(status);
    expect(text).not.toContain(gardenIsNotHere);
  } else expect(status).toBe(expected);
  if (expected === 404) expect(text).toContain(gardenIsNotHere);
});

test('every endpoint of a garden names it in its path, and asks for a role in it', () => {
  for (const { path, access } of Object.values(endpoints)) expect(path.includes('{garden}')).toBe(access.startsWith('garden-'));
});

test('a garden that does not exist looks the same as one that is not yours', async () => {
  const other = `/api/v1/gardens/${randomUUID()}`;
  const messages = await Promise.all([other, `/api/v1/gardens/${garden.garden}`].map((path) => refused(garden.stranger.send('get', path))));
  expect(messages[0]!.replace(other, '')).toBe(messages[1]!.replace(`/api/v1/gardens/${garden.garden}`, ''));
});

test.each(['fn_nothing-that-was-ever-made', 'fn_', 'Basic abc', ''])('no token of ours: %p', async (token) => {
  const status = await new ApiClient(server.address, token || ' ').status('get', `/api/v1/gardens/${garden.garden}`);
  expect(status).toBe(401);
});

describe('guards belong to endpoints, not to how their address is written', () => {
  test.each(['/API/v1/calc/mix', '/api/V1/calc/mix', '/api/v1/Calc/mix', '/api/v1/calc/mix/', '/api/v1//calc/mix'])(
    '%s is nowhere',
    async (path) => {
      expect(await garden.nobody.status('post', path, {})).toBe(404);
    },
  );

  test('a write without the site’s token is refused in every spelling', async () => {
    const cookies = await signedInCookies();
    for (const path of [
      `/api/v1/gardens/${garden.garden}`,
      `/API/v1/gardens/${garden.garden}`,
      `/api/v1/gardens/${garden.garden.toUpperCase()}`,
    ]) {
      const answer = await fetch(server.address + path, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', Cookie: cookies },
        body: '{}',
      });
      expect([403, 404]).toContain(answer.status);
    }
  });

  async function signedInCookies(): Promise<string> {
    await somebody(server, 'cookie');
    const door = await fetch(`${server.address}/api/v1/session`);
    const token = /XSRF-TOKEN=([^;]*)/.exec(door.headers.getSetCookie().join())![1]!;
    const answer = await fetch(`${server.address}/api/v1/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Cookie: `XSRF-TOKEN=${token}`, 'X-XSRF-TOKEN': token },
      body: JSON.stringify({ email: 'cookie@test.example', password: 'long enough words' }),
    });
    expect(answer.status).toBe(200);
    return answer.headers
      .getSetCookie()
      .map((cookie) => cookie.split(';')[0]!)
      .join('; ');
  }
});
