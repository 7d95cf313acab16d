import { computed, inject, Injectable, signal } from '@angular/core';
import type { Library as LibraryIndex, OwnEntryFacts } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library/own';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { gardenFeature } from '../store/garden-state';
import { deepEqual } from 'fast-equals';

type Loading =
  | { readonly status: 'waiting' }
  | { readonly status: 'loaded'; readonly index: LibraryIndex }
  | { readonly status: 'failed'; readonly message: string };

/** The reference library, fetched when it is first needed. */
@Injectable({ providedIn: 'root' })
export class Library {
  readonly #api = inject(Api);
  readonly #ownEntries = inject(Store).selectSignal(gardenFeature.selectOwnEntries);
  readonly #loading = signal<Loading>({ status: 'waiting' });
  #request: Promise<LibraryIndex> | undefined;

  /** entries of the open garden's own that count */
  readonly #own = computed(() => this.#ownEntries().filter(({ endedOn }) => !endedOn) as OwnEntryFacts[], { equal: deepEqual });
  /** the reference library as the open garden sees it */
  readonly index = computed(() => {
    const state = this.#loading();
    return state.status === 'loaded' ? withOwnEntries(state.index, this.#own()) : undefined;
  });
  readonly failed = computed(() => {
    const state = this.#loading();
    return state.status === 'failed' ? state.message : undefined;
  });

  readonly hosts = computed(() => byId(this.index()?.hosts));
  readonly signs = computed(() => byId(this.index()?.signs));
  readonly conditions = computed(() => byId(this.index()?.conditions));
  readonly interventions = computed(() => byId(this.index()?.interventions));
  readonly checks = computed(() => byId(this.index()?.checks));

  constructor() {
    this.load().catch(() => {});
  }

  /** The whole reference library; the same request serves all who ask. */
  load(): Promise<LibraryIndex> {
    this.#request ??= firstValueFrom(this.#api.library<LibraryIndex>()).then(
      (index) => {
        this.#loading.set({ status: 'loaded', index });
        return index;
      },
      (error: unknown) => {
        this.#request = undefined;
        this.#loading.set({ status: 'failed', message: ApiError.from(error).message });
        throw error;
      },
    );
    return this.#request;
  }

  hostName = (id: string) => this.hosts().get(id)?.name ?? id;
  conditionName = (id: string) => this.conditions().get(id)?.name ?? id;
  /** "Thrips and sun scorch"; `nameless` for none */
  conditionNames = (ids: readonly string[], nameless = 'Not settled yet') => ids.map(this.conditionName).join(' and ') || nameless;
  interventionName = (id: string) => this.interventions().get(id)?.name ?? id;
  signName = (id: string) => this.signs().get(id)?.name ?? id;
}

function byId<T extends { readonly id: string }>(entries: readonly T[] = []): ReadonlyMap<string, T> {
  return new Map(entries.map((entry) => [entry.id, entry]));
}
