import type {
  GardenContents,
  GardenSummary,
  HeldInvitation,
  Invitation,
  Member,
  NewInvitation,
  NewToken,
  SecurityEvent,
  Session,
  Token,
} from '@field-nurse/contract';
import { unzipSync, strFromU8 } from 'fflate';
import { randomUUID } from 'node:crypto';
import { ApiClient } from '../demo/apiClient';
import { bed, fresh, planting, settings, sickness, smallPhoto } from '../testRecords';
import { refused, somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
}, 60_000);
afterAll(() => server.stop());

let people = 0;
const anybody = (name: string) => somebody(server, `${name}${++people}`);

/** A garden of somebody's own, with the calls that the tests make. */
async function ownGarden(name = 'Test bed') {
  const owner = await anybody('owner');
  const id = randomUUID();
  const base = `/api/v1/gardens/${id}`;
  await owner.send('post', '/api/v1/gardens', { id, settings: { ...settings, name } });
  const invite = (role: string, email: string | null = null) =>
    owner.send<NewInvitation>('post', `${base}/invitations`, { id: randomUUID(), role, email });
  const join = async (role: 'member' | 'adviser' | 'viewer') => {
    const guest = await anybody(role);
    await owner.invite(id, guest, role);
    return guest;
  };
  const members = (who: ApiClient = owner) => who.send<Member[]>('get', `${base}/members`);
  const idOf = async (client: ApiClient) => (await client.send<Session>('get', '/api/v1/session')).person!.id;
  const log = async () => (await owner.send<SecurityEvent[]>('get', `${base}/security-log`)).map(({ kind, about }) => `${kind} ${about}`);
  return { owner, id, base, invite, join, members, idOf, log };
}
const secretOf = ({ link }: { link: string }) => link.split('/').at(-1)!;

describe('an invitation', () => {
  test('is a link that says whose garden it is; who accepts it is in, once', async () => {
    const { owner, id, invite, members } = await ownGarden('Osier yard');
    const made = await invite('member');
    expect(made.link).toMatch(/^https:\/\/garden\.test\.example\/invitation\/[\w-]{20,}$/);
    const guest = await anybody('guest');
    const held = await guest.send<HeldInvitation>('get', `/api/v1/invitations/${secretOf(made)}`);
    expect(held).toMatchObject({ garden: 'Osier yard', role: 'member' });
    const garden = await guest.send<GardenSummary>('post', `/api/v1/invitations/${secretOf(made)}/accept`, {});
    expect(garden).toMatchObject({ id, role: 'member' });
    expect(await members()).toHaveLength(2);
    const second = await anybody('second');
    expect(await refused(second.send('post', `/api/v1/invitations/${secretOf(made)}/accept`, {}))).toContain('404');
    const [listed] = await owner.send<Invitation[]>('get', `/api/v1/gardens/${id}/invitations`);
    expect(listed).toMatchObject({ state: 'accepted' });
    expect(JSON.stringify(listed)).not.toContain(secretOf(made));
  });

  test('goes by mail to an address, whether or not it has an account, and the answer is the same', async () => {
    const { invite } = await ownGarden();
    const known = await anybody('known');
    const address = (await known.send<Session>('get', '/api/v1/session')).person!.email;
    const answers = [await invite('adviser', address), await invite('adviser', 'who-knows@test.example')];
    expect(answers.map(({ mailed, state }) => ({ mailed, state }))).toEqual([
      { mailed: true, state: 'open' },
      { mailed: true, state: 'open' },
    ]);
    const letter = server.letters.find(({ to }) => to === 'who-knows@test.example')!;
    expect(letter.text).toContain(answers[1]!.link);
  });

  test('can be declined by somebody without an account', async () => {
    const { invite, owner, id, log } = await ownGarden();
    const made = await invite('viewer');
    const nobody = new ApiClient(server.address);
    await nobody.send('get', '/api/v1/session');
    await nobody.send('post', `/api/v1/invitations/${secretOf(made)}/decline`, {});
    expect(await owner.send<Invitation[]>('get', `/api/v1/gardens/${id}/invitations`)).toMatchObject([{ state: 'declined' }]);
    expect(await nobody.status('get', `/api/v1/invitations/${secretOf(made)}`)).toBe(404);
    expect(await log()).toEqual(expect.arrayContaining(['invitation-declined by link']));
  });

  test('can be withdrawn, and ends by itself', async () => {
    const { invite, owner, base } = await ownGarden();
    const [first, second] = [await invite('viewer'), await invite('viewer')];
    await owner.send('delete', `${base}/invitations/${first.id}`);
    await server.pool.query(`update invitations set expires_at = '2026-07-01' where id = $1`, [second.id]);
    const guest = await anybody('late');
    for (const one of [first, second]) expect(await guest.status('post', `/api/v1/invitations/${secretOf(one)}/accept`, {})).toBe(404);
    const states = (await owner.send<Invitation[]>('get', `${base}/invitations`)).map(({ state }) => state);
    expect(states.sort()).toEqual(['expired', 'withdrawn']);
  });

  test('does not lower the part of who is in already', async () => {
    const { invite, owner, members } = await ownGarden();
    const made = await invite('viewer');
    await owner.send('post', `/api/v1/invitations/${secretOf(made)}/accept`, {});
    expect(await members()).toMatchObject([{ role: 'owner' }]);
  });

  test('is one of twenty that may be open', async () => {
    const { invite } = await ownGarden();
    for (let i = 0; i < 20; i++) await invite('viewer');
    expect(await refused(invite('viewer'))).toMatch(/422.*quota.*20 open invitations/);
  });

  test('taken by two at the same moment lets in one', async () => {
    const { invite, members } = await ownGarden();
    const made = await invite('member');
    const guests = [await anybody('quick'), await anybody('quick'), await anybody('quick')];
    const answers = await Promise.all(guests.map((guest) => guest.status('post', `/api/v1/invitations/${secretOf(made)}/accept`, {})));
    expect(answers.sort()).toEqual([200, 404, 404]);
    expect(await members()).toHaveLength(2);
  });
});

describe('parts in a garden', () => {
  test('are changed and ended by the owner; who was removed sees nothing any more', async () => {
    const { owner, base, join, members, idOf, log } = await ownGarden();
    const guest = await join('member');
    const person = await idOf(guest);
    await owner.send('put', `${base}/members/${person}`, { role: 'viewer' });
    expect(await guest.status('put', `${base}/places/${randomUUID()}`, fresh(bed))).toBe(403);
    await owner.send('delete', `${base}/members/${person}`);
    expect(await guest.status('get', base)).toBe(404);
    expect(await members()).toHaveLength(1);
    expect(await log()).toEqual([
      expect.stringContaining('member-removed'),
      expect.stringContaining('role-changed'),
      expect.anything(),
      expect.anything(),
      expect.anything(),
    ]);
  });

  test.each(['member', 'adviser', 'viewer'] as const)('a %s may leave', async (role) => {
    const { base, join, members } = await ownGarden();
    const guest = await join(role);
    const { gardens } = await guest.send<Session>('post', `${base}/leave`, {});
    expect(gardens).toEqual([]);
    expect(await members()).toHaveLength(1);
  });

  test('an owner stays until the garden is handed over, and works there from then on', async () => {
    const { owner, base, join, members, idOf } = await ownGarden();
    const guest = await join('member');
    expect(await refused(owner.send('post', `${base}/leave`, {}))).toMatch(/409.*handed over/);
    await owner.send('post', `${base}/owner`, { person: await idOf(guest) });
    expect((await members()).map(({ role }) => role).sort()).toEqual(['member', 'owner']);
    expect(await owner.status('get', `${base}/security-log`)).toBe(403);
    await owner.send('post', `${base}/leave`, {});
    expect(await members(guest)).toMatchObject([{ role: 'owner' }]);
  });

  test('an adviser sees no addresses, comments on cases, and takes back own comments alone', async () => {
    const { owner, base, join, members } = await ownGarden();
    const adviser = await join('adviser');
    expect((await members(adviser)).every(({ email }) => email === null)).toBe(true);
    expect((await members(owner)).every(({ email }) => email !== null)).toBe(true);
    const [place, plant, sick, comment] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()];
    await owner.send('put', `${base}/places/${place}`, fresh(bed));
    await owner.send('put', `${base}/plantings/${plant}`, fresh(planting(place)));
    const opened = fresh(sickness(plant));
    await owner.send('put', `${base}/cases/${sick}`, opened);
    const said = { caseId: sick, writtenAt: '2026-07-18T09:00:00Z', text: 'Cut a stem: is it brown inside?' };
    const word = fresh(said);
    const stored = await adviser.send<object>('put', `${base}/comments/${comment}`, word);
    expect(stored).toMatchObject({ text: said.text, by: expect.stringContaining('adviser') as string });
    const others = { change: randomUUID(), version: 1, value: { ...said, text: 'changed' } };
    expect(await refused(owner.send('put', `${base}/comments/${comment}`, others))).toContain('403');
    const undo = (undoes: string) => adviser.send('post', `${base}/undo`, { change: randomUUID(), undoes });
    expect(await refused(undo(opened.change))).toContain('403');
    await undo(word.change);
    expect((await owner.send<GardenContents>('get', base)).comments).toEqual([]);
  });
});

describe('a token', () => {
  const make = (client: ApiClient, base: string, change: object = {}) =>
    client.send<NewToken>('post', `${base}/tokens`, { id: randomUUID(), name: 'Weather log', scope: 'write', expiresOn: null, ...change });

  test('works for its person until it is revoked; its secret is kept nowhere', async () => {
    const { base, join } = await ownGarden();
    const guest = await join('member');
    const made = await make(guest, base);
    const script = new ApiClient(server.address, made.secret);
    await script.send('put', `${base}/places/${randomUUID()}`, fresh(bed));
    expect((await script.send<GardenContents>('get', base)).places).toHaveLength(1);
    const { rows } = await server.pool.query('select * from tokens where id = $1', [made.id]);
    expect(JSON.stringify(rows)).not.toContain(made.secret);
    expect(await guest.send<Token[]>('get', `${base}/tokens`)).toMatchObject([{ id: made.id, usedAt: expect.any(String) as string }]);
    await guest.send('delete', `${base}/tokens/${made.id}`);
    expect(await script.status('get', base)).toBe(401);
  });

  test('goes no further than its person: it ends when they leave, and reads when they may read', async () => {
    const { owner, base, join, idOf } = await ownGarden();
    const guest = await join('member');
    const script = new ApiClient(server.address, (await make(guest, base)).secret);
    await owner.send('put', `${base}/members/${await idOf(guest)}`, { role: 'viewer' });
    expect(await script.status('put', `${base}/places/${randomUUID()}`, fresh(bed))).toBe(403);
    await guest.send('post', `${base}/leave`, {});
    expect(await script.status('get', base)).toBe(401);
  });

  test('ends on its day', async () => {
    const { owner, base } = await ownGarden();
    const [past, ahead] = [await make(owner, base, { expiresOn: '2026-07-17' }), await make(owner, base, { expiresOn: '2026-07-18' })];
    expect(await new ApiClient(server.address, past.secret).status('get', base)).toBe(401);
    expect(await new ApiClient(server.address, ahead.secret).status('get', base)).toBe(200);
  });
});

describe('the end of a garden', () => {
  test('it is taken along as a zip: every record, the people, and the photos', async () => {
    const { owner, base, id } = await ownGarden('Osier: yard/1');
    const [place, photo] = [randomUUID(), randomUUID()];
    await owner.send('put', `${base}/places/${place}`, fresh(bed));
    await owner.sendFile(`${base}/photos/${photo}`, await smallPhoto(), 'image/jpeg');
    const answer = await fetch(`${server.address}${base}/download`, { headers: { Cookie: owner.cookies() } });
    expect(answer.headers.get('Content-Disposition')).toContain('attachment');
    const files = unzipSync(new Uint8Array(await answer.arrayBuffer()));
    const json = (name: string): unknown => JSON.parse(strFromU8(files[name]!));
    expect(json('garden.json')).toMatchObject({ garden: { id }, settings: { name: 'Osier: yard/1' }, people: [{ role: 'owner' }] });
    expect(json('records/places.json')).toMatchObject([{ id: place, name: 'Bed' }]);
    expect(Object.keys(files)).toContain(`photos/${photo}.jpg`);
  });

  test('it goes for good, with all that hung on it, once its name is typed', async () => {
    const { owner, base, id, join } = await ownGarden('Last bed');
    const guest = await join('member');
    const [place, plant, sick] = [randomUUID(), randomUUID(), randomUUID()];
    await owner.send('put', `${base}/places/${place}`, fresh(bed));
    await owner.send('put', `${base}/plantings/${plant}`, fresh(planting(place)));
    await owner.send('put', `${base}/cases/${sick}`, fresh(sickness(plant)));
    await owner.sendFile(`${base}/photos/${randomUUID()}`, await smallPhoto(), 'image/jpeg');
    expect(await refused(owner.send('delete', base, { name: 'Other bed' }))).toMatch(/400.*Last bed/);
    expect(await guest.status('delete', base, { name: 'Last bed' })).toBe(403);
    expect((await owner.send<Session>('delete', base, { name: 'Last bed' })).gardens).toEqual([]);
    expect(await guest.status('get', base)).toBe(404);
    const tables = await server.pool.query<{ table_name: string }>(
      `select table_name from information_schema.columns where column_name = 'garden_id' and table_schema = 'public'`,
    );
    expect(tables.rows.length).toBeGreaterThan(20);
    for (const { table_name } of tables.rows) {
      const { rows } = await server.pool.query(`select from "${table_name}" where garden_id = $1`, [id]);
      expect([table_name, rows.length]).toEqual([table_name, 0]);
    }
  });

  test('one may own twenty, and no more', async () => {
    const { owner } = await ownGarden();
    for (let i = 0; i < 19; i++) await owner.send('post', '/api/v1/gardens', { id: randomUUID(), settings });
    expect(await refused(owner.send('post', '/api/v1/gardens', { id: randomUUID(), settings }))).toMatch(/422.*20 gardens/);
  });
});
