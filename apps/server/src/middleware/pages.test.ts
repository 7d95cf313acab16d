import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

const script = 'console.log("a page");\n'.repeat(100);
let folder: string;
let server: TestServer;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'pages-'));
  writeFileSync(
    join(folder, 'index.html'),
    '<!doctype html><fn-app ngcspnonce="%NONCE%"></fn-app><script nonce="%NONCE%" src="main-ABCD1234.js"></script>',
  );
  writeFileSync(join(folder, 'main-ABCD1234.js'), script);
  writeFileSync(join(folder, 'main-ABCD1234.js.br'), brotliCompressSync(script));
  writeFileSync(join(folder, 'mark.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
  server = await startTestServer({ webFolder: folder });
}, 60_000);
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const get = (path: string, headers: Record<string, string> = {}) => fetch(server.address + path, { headers });

test('every address of the pages gets index.html, with a nonce of its own each time', async () => {
  const [one, other] = await Promise.all(['/', '/g/some-garden/today'].map(async (path) => (await get(path)).text()));
  const nonce = (html: string) => /ngcspnonce="([^"]+)"/.exec(html)?.[1];
  expect(nonce(one!)).toMatch(/^[A-Za-z0-9+/]{22}==$/);
  expect(nonce(other!)).not.toBe(nonce(one!));
  expect(one).not.toContain('%NONCE%');
});

test('the page’s nonce is that of its headers, which let no inline script run and no other site frame it', async () => {
  const answer = await get('/');
  const policy = answer.headers.get('content-security-policy') ?? '';
  const html = await answer.text();
  expect(policy).toContain(`style-src 'self' 'nonce-${/ngcspnonce="([^"]+)"/.exec(html)![1]}'`);
  expect(policy).toContain("default-src 'none'");
  expect(policy).toMatch(/script-src 'self' 'wasm-unsafe-eval'(;|$)/);
  expect(policy).toContain("frame-ancestors 'none'");
  expect(answer.headers.get('cache-control')).toBe('no-store');
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
});

test('files whose name holds their hash are kept for ever, others are asked for again', async () => {
  expect((await get('/main-ABCD1234.js')).headers.get('cache-control')).toContain('immutable');
  expect((await get('/mark.svg')).headers.get('cache-control')).not.toContain('immutable');
});

test('the precompressed file goes to who can read it', async () => {
  const answer = await get('/main-ABCD1234.js', { 'Accept-Encoding': 'br' });
  expect(answer.headers.get('content-encoding')).toBe('br');
  expect(await answer.text()).toBe(script);
});

test('a file that is not there is a 404 and not the page; nothing above the folder is served', async () => {
  expect((await get('/gone-ABCD1234.js')).status).toBe(404);
  const above = await get('/..%2f..%2fetc%2fpasswd');
  expect(await above.text()).not.toContain('root:');
  expect((await get('/%E0%A4%A.js')).status).toBeLessThan(500);
});

test('an unknown address of the API stays JSON', async () => {
  const answer = await get('/api/v1/nothing');
  expect([answer.status, answer.headers.get('content-type')]).toEqual([404, expect.stringContaining('application/json')]);
});

test('the reader of the API is served from here', async () => {
  const html = await (await get('/api/docs')).text();
  expect(html).not.toMatch(/https?:\/\//);
});
