import { ApiClient } from '../demo/apiClient';
import { refused, somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ signInTries: 5 });
}, 60_000);
afterAll(() => server.stop());

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
