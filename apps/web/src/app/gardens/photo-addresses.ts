import type { Signal } from '@angular/core';
import { DestroyRef, effect, inject, signal, untracked } from '@angular/core';
import { Offline } from '../offline/offline';
import { Garden } from './garden';

/** Addresses of pictures by their ids: on this device while they wait to be sent, or at the server in the size asked for. Call it where things are injected. */
export function photoAddresses(photos: Signal<readonly string[]>, size: 'whole' | 'small' = 'whole'): Signal<ReadonlyMap<string, string>> {
  const [offline, garden] = [inject(Offline), inject(Garden)];
  const addresses = signal<ReadonlyMap<string, string>>(new Map());
  let wanted: ReadonlySet<string> = new Set();
  const find = async (id: string) => {
    const image = await offline.photo(id);
    if (!wanted.has(id) || addresses().has(id)) return;
    const url = image ? URL.createObjectURL(image) : `/api/v1/gardens/${garden.summary().id}/photos/${id}?size=${size}`;
    addresses.update((known) => new Map([...known, [id, url]]));
  };
  /** What stays wanted keeps its address: an image that loses it while it is shown is broken. */
  const want = (ids: readonly string[]) => {
    wanted = new Set(ids);
    const [kept, left] = [new Map<string, string>(), addresses()];
    left.forEach((url, id) => {
      if (wanted.has(id)) kept.set(id, url);
      else if (url.startsWith('blob:')) URL.revokeObjectURL(url);
    });
    if (kept.size < left.size) addresses.set(kept);
    for (const id of wanted) if (!kept.has(id)) void find(id);
  };
  effect(() => {
    const ids = photos();
    untracked(() => want(ids));
  });
  inject(DestroyRef).onDestroy(() => want([]));
  return addresses.asReadonly();
}
