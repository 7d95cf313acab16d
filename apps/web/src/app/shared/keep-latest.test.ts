import { signal } from '@angular/core';
import { keepLatest } from './keep-latest';

test('the answer before stays until the next is there', () => {
  const answer = signal<string | undefined>(undefined);
  const kept = keepLatest(() => 'case', answer);
  expect(kept()).toBeUndefined();
  answer.set('first');
  expect(kept()).toBe('first');
  answer.set(undefined);
  expect(kept()).toBe('first');
  answer.set('second');
  expect(kept()).toBe('second');
});

test('another case starts afresh', () => {
  const key = signal('one');
  const answer = signal<string | undefined>('of one');
  const kept = keepLatest(key, answer);
  expect(kept()).toBe('of one');
  answer.set(undefined);
  key.set('two');
  expect(kept()).toBeUndefined();
});
