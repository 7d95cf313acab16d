import { computed, inject, Injectable, signal } from '@angular/core';
import type { Condition, Library as LibraryIndex, OwnEntryFacts } from '@field-nurse/library';
import { withOwnEntries } from '@field-nurse/library/own';
import type { DiagnosisPart, PartName } from '@field-nurse/library/parts';
import { beforeTreatment, joinParts } from '@field-nurse/library/parts';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { gardenFeature } from '../store/garden-state';
import { deepEqual } from 'fast-equals';

type Loading = { readonly status: 'waiting' } | { readonly status: 'known' | 'whole'; readonly index: LibraryIndex };

/** The reference library in two parts: what names causes comes first, and what is told and done about them after it. */
@Injectable({ providedIn: 'root' })
export class Library {
  readonly #api = inject(Api);
  readonly #ownEntries = inject(Store).selectSignal(gardenFeature.selectOwnEntries);
  readonly #loading = signal<Loading>({ status: 'waiting' });
  readonly #failure = signal<string | undefined>(undefined);
  #first: Promise<DiagnosisPart> | undefined;
  #whole: Promise<void> | undefined;

  /** entries of the open garden's own that count */
  readonly #own = computed(() => this.#ownEntries().filter(({ endedOn }) => !endedOn) as OwnEntryFacts[], { equal: deepEqual });
  /** as the open garden sees it, as far as it is here: before the whole is, nothing is told of treatments */
  readonly known = computed(() => {
    const state = this.#loading();
    return 'index' in state ? withOwnEntries(state.index, this.#own()) : undefined;
  });
  /** the whole as the open garden sees it */
  readonly index = computed(() => (this.#loading().status === 'whole' ? this.known() : undefined));
  readonly failed = this.#failure.asReadonly();

  readonly hosts = computed(() => byId(this.known()?.hosts));
  readonly signs = computed(() => byId(this.known()?.signs));
  readonly conditions = computed(() => byId(this.known()?.conditions));
  readonly interventions = computed(() => byId(this.known()?.interventions));
  readonly checks = computed(() => byId(this.known()?.checks));

  constructor() {
    this.whole().catch(() => {});
  }

  /** Wait for what names causes; the same request serves all who ask. */
  first(): Promise<DiagnosisPart> {
    this.#first ??= this.#fetch('diagnosis').then(
      (part) => {
        this.#loading.set({ status: 'known', index: beforeTreatment(part) });
        return part;
      },
      (error: unknown) => {
        this.#first = undefined;
        throw error;
      },
    );
    return this.#first;
  }

  /** Wait for all of it. */
  whole(): Promise<void> {
    this.#whole ??= this.#join().catch((error: unknown) => {
      this.#whole = undefined;
      this.#failure.set(ApiError.from(error).message);
      throw error;
    });
    return this.#whole;
  }

  async #join(): Promise<void> {
    const [before, treatment] = [await this.first(), await this.#fetch('treatment')];
    // A release that came between the two has a first part of its own.
    if (before.version !== treatment.version) this.#first = undefined;
    this.#loading.set({ status: 'whole', index: joinParts(await this.first(), treatment) });
    this.#failure.set(undefined);
  }

  #fetch = <P extends PartName>(part: P) => firstValueFrom(this.#api.libraryPart(part));

  hostName = (id: string) => this.hosts().get(id)?.name ?? id;
  conditionName = (id: string) => this.conditions().get(id)?.name ?? id;
  /** "Thrips and sun scorch"; `nameless` for none */
  conditionNames = (ids: readonly string[], nameless = 'Not settled yet') => ids.map(this.conditionName).join(' and ') || nameless;
  interventionName = (id: string) => this.interventions().get(id)?.name ?? id;
  /** the leaf of the plant that a trouble is most often seen on */
  leafOf = ({ hosts: { often, sometimes } }: Condition) =>
    [...often, ...sometimes].map((id) => this.hosts().get(id)?.leaf).find(Boolean) ?? 'ovate';
  signName = (id: string) => this.signs().get(id)?.name ?? id;
}

function byId<T extends { readonly id: string }>(entries: readonly T[] = []): ReadonlyMap<string, T> {
  return new Map(entries.map((entry) => [entry.id, entry]));
}
