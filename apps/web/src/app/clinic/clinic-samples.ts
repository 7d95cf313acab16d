import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import type { ClinicReport } from '@field-nurse/contract';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Offline } from '../offline/offline';
import { sampleState, testsFrom } from './sample-state';
import type { SampleState } from './sample-state';

/** The garden's samples with what their clinics say, asked for afresh each hour; without signal as this device last knew it. */
@Injectable({ providedIn: 'root' })
export class ClinicSamples {
  readonly #api = inject(Api);
  readonly #offline = inject(Offline);
  readonly #garden = inject(Garden);
  readonly #reports = signal<readonly ClinicReport[]>([]);
  readonly #asked = computed(() => {
    const written = this.#garden.clinicSamples().map(({ id, version }) => `${id} ${version}`);
    return JSON.stringify([this.#garden.id(), this.#garden.now().slice(0, 13), written]);
  });
  /** why nothing newer is shown */
  readonly fault = signal('');

  readonly states = computed<readonly SampleState[]>(() => {
    const reports = new Map(this.#reports().map((report) => [report.sample, report]));
    return this.#garden
      .clinicSamples()
      .map((sample) => sampleState(sample, reports.get(sample.id)))
      .sort((a, b) => a.sample.registeredOn.localeCompare(b.sample.registeredOn));
  });

  constructor() {
    effect(() => {
      this.#asked();
      void untracked(() => this.load());
    });
  }

  /** Samples of one case, oldest first. */
  of = (caseId: string): readonly SampleState[] => this.states().filter(({ sample }) => sample.caseId === caseId);
  /** What the clinics found in one case. */
  testsOf = (caseId: string) => testsFrom(this.of(caseId));

  async load(): Promise<void> {
    await this.#take((garden) => this.#api.clinicReports(garden));
  }

  /** Ask the clinics now, instead of waiting until the server does. */
  async ask(): Promise<void> {
    await this.#take((garden) => this.#api.askClinics(garden));
  }

  async #take(call: (garden: string) => ReturnType<Api['clinicReports']>): Promise<void> {
    const id = this.#garden.id();
    if (!id) return;
    try {
      // A garden without samples has nothing to ask.
      const reports = this.#garden.clinicSamples().length === 0 ? [] : await firstValueFrom(call(id));
      if (id !== this.#garden.id()) return;
      this.#reports.set(reports);
      this.fault.set('');
      await this.#offline.saveClinicReports(id, reports).catch(() => undefined);
    } catch (error) {
      const kept = await this.#offline.clinicReports(id).catch(() => undefined);
      if (id !== this.#garden.id()) return;
      if (kept) this.#reports.set(kept);
      this.fault.set(ApiError.from(error).message);
    }
  }
}
