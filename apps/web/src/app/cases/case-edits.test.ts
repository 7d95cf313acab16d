import type { WritableSignal } from '@angular/core';
import { Injector, runInInjectionContext, signal } from '@angular/core';
import type { Case } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { planting, sickness } from '../testing/test-garden';
import type { CaseValue } from './case-edits';
import { CaseEdits } from './case-edits';

/** Edits over a server that takes what it is given, unless the test has put a refusal in its way. */
function start() {
  const stored: WritableSignal<Case> = signal(sickness);
  const refusals: (() => void)[] = [];
  const written: CaseValue[] = [];
  const save = async (_subject: string, id: string, version: number, value: CaseValue) => {
    await Promise.resolve();
    refusals.shift()?.();
    if (version !== stored().version) throw new ApiError(409, 'changed-elsewhere', 'faster');
    written.push(value);
    stored.set({ ...value, id, version: version + 1 });
  };
  const injector = Injector.create({
    providers: [
      { provide: Garden, useValue: { case: () => stored(), planting: () => planting } },
      { provide: Records, useValue: { save } },
    ],
  });
  const edits = runInInjectionContext(injector, () => new CaseEdits());
  edits.open(sickness.id);
  return { edits, stored, refusals, written };
}

const settled = async () => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};
const note = (text: string) => (value: CaseValue) => ({ ...value, note: text });
const words = (text: string) => (value: CaseValue) => ({ ...value, words: text });

test('a change shows at once and is written', async () => {
  const { edits, written } = start();
  edits.change(words('webs'));
  expect(edits.value()?.words).toBe('webs');
  expect(edits.state()).toBe('saving');
  await settled();
  expect(edits.state()).toBe('saved');
  expect(written.map((value) => value.words)).toEqual(['webs']);
});

test('changes made while one is on its way follow it together, none is lost', async () => {
  const { edits, stored, written } = start();
  edits.change(words('a'));
  edits.change(words('ab'));
  edits.change(note('n'));
  await settled();
  expect(stored()).toMatchObject({ words: 'ab', note: 'n' });
  expect(written.length).toBeLessThanOrEqual(2);
});

test('when the server does not answer, everything stays, and can be sent again', async () => {
  const { edits, stored, refusals } = start();
  refusals.push(() => {
    throw new ApiError(0, 'offline', 'The server does not answer.');
  });
  edits.change(words('webs'));
  await settled();
  expect(edits.state()).toBe('failed');
  expect(edits.refusal()).toContain('does not answer');
  expect(edits.value()?.words).toBe('webs');
  await edits.write();
  expect(stored().words).toBe('webs');
  expect(edits.state()).toBe('saved');
});

test('somebody else’s change to the same case is kept, and ours goes on top', async () => {
  const { edits, stored, refusals } = start();
  refusals.push(() => {
    stored.update((one) => ({ ...one, version: 2, note: 'theirs' }));
    throw new ApiError(409, 'changed-elsewhere', 'faster');
  });
  edits.change(words('ours'));
  await settled();
  expect(stored()).toMatchObject({ words: 'ours', note: 'theirs', version: 3 });
});

test('it does not try for ever', async () => {
  const { edits, refusals } = start();
  for (let i = 0; i < 9; i++)
    refusals.push(() => {
      throw new ApiError(409, 'changed-elsewhere', 'faster');
    });
  edits.change(words('ours'));
  await settled();
  expect(edits.state()).toBe('failed');
  expect(edits.value()?.words).toBe('ours');
});
