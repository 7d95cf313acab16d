import type { Signal } from '@angular/core';
import { effect, inject, signal } from '@angular/core';
import { Offline } from '../offline/offline';
import { Garden } from './garden';

/** Addresses of pictures by their ids: on this device while they wait to be sent, or at the server in the size asked for. Call it where things are injected. */
export function photoAddresses(photos: Signal<readonly string[]>, size: 'whole' | 'small' = 'whole'): Signal<ReadonlyMap<string, string>> {
  const [offline, garden] = [inject(Offline), inject(Garden)];
  const addresses = signal<ReadonlyMap<string, string>>(new Map());
  effect((onCleanup) => {
    const made: string[] = [];
    let current = true;
    const find = async (id: string) => {
      const image = await offline.photo(id);
      const url = image ? URL.createObjectURL(image) : `/api/v1/gardens/${garden.summary().id}/photos/${id}?size=${size}`;
      if (image) made.push(url);
      if (current) addresses.update((known) => new Map([...known, [id, url]]));
    };
    for (const id of photos()) void find(id);
    onCleanup(() => {
      current = false;
      made.forEach((url) => URL.revokeObjectURL(url));
    });
  });
  return addresses.asReadonly();
}
