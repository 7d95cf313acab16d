import { brotliCompressSync } from 'node:zlib';
import { calculate } from './answers';
import { beforeTreatment, joinParts, partsOf } from './parts';
import { library } from './testLibrary';

const { diagnosis, treatment } = partsOf(library);

test('both parts together are the library', () => {
  expect(joinParts(diagnosis, treatment)).toEqual(library);
});

test('parts of two versions are never joined', () => {
  expect(() => joinParts(diagnosis, { ...treatment, version: 'another' })).toThrow('has just been renewed');
});

test('the first part alone answers what it may be as the whole does', () => {
  const request = { host: 'tomato', text: 'brown patches with rings on the lower leaves, yellow around them', month: 7 };
  expect(calculate(beforeTreatment(diagnosis), 'differential', request)).toEqual(calculate(library, 'differential', request));
});

test('the first part travels in at most 130 kB', () => {
  expect(brotliCompressSync(JSON.stringify(diagnosis)).length).toBeLessThanOrEqual(130_000);
});
