import { Injector } from '@angular/core';
import type { DestroyableInjector } from '@angular/core';
import type { LeafReading, Picture } from '@field-nurse/core/leaf';
import { patchState } from '@ngrx/signals';
import { unprotected } from '@ngrx/signals/testing';
import { Gauge } from './gauge';
import type { GaugeAnswer } from './leaf.worker';
import { LeafGaugeStore } from './leaf-gauge-store';

const picture: Picture = { width: 200, height: 100, data: new Uint8ClampedArray(200 * 100 * 4) };
const reading = { damagedPercent: 12 } as LeafReading;

let injector: DestroyableInjector;
/** A store with a picture on it, over a gauge that answers as it is told. */
function open(answer: () => Promise<GaugeAnswer | null> = async () => ({ reading })) {
  const asked: unknown[] = [];
  let stopped = 0;
  const gauge = {
    measure: async (_: Picture, options: unknown, progress: (share: number) => void) => {
      asked.push(options);
      progress(0.5);
      return answer();
    },
    stop: () => stopped++,
  };
  injector = Injector.create({ providers: [{ provide: Gauge, useValue: gauge }, LeafGaugeStore] });
  const store = injector.get(LeafGaugeStore);
  patchState(unprotected(store), { picture });
  return { store, asked, stops: () => stopped };
}

test('a leaf is measured as it is said to be, and what is measured stays until it is measured again', async () => {
  const { store, asked } = open();
  store.choose('lobed');
  const measuring = store.measure();
  expect(store.share()).toBe(0.5);
  await measuring;
  expect([store.reading(), store.share(), asked]).toEqual([reading, null, [{ blade: 'lobed', mmPerPixel: undefined }]]);
  store.measureAgain();
  expect(store.reading()).toBeNull();
});

test('a ruler lies across the picture and gives its scale; laid anew it wants a new measure', async () => {
  const { store } = open();
  await store.measure();
  store.layRuler(true);
  expect([store.ruler(), store.reading()]).toEqual([{ from: [40, 90], to: [160, 90] }, null]);
  store.setLength(60);
  expect(store.mmPerPixel()).toBe(0.5);
  store.layRuler(false);
  expect(store.mmPerPixel()).toBeUndefined();
});

test.each([
  ['a length of nothing', 0, { from: [0, 0], to: [100, 0] }],
  ['a length that no leaf has', 3000, { from: [0, 0], to: [100, 0] }],
  ['ends that lie together', 50, { from: [0, 0], to: [5, 0] }],
] as const)('%s is said, and nothing is measured', async (_, length, ends) => {
  const { store, asked } = open();
  store.moveRuler({ from: [...ends.from], to: [...ends.to] });
  store.setLength(length);
  await store.measure();
  expect(store.fault()).toContain('from 1 to 2000 millimetres');
  expect(asked).toEqual([]);
});

test('no leaf in the picture, a device that can not, and one who stops: each is told, and the bar goes', async () => {
  const none = open(async () => ({ noLeaf: 'No leaf stands out from the paper.' }));
  await none.store.measure();
  expect([none.store.fault(), none.store.share()]).toEqual(['No leaf stands out from the paper.', null]);
  const broken = open(() => Promise.reject(new Error('out of memory')));
  await broken.store.measure();
  expect([broken.store.fault(), broken.store.share()]).toEqual([expect.stringContaining('Try a smaller picture'), null]);
  const stopped = open(async () => null);
  await stopped.store.measure();
  expect([stopped.store.reading(), stopped.store.fault(), stopped.store.share()]).toEqual([null, '', null]);
});

test('who leaves the page stops the measuring', () => {
  const { stops } = open();
  injector.destroy();
  expect(stops()).toBe(1);
});
