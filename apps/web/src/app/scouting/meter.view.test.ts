import { signal } from '@angular/core';
import { Garden } from '../gardens/garden';
import { show } from '../testing/show';
import { planting, summary, today } from '../testing/test-garden';
import { Meter, noSample } from './meter';
import type { Sample } from './meter';

const garden = {
  provide: Garden,
  useValue: { summary: signal(summary), today: () => today, canWrite: signal(false), thresholds: signal([]) },
};
const inputs = { planting, troubles: ['leek-rust', 'leek-moth'], seed: 'round 1', sample: noSample };
const open = (changed: object = {}) => show(Meter, { ...inputs, ...changed }, { providers: [garden] });

/** Note plants one after the other, and give back the last sample. */
async function note(taps: readonly ('Clean plant' | 'Has it')[]) {
  const shown = await open({ troubles: ['leek-moth'] });
  const samples = shown.told('sample') as Sample[];
  for (const tap of taps) await shown.press(tap);
  return { ...shown, samples };
}

test('the level to count against says where it comes from, and which plants to look at', async () => {
  const { text } = await open({ troubles: ['leek-moth'] });
  expect(text()).toMatch(/Act at .+ of plants/);
  expect(text()).toContain('A tunnel to the heart spoils the shank.');
  expect(text()).toMatch(/Which plants, so that the eye does not choose: \d+(, \d+)+\./);
});

test('the same round picks the same plants, another one others', async () => {
  const picks = async (seed: string) => /choose: (.*?)\./.exec((await open({ troubles: ['leek-moth'], seed })).text())![1];
  const [first, again, other] = [await picks('a round'), await picks('a round'), await picks('another')];
  expect(again).toBe(first);
  expect(other).not.toBe(first);
});

test('plant by plant, until the meter says that it is enough to act', async () => {
  const { samples, text } = await note(['Has it', 'Has it', 'Has it', 'Has it', 'Has it', 'Has it']);
  expect(samples[0]).toMatchObject({ target: 'leek-moth', measure: 'plants-percent', sample: [1] });
  expect(samples.at(-1)).toMatchObject({ decision: 'act' });
  expect(text()).toContain('Enough: act');
});

test('clean plants say how many more would be enough', async () => {
  const { text, samples } = await note(['Clean plant']);
  expect(samples.at(-1)).toMatchObject({ sample: [0], decision: 'continue' });
  expect(text()).toMatch(/Look at \d+ more 1 looked at: 0 % of plants\. If those are clean, that is enough\./);
});

test('the last one can be taken back, to nothing', async () => {
  const { samples, press, text } = await note(['Has it']);
  await press('Take back the last');
  expect(samples.at(-1)).toMatchObject({ sample: [], decision: null });
  expect(text()).not.toContain('Enough');
});

test('without a trouble that has a level there is nothing to count', async () => {
  const { text } = await open({ troubles: ['no-such-trouble'] });
  expect(text()).not.toContain('Act at');
});
