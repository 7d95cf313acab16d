import type { WritableSignal } from '@angular/core';
import { Injector, runInInjectionContext, signal } from '@angular/core';
import type { Case } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Offline } from '../offline/offline';
import { planting, sickness } from '../testing/test-garden';
import type { CaseValue } from './case-edits';
import { CaseEdits, caseInEdit } from './case-edits';

// Outside of a browser there is no page that could be put away.
globalThis.document ??= { addEventListener: () => undefined } as unknown as Document;

/** Edits over a server that takes what it is given, unless the test has put a refusal in its way. */
function start() {
  const cases: WritableSignal<readonly Case[]> = signal([sickness, { ...sickness, id: 'other', words: 'other words' }]);
  const stored = (id = sickness.id) => cases().find((one) => one.id === id)!;
  const change = (id: string, update: (one: Case) => Case) => cases.update((all) => all.map((one) => (one.id === id ? update(one) : one)));
  const refusals: (() => void)[] = [];
  const written: (CaseValue & { id: string })[] = [];
  let away = false;
  const saveOrQueue = async (_subject: string, id: string, version: number, value: CaseValue) => {
    await Promise.resolve();
    refusals.shift()?.();
    if (version !== stored(id).version) throw new ApiError(409, 'changed-elsewhere', 'faster');
    written.push({ ...value, id });
    change(id, () => ({ ...value, photos: value.photos ?? [], stance: null, schools: [], parts: [], id, version: version + 1 }));
    return away ? 'kept' : 'saved';
  };
  const waiting = signal(0);
  const injector = Injector.create({
    providers: [
      { provide: Garden, useValue: { case: (id: string) => cases().find((one) => one.id === id), planting: () => planting } },
      { provide: Records, useValue: { saveOrQueue } },
      { provide: Offline, useValue: { waiting } },
    ],
  });
  const id = signal(sickness.id);
  const edits = runInInjectionContext(injector, () => {
    const all = new CaseEdits();
    return runInInjectionContext(Injector.create({ parent: injector, providers: [{ provide: CaseEdits, useValue: all }] }), () =>
      caseInEdit(id),
    );
  });
  return { edits, id, stored, change, refusals, written, waiting, goAway: () => (away = true) };
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

test('when it is refused, everything stays, and can be sent again', async () => {
  const { edits, stored, refusals } = start();
  refusals.push(() => {
    throw new ApiError(422, 'rule', 'This can’t be.');
  });
  edits.change(words('webs'));
  await settled();
  expect(edits.state()).toBe('failed');
  expect(edits.refusal()).toContain('can’t be');
  expect(edits.value()?.words).toBe('webs');
  await edits.write();
  expect(stored().words).toBe('webs');
  expect(edits.state()).toBe('saved');
});

test('somebody else’s change to the same case is kept, and ours goes on top', async () => {
  const { edits, stored, change, refusals } = start();
  refusals.push(() => {
    change(sickness.id, (one) => ({ ...one, version: 2, note: 'theirs' }));
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

test('where the server does not answer it is kept on this device, and says so until it is sent', async () => {
  const { edits, waiting, goAway } = start();
  goAway();
  waiting.set(1);
  edits.change(words('webs'));
  await settled();
  expect(edits.state()).toBe('kept');
  waiting.set(0);
  expect(edits.state()).toBe('saved');
});

test('a jump to another case takes nothing along: what was typed is written into the case that it was typed in', async () => {
  const { edits, id, stored, written } = start();
  edits.type('typed in the first');
  id.set('other');
  expect(edits.value()?.words).toBe('other words');
  edits.type('typed in the other');
  edits.change(note('n'));
  id.set(sickness.id);
  expect(edits.value()?.words).toBe('typed in the first');
  await new Promise((resolve) => setTimeout(resolve, 600));
  await settled();
  expect(stored()).toMatchObject({ words: 'typed in the first' });
  expect(stored('other')).toMatchObject({ words: 'typed in the other', note: 'n' });
  expect(written.every((one) => one.words === (one.id === 'other' ? 'typed in the other' : 'typed in the first'))).toBe(true);
});

test('a refusal stays with its case', async () => {
  const { edits, id, refusals } = start();
  refusals.push(() => {
    throw new ApiError(422, 'rule', 'This can’t be.');
  });
  edits.change(words('webs'));
  await settled();
  id.set('other');
  expect([edits.state(), edits.refusal()]).toEqual(['saved', '']);
  id.set(sickness.id);
  expect([edits.state(), edits.value()?.words]).toEqual(['failed', 'webs']);
});

test('typing is one change: letters that came before are not written by themselves', async () => {
  const { edits, written } = start();
  for (const text of ['w', 'we', 'web']) edits.type(text);
  expect(edits.value()?.words).toBe('web');
  await new Promise((resolve) => setTimeout(resolve, 600));
  await settled();
  expect(written.map((one) => one.words)).toEqual(['web']);
});
