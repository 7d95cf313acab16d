import type { Endpoint } from '@field-nurse/contract';
import { endpoints } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { smallPhoto } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

type Who = 'nobody' | 'stranger' | 'viewer' | 'member' | 'owner';

/** Who is let in where; for the rest, the answer they get. Bad input and a refusal by rule, after the door, count as let in. */
const doors: Readonly<Record<Endpoint['access'], Readonly<Record<Who, 'in' | 401 | 403 | 404>>>> = {
  open: { nobody: 'in', stranger: 'in', viewer: 'in', member: 'in', owner: 'in' },
  person: { nobody: 401, stranger: 'in', viewer: 'in', member: 'in', owner: 'in' },
  'garden-read': { nobody: 401, stranger: 404, viewer: 'in', member: 'in', owner: 'in' },
  'garden-write': { nobody: 401, stranger: 404, viewer: 403, member: 'in', owner: 'in' },
  'garden-owner': { nobody: 401, stranger: 404, viewer: 403, member: 403, owner: 'in' },
};

const photo = randomUUID();
let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  await garden.owner.sendFile(`/api/v1/gardens/${garden.garden}/photos/${photo}`, await smallPhoto(), 'image/jpeg');
}, 60_000);
afterAll(() => server.stop());

// Signing out would end the session that the next rows need; it is open to all and has its own test.
const routes = Object.entries(endpoints).filter(([name]) => name !== 'signOut');
const rows = routes.flatMap(([name, { access }]) =>
  Object.entries(doors[access]).map(([who, expected]) => [name, who as Who, expected] as const),
);

const place = (path: string) =>
  path
    .replace('{garden}', garden.garden)
    .replace('{record}', randomUUID())
    .replace('{photo}', photo)
    .replace('{list}', 'conditions')
    .replace('{id}', 'leek-rust');

test.each(rows)('%s, asked by %s: %s', async (name, who, expected) => {
  const { method, path, body } = endpoints[name as keyof typeof endpoints] as Endpoint;
  const status = await garden[who].status(method, place(path), body && {});
  if (expected === 'in') expect([200, 400, 422]).toContain(status);
  else expect(status).toBe(expected);
});

test('every endpoint of a garden names it in its path, and asks for a role in it', () => {
  for (const { path, access } of Object.values(endpoints)) expect(path.includes('{garden}')).toBe(access.startsWith('garden-'));
});

test('a garden that does not exist looks the same as one that is not yours', async () => {
  const other = `/api/v1/gardens/${randomUUID()}`;
  const messages = await Promise.all([other, `/api/v1/gardens/${garden.garden}`].map((path) => refused(garden.stranger.send('get', path))));
  expect(messages[0]!.replace(other, '')).toBe(messages[1]!.replace(`/api/v1/gardens/${garden.garden}`, ''));
});
