import { Injector, runInInjectionContext, signal } from '@angular/core';
import { Router } from '@angular/router';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { summary, today } from '../testing/test-garden';
import { OpenCase } from './open-case';

/** Opening a case over records that answer as they are told. */
function start(save: (...write: unknown[]) => Promise<void>) {
  const saved: unknown[][] = [];
  const said: string[] = [];
  const gone: unknown[] = [];
  const injector = Injector.create({
    providers: [
      { provide: Garden, useValue: { today: () => today, summary: signal(summary) } },
      { provide: Router, useValue: { navigate: async (path: unknown) => void gone.push(path) } },
      {
        provide: Records,
        useValue: {
          save: async (...write: unknown[]) => {
            saved.push(write);
            await save(...write);
          },
          say: (line: string) => said.push(line),
        },
      },
    ],
  });
  return { opener: runInInjectionContext(injector, () => new OpenCase()), saved, said, gone };
}

test('a case is opened today, empty, and the gardener is taken to it', async () => {
  const { opener, saved, gone } = start(async () => undefined);
  await opener.on('leeks');
  const [subject, id, version, value, line] = saved[0]!;
  expect([subject, version, line]).toEqual(['cases', 0, 'Case opened.']);
  expect(value).toMatchObject({ plantingId: 'leeks', openedOn: today, findings: [], diagnoses: [], closedOn: null, outcome: null });
  expect(gone).toEqual([['/g', 'g', 'cases', id]]);
});

test('when it can’t be opened the gardener stays, and is told why', async () => {
  const { opener, said, gone } = start(() => Promise.reject(new ApiError(403, 'not-allowed', 'You may look, not write.')));
  await opener.on('leeks');
  expect(said).toEqual(['You may look, not write.']);
  expect(gone).toEqual([]);
});

test('two cases on one planting are two', async () => {
  const { opener, saved } = start(async () => undefined);
  await opener.on('leeks');
  await opener.on('leeks');
  expect(saved[0]![1]).not.toBe(saved[1]![1]);
});
