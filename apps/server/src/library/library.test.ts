import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import type { DiagnosisPart, PartName, TreatmentPart } from '@field-nurse/library/parts';
import { joinParts, partsOf } from '@field-nurse/library/parts';
import { compiledLibrary, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

// What every device fetches first: pressed once by the build, not for each caller.

const parts = partsOf(compiledLibrary());
const press = (part: PartName) => brotliCompressSync(JSON.stringify(parts[part]));
const pressed = { diagnosis: press('diagnosis'), treatment: press('treatment') };
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ pressedParts: pressed });
}, 60_000);
afterAll(() => server.stop());

/** Headers and bytes as they are on the wire. */
async function ask(headers: Record<string, string>, address = '-parts/diagnosis') {
  const { get } = await import('node:http');
  return new Promise<{ status: number; encoding: string | undefined; etag: string; body: Buffer }>((resolve, reject) => {
    get(`${server.address}/api/v1/library${address}`, { headers }, (answer) => {
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () =>
        resolve({
          status: answer.statusCode!,
          encoding: answer.headers['content-encoding'],
          etag: answer.headers.etag!,
          body: Buffer.concat(parts),
        }),
      );
    }).on('error', reject);
  });
}

test('who takes brotli gets it as the build pressed it; who does not gets the same library', async () => {
  const modern = await ask({ 'Accept-Encoding': 'gzip, deflate, br' });
  expect([modern.status, modern.encoding, modern.body.equals(pressed.diagnosis)]).toEqual([200, 'br', true]);
  const plain = await ask({ 'Accept-Encoding': 'identity' });
  expect([plain.status, plain.encoding]).toEqual([200, undefined]);
  expect(JSON.parse(plain.body.toString())).toEqual(JSON.parse(brotliDecompressSync(modern.body).toString()));
});

test('who has it is told so in a few bytes', async () => {
  const { etag } = await ask({ 'Accept-Encoding': 'br' });
  const again = await ask({ 'Accept-Encoding': 'br', 'If-None-Match': etag });
  expect([again.status, again.body.length]).toEqual([304, 0]);
});

test('the whole in one document is what its parts make together', async () => {
  const read = async <T>(address: string) => JSON.parse((await ask({ 'Accept-Encoding': 'identity' }, address)).body.toString()) as T;
  const [diagnosis, treatment] = [await read<DiagnosisPart>('-parts/diagnosis'), await read<TreatmentPart>('-parts/treatment')];
  expect(joinParts(diagnosis, treatment)).toEqual(await read(''));
});
