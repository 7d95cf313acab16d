import { Injector, runInInjectionContext, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { of, Subject, throwError } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { place, summary } from '../testing/test-garden';
import { Said } from '../shared/said';
import { Offline } from '../offline/offline';
import { GardenActions } from '../store/garden-state';
import { Records } from './records';

const { id, version: _, ...value } = place;

/** Records over an api that answers as it is told, with what was sent, dispatched and said. */
function start() {
  const answers: (() => unknown)[] = [];
  const sent: { change: string; version: number }[] = [];
  const undone: { undoes: string }[] = [];
  const dispatched: unknown[] = [];
  const said: string[] = [];
  const undoPressed = new Subject<void>();
  const kept: unknown[][] = [];
  const waiting = signal(0);
  const injector = Injector.create({
    providers: [
      {
        provide: Api,
        useValue: {
          write: (_garden: string, _subject: string, _id: string, body: { change: string; version: number }) => {
            sent.push(body);
            return answers.shift()!();
          },
          undo: (_garden: string, _change: string, undoes: string) => {
            undone.push({ undoes });
            return of({ subject: 'places', recordId: id, record: null });
          },
        },
      },
      { provide: Offline, useValue: { waiting, keep: async (...write: unknown[]) => void kept.push(write) } },
      { provide: Store, useValue: { selectSignal: () => signal(summary), dispatch: (action: unknown) => dispatched.push(action) } },
      {
        provide: Said,
        useValue: {
          say: (line: string, _ms: number, undo?: () => void) => {
            said.push(line);
            if (undo) undoPressed.subscribe(undo);
          },
        },
      },
    ],
  });
  const records = runInInjectionContext(injector, () => new Records());
  return { records, kept, waiting, answers, sent, undone, dispatched, said, undoPressed };
}

const stored = () => of(place);
const offline = () => throwError(() => new ApiError(0, 'offline', 'no answer'));

test('what the server stored goes into the garden, with a line and a way back', async () => {
  const { records, answers, dispatched, said, undone, undoPressed, sent } = start();
  answers.push(stored);
  await records.save('places', id, 0, value, 'Place added.');
  expect(dispatched).toEqual([GardenActions.recordStored({ subject: 'places', record: place })]);
  expect(said).toEqual(['Place added.']);
  undoPressed.next();
  await new Promise((done) => setTimeout(done));
  expect(undone).toEqual([{ undoes: sent[0]!.change }]);
  expect(dispatched.at(-1)).toEqual(GardenActions.recordRemoved({ subject: 'places', id }));
});

test('a change whose answer never came is sent again under the same id', async () => {
  const { records, answers, sent } = start();
  answers.push(offline, stored);
  await expect(records.save('places', id, 0, value)).rejects.toMatchObject({ code: 'offline' });
  await records.save('places', id, 0, value);
  expect(sent[1]!.change).toBe(sent[0]!.change);
});

test('another change has an id of its own', async () => {
  const { records, answers, sent } = start();
  answers.push(offline, stored);
  await expect(records.save('places', id, 0, value)).rejects.toBeInstanceOf(ApiError);
  await records.save('places', id, 0, { ...value, name: 'Long bed' });
  expect(sent[1]!.change).not.toBe(sent[0]!.change);
});

test('a refusal that came ends the change: the next try is a new one', async () => {
  const { records, answers, sent } = start();
  answers.push(() => throwError(() => new ApiError(400, 'invalid', 'no')), stored);
  await expect(records.save('places', id, 0, value)).rejects.toMatchObject({ status: 400 });
  await records.save('places', id, 0, value);
  expect(sent[1]!.change).not.toBe(sent[0]!.change);
});

test('when somebody else was faster, theirs goes into the garden and the gardener is told', async () => {
  const { records, answers, dispatched } = start();
  const theirs = { ...place, version: 2, name: 'Theirs' };
  answers.push(() => throwError(() => new ApiError(409, 'changed-elsewhere', 'faster', new Map(), theirs)));
  await expect(records.save('places', id, 1, value)).rejects.toMatchObject({ code: 'changed-elsewhere' });
  expect(dispatched).toEqual([GardenActions.recordStored({ subject: 'places', record: theirs })]);
});

test('what is written in the field goes to the device first', async () => {
  const { records, kept, sent } = start();
  await records.keep('places', id, 1, value, place);
  expect(kept).toEqual([[summary.id, 'places', id, 1, value, place]]);
  expect(sent).toEqual([]);
});

describe('writing where there may be no signal', () => {
  test('with signal it is sent, with a way back', async () => {
    const { records, answers, kept, said } = start();
    answers.push(stored);
    await records.saveOrKeep('places', id, 0, value, 'Place added.');
    expect(kept).toEqual([]);
    expect(said).toEqual(['Place added.']);
  });

  test.each([
    ['without an answer', offline],
    ['when the server is not itself', () => throwError(() => new ApiError(503, 'database', 'down'))],
  ])('%s it is kept on the device, and said so', async (_, answer) => {
    const { records, answers, kept, said } = start();
    answers.push(answer);
    await records.saveOrKeep('places', id, 1, value, 'Place changed.', place);
    expect(kept).toEqual([[summary.id, 'places', id, 1, value, place]]);
    expect(said).toEqual(['Place changed. Kept on this device until there is signal.']);
  });

  test('while older writes wait it waits behind them, since it may have been made from what they will leave', async () => {
    const { records, sent, kept, said, waiting } = start();
    waiting.set(1);
    await records.saveOrKeep('places', id, 2, value, 'Place changed.', { ...place, version: 2 });
    expect(sent).toEqual([]);
    expect(kept).toHaveLength(1);
    expect(said).toEqual(['Place changed. Kept on this device until there is signal.']);
    expect(await records.saveOrQueue('places', id, 3, value, undefined, place)).toBe('kept');
    expect(said).toHaveLength(1);
  });

  test('a refusal is a refusal', async () => {
    const { records, answers, kept } = start();
    answers.push(() => throwError(() => new ApiError(400, 'invalid', 'no')));
    await expect(records.saveOrKeep('places', id, 0, value, 'Place added.')).rejects.toMatchObject({ status: 400 });
    expect(kept).toEqual([]);
  });
});
