import type { Signal } from '@angular/core';
import { computed, linkedSignal } from '@angular/core';

interface Kept<T> {
  readonly key: string;
  readonly value: T | undefined;
}

/**
 * The newest answer to a question that changes while its answers are on their way: the one before stays until the next is there, so that
 * nothing on the screen jumps. Another key (another case) starts afresh.
 */
export function keepLatest<T>(key: () => string, answer: () => T | undefined): Signal<T | undefined> {
  const kept = linkedSignal<Kept<T>, Kept<T>>({
    source: () => ({ key: key(), value: answer() }),
    computation: (fresh, before) => (fresh.value === undefined && before?.value.key === fresh.key ? before.value : fresh),
  });
  return computed(() => kept().value);
}
