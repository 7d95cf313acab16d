import { createEnvironmentInjector, EnvironmentInjector, runInInjectionContext, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Offline } from '../offline/offline';
import '../testing/show';
import { Garden } from './garden';
import { photoAddresses } from './photo-addresses';

let made: string[];
let revoked: string[];
let waiting: Set<string>;
beforeEach(() => {
  [made, revoked, waiting] = [[], [], new Set(['a', 'b'])];
  // The browser of the tests has no addresses of this kind.
  URL.createObjectURL = () => {
    made.push(`blob:${made.length}`);
    return made.at(-1)!;
  };
  URL.revokeObjectURL = (url) => void revoked.push(url);
  TestBed.configureTestingModule({
    providers: [
      { provide: Offline, useValue: { photo: (id: string) => Promise.resolve(waiting.has(id) ? new Blob() : undefined) } },
      { provide: Garden, useValue: { summary: () => ({ id: 'garden' }) } },
    ],
  });
});

function shown(ids: readonly string[]) {
  const page = createEnvironmentInjector([], TestBed.inject(EnvironmentInjector));
  const photos = signal(ids);
  const addresses = runInInjectionContext(page, () => photoAddresses(photos, 'small'));
  return { page, photos, addresses };
}

async function settled() {
  TestBed.tick();
  await Promise.resolve();
  await Promise.resolve();
}

test('what waits on the device is shown from there, the rest from the server', async () => {
  const { addresses } = shown(['a', 'sent']);
  await settled();
  expect(Object.fromEntries(addresses())).toEqual({ a: 'blob:0', sent: '/api/v1/gardens/garden/photos/sent?size=small' });
});

test('one more photo leaves the first where it is', async () => {
  const { addresses, photos } = shown(['a']);
  await settled();
  photos.set(['a', 'b']);
  await settled();
  expect(Object.fromEntries(addresses())).toEqual({ a: 'blob:0', b: 'blob:1' });
  expect(revoked).toEqual([]);
});

test('what is taken away is let go; so is all with the page', async () => {
  const { addresses, photos, page } = shown(['a', 'b']);
  await settled();
  photos.set(['b']);
  await settled();
  expect([[...addresses().keys()], revoked]).toEqual([['b'], ['blob:0']]);
  page.destroy();
  expect(revoked).toEqual(['blob:0', 'blob:1']);
});

test('what is found after nobody wants it any more is not opened', async () => {
  const { photos } = shown(['a']);
  TestBed.tick();
  photos.set([]);
  TestBed.tick();
  await settled();
  expect(made).toEqual([]);
});
